<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Ladder;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Prescription;

/** How a technique progresses along one axis: what comes after any value, and where it ends. */
final readonly class Climb
{
    /** Days on a rung before the next, unless the technique says otherwise (common practice). */
    public const USUAL_DAYS = 7;

    /**
     * @param  list<string|int|float>  $values  in order; empty for one that grows
     * @param  list<Phase>  $phases  that grow by a count at each step, or keep their proportion to the inhale
     * @param  string  $name  of the parameter
     * @param  float  $cap  counts of the last of the phases at which growing ends
     * @param  int  $days  on the rung below before one of its steps
     * @param  int|null  $laterDays  the same from the second step on; null for the same
     * @param  int  $calmDays  days before a step without a stop and without a pause
     */
    private function __construct(
        public LadderAxis $axis,
        private array $values = [],
        private array $phases = [],
        private string $name = '',
        private float $cap = 0.0,
        private int $days = self::USUAL_DAYS,
        private ?int $laterDays = null,
        public int $calmDays = 0,
    ) {
    }

    /** The body is placed one after the other, from easiest to hardest. */
    public static function positions(Position ...$positions): self
    {
        return new self(LadderAxis::Position, array_values(array_map(fn (Position $position) => $position->value, $positions)));
    }

    /** A count more on each of the phases, until the last of them has as many as the cap. */
    public static function growing(float $cap, Phase ...$phases): self
    {
        return new self(LadderAxis::Ratio, phases: array_values($phases), cap: $cap);
    }

    /** The same proportions with a longer inhale: 2:4, 3:6, 4:8. */
    public static function scaled(int ...$inhales): self
    {
        return new self(LadderAxis::Ratio, array_values($inhales));
    }

    /** Longer counts, in seconds. */
    public static function counts(float ...$seconds): self
    {
        return new self(LadderAxis::Count, array_values($seconds));
    }

    /** More breaths or rounds. */
    public static function repeats(int ...$values): self
    {
        return new self(LadderAxis::Repeats, array_values($values));
    }

    public static function minutes(float ...$minutes): self
    {
        return new self(LadderAxis::Minutes, array_values($minutes));
    }

    public static function parameter(string $name, float ...$values): self
    {
        return new self(LadderAxis::Parameter, array_values($values), name: $name);
    }

    /**
     * The same with another number of days on the rung below.
     *
     * @param  int|null  $later  from the second step on; null for the same
     * @param  int  $calm  days before a step without a stop and without a pause
     */
    public function after(int $days, ?int $later = null, int $calm = 0): self
    {
        return new self($this->axis, $this->values, $this->phases, $this->name, $this->cap, $days, $later, $calm);
    }

    /** Days on the present rung before the next. */
    public function daysOn(Prescription $now): int
    {
        $isFirst = $this->axis !== LadderAxis::Repeats || $this->values === [] || (float) $now->breaths <= (float) $this->values[0] + 1e-9;

        return $isFirst ? $this->days : ($this->laterDays ?? $this->days);
    }

    /**
     * The field that the next step sets; null at the top.
     *
     * @return array<string, mixed>|null
     */
    public function next(Prescription $now): ?array
    {
        return match ($this->axis) {
            LadderAxis::Position => $this->nextPosition($now->position->value),
            LadderAxis::Ratio => $this->values === [] ? $this->grown($now) : $this->rescaled($now),
            LadderAxis::Count => $this->set('count_length', $this->above($now->countLength->seconds)),
            LadderAxis::Repeats => $this->set('breaths', $this->above((float) $now->breaths)),
            LadderAxis::Minutes => $this->set('minutes', $this->above((float) $now->minutes)),
            LadderAxis::Parameter => $this->nextParameter($now),
        };
    }

    /** True when an exercise is further along this axis than the ladder goes; a set that grows by its longest breath. */
    public function isPastCap(Prescription $prescription): bool
    {
        return $this->axis === LadderAxis::Ratio

                ? array_filter($prescription->cycles(), fn (Cycle $cycle) => $this->isRatioPast($cycle->pattern)) !== []
                : $this->isWrittenPastCap($prescription);
    }

    /** The same by what is written, whatever grows from it. */
    public function isWrittenPastCap(Prescription $prescription): bool
    {
        $top = $this->top();

        return match ($this->axis) {
            LadderAxis::Position => false,
            LadderAxis::Ratio => $prescription->pattern !== null && $this->isRatioPast($prescription->pattern),
            LadderAxis::Count => $prescription->countLength->seconds > $top + 1e-9,
            LadderAxis::Repeats => (float) $prescription->breaths > $top + 1e-9,
            LadderAxis::Minutes => (float) $prescription->minutes > $top + 1e-9,
            LadderAxis::Parameter => ($prescription->parameters[$this->name] ?? 0.0) > $top + 1e-9,
        };
    }

    private function isRatioPast(BreathPattern $pattern): bool
    {
        return $pattern->counts($this->values === [] ? $this->phases[count($this->phases) - 1] : Phase::Inhale)->toFloat() > $this
            ->top() + 1e-9;
    }

    private function top(): float
    {
        return $this->values === [] ? $this->cap : (float) max(array_map(floatval(...), $this->values));
    }

    /** Where it ends, in words. */
    public function capLabel(): string
    {
        $last = $this->values === [] ? $this->cap : $this->values[count($this->values) - 1];

        return match ($this->axis) {
            LadderAxis::Position => Position::from((string) $last)->label(),
            LadderAxis::Ratio => $this->values === []
                ? "$last counts of ".$this->phases[count($this->phases) - 1]->value : "an inhale of $last",
            LadderAxis::Count => "$last s a count",
            LadderAxis::Repeats => (string) $last,
            LadderAxis::Minutes => "$last min",
            LadderAxis::Parameter => "$last {$this->name}",
        };
    }

    /** @return array<string, string>|null */
    private function nextPosition(string $now): ?array
    {
        $at = array_search($now, $this->values, true);
        $next = $at === false ? null : ($this->values[$at + 1] ?? null);

        return $next === null ? null : ['position' => (string) $next];
    }

    /** @return array<string, string>|null */
    private function grown(Prescription $now): ?array
    {
        $pattern = $now->pattern;
        $last = $this->phases[count($this->phases) - 1];
        if ($pattern === null || $pattern->counts($last)->toFloat() + 1 > $this->cap + 1e-9) {
            return null;
        }
        foreach ($this->phases as $phase) {
            $pattern = $pattern->with($phase, Counts::ofHundredths(min(Counts::MAX * 100, $pattern->counts($phase)->hundredths + 100)));
        }

        return ['ratio' => $pattern->toString()];
    }

    /** @return array<string, string>|null */
    private function rescaled(Prescription $now): ?array
    {
        $pattern = $now->pattern;
        if ($pattern === null) {
            return null;
        }
        $before = $pattern->inhale->hundredths;
        $inhale = $this->above($before / 100);
        if ($inhale === null) {
            return null;
        }
        foreach (Phase::cases() as $phase) {
            $pattern = $pattern->with(
                $phase,
                Counts::ofHundredths(
                    min(Counts::MAX * 100, (int) round($now->pattern->counts($phase)->hundredths * $inhale * 100 / $before)),
                ),
            );
        }

        return ['ratio' => $pattern->toString()];
    }

    /** @return array<string, mixed>|null */
    private function nextParameter(Prescription $now): ?array
    {
        $value = $this->above($now->parameters[$this->name] ?? INF);

        return $value === null ? null : ['parameters' => [$this->name => $value] + $now->parameters];
    }

    /** The first value above the present one. */
    private function above(float $now): ?float
    {
        foreach ($this->values as $value) {
            if ((float) $value > $now + 1e-9) {
                return (float) $value;
            }
        }

        return null;
    }

    /** @return array<string, mixed>|null */
    private function set(string $field, ?float $value): ?array
    {
        return $value === null ? null : [$field => $field === 'breaths' ? (int) $value : $value];
    }
}
