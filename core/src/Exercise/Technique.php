<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Ladder\Climb;

/**
 * What the catalogue knows of one technique: its defaults, what may be changed, how it is taught and how it progresses.
 *
 * Texts for the patient are translation keys; the key of the technique is their prefix.
 */
final readonly class Technique
{
    /** Routes by which anyone may breathe out; a hum belongs to its own techniques. */
    private const ROUTES_OUT = [Route::Nose, Route::Mouth, Route::PursedLips, Route::SoftOpenMouth];

    private const ROUTES_IN = [Route::Nose, Route::Mouth, Route::PursedLips];

    /** @var array<string, Parameter> by name */
    public array $parameters;

    /** @var list<Position> allowed, the preferred one first */
    public array $positions;

    /** @var list<Route> allowed, the default first */
    public array $routesIn;

    /** @var list<Route> allowed, the default first */
    public array $routesOut;

    /**
     * @param  string  $key  stable, used in stored prescriptions
     * @param  string  $name  for the prescriber
     * @param  string  $about  for the prescriber, one line
     * @param  Recipe  $recipe  how it becomes a timeline
     * @param  Length  $length  in what a practice is measured
     * @param  list<Position>  $positions  allowed with their variants, the preferred one first: {@see Position::withVariants()}
     * @param  list<Route>  $routesOut  the first is the default; the others are allowed too, unless the route is its own
     * @param  Hands  $hands  usual, where the position allows them
     * @param  list<Hands>  $onlyHands  the only ones with which it is this technique; any that the position allows when empty
     * @param  list<Hands>  $moreHands  allowed beside those of the position
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
     * @param  bool  $hasOwnRoute  its routes are what it is about: no others are allowed
     * @param  list<Route>  $onlyIn  the only ones by which it is breathed in; any when empty
     * @param  Start  $start  with what it begins
     * @param  list<Start>  $starts  with what it may begin
     * @param  int  $bells  before it begins, 0–3
     * @param  bool  $hasFreeBreath  the breath goes its own way: no route and no size are told
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
        array $positions,
        array $routesOut,
        public Hands $hands,
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
        public array $onlyHands = [],
        public array $moreHands = [],
        bool $hasOwnRoute = false,
        array $onlyIn = [],
        public Start $start = Start::Inhale,
        public array $starts = [Start::Inhale],
        public int $bells = 0,
        public bool $hasFreeBreath = false,
    ) {
        $this->positions = Position::withVariants($positions);
        $this->routesIn = $onlyIn !== [] ? $onlyIn : self::also($routeIn, self::ROUTES_IN);
        $this->routesOut = $hasOwnRoute ? $routesOut : self::also($routesOut[0], [...$routesOut, ...self::ROUTES_OUT]);
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

    /** @return list<Hands> that the technique and the position allow, the usual ones first; never empty */
    public function handsIn(Position $position): array
    {
        $there = array_values(array_filter(
            $this->onlyHands !== [] ? $this->onlyHands : [$this->hands, ...Hands::in($position), ...$this->moreHands],
            fn (Hands $hands) => $hands->suits($position),
        ));

        return array_values(array_unique($there === [] ? Hands::in($position) : $there, SORT_REGULAR));
    }

    /**
     * @param  list<Route>  $routes
     * @return list<Route> the first one, then the others
     */
    private static function also(Route $first, array $routes): array
    {
        return array_values(array_unique([$first, ...$routes], SORT_REGULAR));
    }

    /** @return list<Climb> how it progresses in a school */
    public function climbs(School $school): array
    {
        return $school->order($this->schoolClimbs[$school->value] ?? $this->climbs);
    }
}
