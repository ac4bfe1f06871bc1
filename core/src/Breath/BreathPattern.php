<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\Numbers;

/**
 * One breath as counts per phase: inhale (with an optional top-up), hold, exhale, rest.
 *
 * Counts are relative; {@see CountLength} turns them into seconds. A soft pause is a hold or rest of a
 * fixed number of seconds that is not counted and does not scale with the count length.
 */
final readonly class BreathPattern
{
    /** The longest soft pause, in seconds. */
    public const MAX_SOFT_PAUSE = 10.0;

    private function __construct(
        public Counts $inhale,
        public Counts $topUp,
        public Counts $hold,
        public Counts $exhale,
        public Counts $rest,
        public float $softHold = 0.0,
        public float $softRest = 0.0,
    ) {
        if ($inhale->isZero()) {
            throw InvalidPattern::saying('The inhale must be longer than 0.');
        }
        if ($exhale->isZero()) {
            throw InvalidPattern::saying('The exhale must be longer than 0.');
        }
        if ($inhale->hundredths + $topUp->hundredths > Counts::MAX * 100) {
            throw InvalidPattern::saying('Inhale and top-up together are longer than '.Counts::MAX.' counts.');
        }
    }

    /**
     * Reads breath notation: "4:5", "4:7:8", "4:0:5:1", "2+1:6", also with dashes or spaces.
     *
     * @throws InvalidPattern with a message that says what is wrong and gives an example
     */
    public static function parse(string $notation): self
    {
        return NotationReader::read($notation);
    }

    /** @throws InvalidPattern when a count is outside 0–60, or the inhale or exhale is 0 */
    public static function of(
        int|float $inhale,
        int|float $exhale,
        int|float $hold = 0,
        int|float $rest = 0,
        int|float $topUp = 0,
    ): self {
        return self::ofCounts(
            Counts::of($inhale), Counts::of($topUp), Counts::of($hold), Counts::of($exhale), Counts::of($rest),
        );
    }

    /** @throws InvalidPattern when the inhale or exhale is 0 */
    public static function ofCounts(Counts $inhale, Counts $topUp, Counts $hold, Counts $exhale, Counts $rest): self
    {
        return new self($inhale, $topUp, $hold, $exhale, $rest);
    }

    /**
     * The same breath with uncounted pauses of fixed length.
     *
     * @param  float  $hold  seconds after the inhale, 0–10
     * @param  float  $rest  seconds after the exhale, 0–10
     *
     * @throws InvalidPattern when a pause is out of range or the phase already has counts
     */
    public function withSoftPauses(float $hold, float $rest): self
    {
        foreach ([[$hold, $this->hold, 'hold'], [$rest, $this->rest, 'rest']] as [$seconds, $counted, $name]) {
            if (! ($seconds >= 0 && $seconds <= self::MAX_SOFT_PAUSE)) {
                throw InvalidPattern::saying("A soft $name of $seconds s is outside 0 to ".self::MAX_SOFT_PAUSE.' s.');
            }
            if ($seconds > 0 && ! $counted->isZero()) {
                throw InvalidPattern::saying("The $name is counted already; it cannot be a soft pause as well.");
            }
        }

        return new self($this->inhale, $this->topUp, $this->hold, $this->exhale, $this->rest, $hold, $rest);
    }

    /** Counts of one phase; soft pauses have none. */
    public function counts(Phase $phase): Counts
    {
        return match ($phase) {
            Phase::Inhale => $this->inhale,
            Phase::TopUp => $this->topUp,
            Phase::Hold => $this->hold,
            Phase::Exhale => $this->exhale,
            Phase::Rest => $this->rest,
        };
    }

    /** Seconds of one phase that do not depend on the count length. */
    public function softSeconds(Phase $phase): float
    {
        return match ($phase) {
            Phase::Hold => $this->softHold,
            Phase::Rest => $this->softRest,
            default => 0.0,
        };
    }

    /** The sum of all counts of one breath, without soft pauses. */
    public function totalCounts(): float
    {
        return array_sum(array_map(fn (Phase $phase) => $this->counts($phase)->hundredths, Phase::cases())) / 100;
    }

    public function hasSoftPauses(): bool
    {
        return $this->softHold > 0.0 || $this->softRest > 0.0;
    }

    /** True when both have the same counts and soft pauses. */
    public function equals(self $other): bool
    {
        return $this->toString() === $other->toString()
            && $this->softHold === $other->softHold
            && $this->softRest === $other->softRest;
    }

    /** True when inhale, hold, exhale and rest stand in the same proportion: 4:7:8 and 2:3.5:4. */
    public function hasRatioOf(self $other): bool
    {
        foreach (Phase::cases() as $phase) {
            $left = $this->counts($phase)->hundredths * $other->inhale->hundredths;
            $right = $other->counts($phase)->hundredths * $this->inhale->hundredths;
            if ($left !== $right) {
                return false;
            }
        }

        return true;
    }

    /** The same breath with one phase changed. */
    public function with(Phase $phase, Counts $counts): self
    {
        $of = fn (Phase $each) => $each === $phase ? $counts : $this->counts($each);

        return new self(
            $of(Phase::Inhale), $of(Phase::TopUp), $of(Phase::Hold), $of(Phase::Exhale), $of(Phase::Rest),
            $phase === Phase::Hold ? 0.0 : $this->softHold, $phase === Phase::Rest ? 0.0 : $this->softRest,
        );
    }

    /** Canonical notation, the shortest that means the same: "4:5", "4:2:5", "4:0:5:1", "2+1:6". */
    public function toString(): string
    {
        $inhale = $this->inhale->toString().($this->topUp->isZero() ? '' : '+'.$this->topUp->toString());
        $parts = match (true) {
            ! $this->rest->isZero() => [$inhale, $this->hold->toString(), $this->exhale->toString(), $this->rest->toString()],
            ! $this->hold->isZero() => [$inhale, $this->hold->toString(), $this->exhale->toString()],
            default => [$inhale, $this->exhale->toString()],
        };

        return implode(':', $parts);
    }

    /** For people: as {@see toString()}, with soft pauses in their place: "3:(2s):3:(2s)". */
    public function toDisplayString(): string
    {
        if (! $this->hasSoftPauses()) {
            return $this->toString();
        }
        $soft = fn (Counts $counts, float $seconds) => $seconds > 0 ? '('.self::seconds($seconds).'s)' : $counts->toString();
        $parts = [
            $this->inhale->toString().($this->topUp->isZero() ? '' : '+'.$this->topUp->toString()),
            $soft($this->hold, $this->softHold),
            $this->exhale->toString(),
        ];
        if ($this->softRest > 0 || ! $this->rest->isZero()) {
            $parts[] = $soft($this->rest, $this->softRest);
        }

        return implode(':', $parts);
    }

    private static function seconds(float $seconds): string
    {
        return Numbers::print($seconds);
    }
}
