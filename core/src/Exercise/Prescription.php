<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Retiming;
use IvoryPace\Breath\Ventilation;
use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** One exercise as prescribed, without its dose over the week. */
final readonly class Prescription
{
    public const MAX_BREATHS = 200;

    /** Seconds of a breath past which no default and no ladder leads (common practice). */
    public const LONGEST_BREATH = 20.0;

    public const MIN_MINUTES = 0.5;

    public const MAX_MINUTES = 30.0;

    public const MAX_BELLS = 3;

    public const NO_REST_AFTER_OPEN = 'An exhale that a tap ends has no counted rest after it; leave the fourth number out.';

    /** @var array<string, float> all parameters of the technique, by name */
    public array $parameters;

    public Hands $hands;

    public Start $start;

    public int $bellsFirst;

    /**
     * @param  int|null  $breaths  1–200 breaths or rounds, for a technique that is measured in them
     * @param  float|null  $minutes  0.5–30, for one that is measured in minutes
     * @param  list<Prop>  $props
     * @param  array<string, float>  $parameters  by name; missing ones take their defaults
     * @param  Own|null  $own  name and criterion that a clinic gave it
     * @param  Hands|null  $hands  where they are; null for the usual ones
     * @param  Start|null  $start  with what it begins; null for the technique's own
     * @param  Ending|null  $ending  how it ends; null as fits the time of day: {@see Compiler::ending()}
     * @param  int|null  $bellsFirst  0–3 before it begins; null for the technique's own
     * @param  int  $bellsLast  0–3 at its end
     * @param  string  $ownProp  one more thing that is needed, in the prescriber's words
     *
     * @throws InvalidValue when a value does not belong to the technique or is out of range
     */
    public function __construct(
        public Technique $technique,
        public ?BreathPattern $pattern,
        public CountLength $countLength,
        public ?int $breaths,
        public ?float $minutes,
        public Position $position,
        public array $props,
        public Route $routeIn,
        public Route $routeOut,
        public Effort $effort,
        array $parameters = [],
        public Gaze $gaze = Gaze::Choice,
        public Guidance $guidance = new Guidance,
        public ?Own $own = null,
        ?Hands $hands = null,
        ?Start $start = null,
        public ?Ending $ending = null,
        ?int $bellsFirst = null,
        public int $bellsLast = 1,
        public string $ownProp = '',
    ) {
        $this->hands = $hands ?? $technique->handsIn($position)[0];
        $this->start = $start ?? $technique->start;
        $this->bellsFirst = $bellsFirst ?? $technique->bells;
        if ($technique->hasRatio() && $pattern === null) {
            throw InvalidValue::because("{$technique->name} needs a ratio.");
        }
        if ($technique->countsRepeats() && ($breaths === null || $breaths < 1 || $breaths > self::MAX_BREATHS)) {
            throw InvalidValue::because(($breaths ?? 0)." {$technique->length->value} is outside 1 to ".self::MAX_BREATHS.'.');
        }
        if (
            $technique->length === Length::Minutes
                && ($minutes === null || ! ($minutes >= self::MIN_MINUTES && $minutes <= self::MAX_MINUTES))
        ) {
            throw InvalidValue::because("{$technique->name} needs a length between half a minute and ".self::MAX_MINUTES.' minutes.');
        }
        if (! in_array($position, $technique->positions, true)) {
            throw InvalidValue::because("{$technique->name} is not done {$position->label()}.");
        }
        if (! in_array($routeOut, $technique->routesOut, true)) {
            throw InvalidValue::because("{$technique->name} is not breathed out by {$routeOut->label()}.");
        }
        if (! in_array($routeIn, $technique->routesIn, true)) {
            throw InvalidValue::because("{$technique->name} is not breathed in by {$routeIn->label()}.");
        }
        if (! in_array($this->hands, $technique->handsIn($position), true)) {
            throw InvalidValue::because("In {$technique->name}, {$position->label()}, the hands cannot be {$this->hands->label()}.");
        }
        if (! $gaze->suits($position)) {
            throw InvalidValue::because("{$gaze->label()} does not go with {$position->label()}.");
        }
        if (! in_array($this->start, $technique->starts, true)) {
            throw InvalidValue::because("{$technique->name} does not begin {$this->start->label()}.");
        }
        if (max($this->bellsFirst, $bellsLast) > self::MAX_BELLS || min($this->bellsFirst, $bellsLast) < 0) {
            throw InvalidValue::because('Bells are 0 to '.self::MAX_BELLS.' at each end.');
        }
        if (! in_array($effort, $technique->efforts, true)) {
            throw InvalidValue::because("The breath of {$technique->name} is not {$effort->label()}.");
        }
        $this->parameters = array_map(
            fn (Parameter $parameter) => $parameter->check($parameters[$parameter->name] ?? $parameter->default),
            $technique->parameters,
        );
        if ($pattern !== null && ($this->parameters['open'] ?? 0.0) === 2.0 && $pattern->softRest + $pattern->rest->toFloat() > 0) {
            throw InvalidValue::because(self::NO_REST_AFTER_OPEN);
        }
    }

    /** What the prescriber calls it. */
    public function name(): string
    {
        return $this->own->name ?? $this->technique->name;
    }

    /** The value of a parameter of the technique. */
    public function parameter(string $name): float
    {
        return $this->parameters[$name] ?? throw InvalidValue::because("{$this->technique->name} has no “{$name}”.");
    }

    /** @return list<Cycle> every breath that is breathed, once each; empty when breaths are not paced */
    public function cycles(): array
    {
        return $this->technique->recipe->cycles($this);
    }

    /** The first breath in real time; null when breaths are not paced. */
    public function cycle(): ?Cycle
    {
        return $this->cycles()[0] ?? null;
    }

    /** The longest breath in real time, as prescribed; null when breaths are not paced. */
    public function topCycle(): ?Cycle
    {
        $cycles = $this->cycles();
        usort($cycles, fn (Cycle $a, Cycle $b) => $b->seconds() <=> $a->seconds());

        return $cycles[0] ?? null;
    }

    /** The longest breath in real time, as slow as the patient may make it: what the safety rules look at. */
    public function longestCycle(): ?Cycle
    {
        $top = $this->topCycle();

        return $top === null ? null : Cycle::of($top->pattern, $this->countLength->at($this->guidance->tempo->slowest));
    }

    /** The shortest breath in real time, as fast as the patient may make it; null when breaths are not paced. */
    public function shortestCycle(): ?Cycle
    {
        $cycles = $this->cycles();
        usort($cycles, fn (Cycle $a, Cycle $b) => $a->seconds() <=> $b->seconds());

        return $cycles === [] ? null : Cycle::of($cycles[0]->pattern, $this->countLength->at($this->guidance->tempo->fastest));
    }

    /** True when the exhale lasts as long as is comfortable; its length in the timeline is then nominal. */
    public function hasOpenExhale(): bool
    {
        return ($this->technique->openExhale && ($this->parameters['hum'] ?? 0.0) <= 0.0) || ($this->parameters['open'] ?? 0.0) === 2.0;
    }

    /** @return list<Demand> what it asks of body and mind beside breathing */
    public function demands(): array
    {
        $withoutPrelude = ($this->parameters['prelude'] ?? 1.0) === 2.0 || $this->position->isLying();

        return [
            ...array_values(
                array_filter($this->technique->demands, fn (Demand $demand) => ! ($withoutPrelude && $demand === Demand::RollsShoulders)),
            ),
            ...($this->hands->press() ? [Demand::PressesRibs] : []),
        ];
    }

    public function demandsThat(Demand $demand): bool
    {
        return in_array($demand, $this->demands(), true);
    }

    /** Full or complete: the inhale goes to the top. */
    public function isFullSize(): bool
    {
        return in_array($this->effort, [Effort::Full, Effort::Complete], true);
    }

    /** True when the eyes may be closed at the end of it. */
    public function mayCloseEyes(): bool
    {
        return $this->position !== Position::Walking && in_array($this->gaze, [Gaze::Choice, Gaze::Closed], true);
    }

    /** True when something heavy lies on the belly. */
    public function hasWeight(): bool
    {
        return ($this->parameters['weight'] ?? 0.0) > 0;
    }

    /** True when a second inhale is stacked on the first. */
    public function hasTopUp(): bool
    {
        return $this->pattern !== null && ! $this->pattern->topUp->isZero();
    }

    /** Litres of one breath by its size; textbook figures for comparing, {@see Ventilation}. */
    public function tidalLitres(): float
    {
        return match (true) {
            $this->isFullSize() => Ventilation::FULL,
            $this->hasTopUp() => Ventilation::TOPPED_UP,
            default => Ventilation::RESTING_SIZE,
        };
    }

    /** Paced breaths without a break in between. */
    public function breathsInARow(): int
    {
        return isset($this->parameters['rounds']) ? (int) $this->breaths : $this->totalBreaths();
    }

    /**
     * Seconds under which no breath is led while joining: 2 s, and with more than a resting-size breath half of the
     * prescribed one, which is twice its rate. Common practice.
     */
    public function shortestJoining(): float
    {
        $half = $this->tidalLitres() > Ventilation::RESTING_SIZE ? ($this->cycle()?->seconds() ?? 0.0) / 2 : 0.0;

        return max(Retiming::LEAST_JOINING, $half);
    }

    /** True when air is kept in or out for a while: a hold, a rest or a retention. */
    public function hasHold(): bool
    {
        $cycle = $this->longestCycle();

        return $this->retentionSeconds() > 0
            || ($cycle !== null && $cycle->phaseSeconds(Phase::Hold) + $cycle->phaseSeconds(Phase::Rest) > 0);
    }

    /** Seconds of a retention after an exhale; 0 when there is none. */
    public function retentionSeconds(): float
    {
        return $this->parameters['retention'] ?? 0.0;
    }

    /** The exercise itself in seconds, without lead-in and return. */
    public function exerciseSeconds(): float
    {
        return Compiler::compile($this)->exerciseMs() / 1000;
    }

    /** Paced breaths altogether; 0 when breaths are not paced. */
    public function totalBreaths(): int
    {
        return Compiler::compile($this)->breaths();
    }

    /** For one line in a list: "4:0:5:1, supine, 12 breaths". */
    public function summary(): string
    {
        $cycles = $this->cycles();
        $ratios = array_values(array_unique(array_map(fn (Cycle $cycle) => $cycle->pattern->toDisplayString(), $cycles)));
        $what = match (true) {
            $ratios === [] => $this->minutes !== null ? Numbers::print($this->minutes, 1).' min' : $this->parameterSummary(),
            $this->hasOpenExhale() => 'in '.Numbers::print($cycles[0]->pattern->inhale->toFloat()).', open exhale',
            count($ratios) === 1 => $ratios[0],
            default => $ratios[0].' to '.$ratios[count($ratios) - 1],
        };
        $unit = $this->technique->length->value;
        $much = $this->technique->countsRepeats() ? ', '.$this->breaths.' '.($this->breaths === 1 ? rtrim($unit, 's') : $unit) : '';
        $more = isset($this->parameters['retention']) ? ', '.$this->parameterSummary() : '';

        return implode(', ', array_filter([$what, $this->position->label()])).$much.$more;
    }

    /** "3 rounds, 60 s retention"; what is as usual or not asked for is left out. */
    private function parameterSummary(): string
    {
        $said = array_filter(
            $this->technique->parameters,
            fn (Parameter $parameter) => $parameter->choices === []
                ? $this->parameters[$parameter->name] > 0
                : $this->parameters[$parameter->name] !== $parameter->default,
        );

        return implode(', ', array_map(fn (Parameter $parameter) => $parameter->print($this->parameters[$parameter->name]), $said));
    }
}
