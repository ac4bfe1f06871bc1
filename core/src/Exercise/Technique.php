<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Ladder\Climb;

/**
 * What the catalogue knows of one technique: its defaults, what may be changed, how it is taught and how it progresses.
 *
 * Texts for the patient are translation keys; the key of the technique is their prefix.
 */
final readonly class Technique
{
    /** @var array<string, Parameter> by name */
    public array $parameters;

    /**
     * @param  string  $key  stable, used in stored prescriptions
     * @param  string  $name  for the prescriber
     * @param  string  $about  for the prescriber, one line
     * @param  Recipe  $recipe  how it becomes a timeline
     * @param  Length  $length  in what a practice is measured
     * @param  list<Position>  $positions  allowed, the preferred one first
     * @param  list<Route>  $routesOut  allowed, the first is the default
     * @param  string  $hands  translation key of where the hands are
     * @param  string|null  $ratio  default notation; null when there is none to type
     * @param  int|null  $breaths  default breaths or rounds
     * @param  float|null  $minutes  default minutes of a practice that is measured in them
     * @param  int  $timesADay  default practices a day; for one as needed, the most
     * @param  list<Prop>  $props  default props
     * @param  list<Parameter>  $parameters  numbers of its own
     * @param  float  $count  default count length in seconds
     * @param  list<Effort>  $efforts  allowed
     * @param  list<Climb>  $climbs  how it progresses, one axis each, in its own order
     * @param  array<string, list<Climb>>  $schoolClimbs  in place of them, by school
     * @param  array<string, mixed>  $short  the least that still counts: fields over the prescribed ones
     * @param  array<string, mixed>  $easier  a known easier form: fields over the prescribed ones
     * @param  bool  $openExhale  the exhale lasts as long as is comfortable, unless a length is set for it
     * @param  list<Demand>  $demands  what it asks beside breathing
     * @param  bool  $isRecovery  for sudden breathlessness: as needed only, never paused, never in adherence
     * @param  bool  $isOwn  a counted breath that a clinic names itself
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $about,
        public Recipe $recipe,
        public Length $length,
        public Teaching $teaching,
        public array $positions,
        public array $routesOut,
        public string $hands,
        public ?string $ratio = null,
        public ?int $breaths = null,
        public ?float $minutes = null,
        public int $timesADay = 1,
        public array $props = [],
        array $parameters = [],
        public float $count = 1.0,
        public Route $routeIn = Route::Nose,
        public Effort $effort = Effort::Gentle,
        public array $efforts = [Effort::Gentle, Effort::Full, Effort::Active, Effort::Complete],
        public array $climbs = [],
        public array $schoolClimbs = [],
        public array $short = [],
        public array $easier = [],
        public Counting $countIn = Counting::Up,
        public Counting $countOut = Counting::Down,
        public array $demands = [],
        public bool $openExhale = false,
        public bool $isRecovery = false,
        public bool $isOwn = false,
    ) {
        $this->parameters = array_combine(array_map(fn (Parameter $parameter) => $parameter->name, $parameters), $parameters);
    }

    /** True when a ratio is typed for it. */
    public function hasRatio(): bool
    {
        return $this->ratio !== null;
    }

    public function countsRepeats(): bool
    {
        return $this->length === Length::Breaths || $this->length === Length::Rounds;
    }

    /** How it is counted unless the prescriber says otherwise: the exhale down, so that what is left is heard. */
    public function guidance(): Guidance
    {
        return new Guidance([Phase::Inhale->value => $this->countIn, Phase::Exhale->value => $this->countOut]);
    }

    /** @return list<Climb> how it progresses in a school */
    public function climbs(School $school): array
    {
        return $school->order($this->schoolClimbs[$school->value] ?? $this->climbs);
    }
}
