<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;

/**
 * How much fresh air reaches the lungs: alveolar ventilation = (tidal volume − dead space) × rate, in litres a minute.
 *
 * Tidal volumes are textbook adult figures (from memory): they compare one pattern with another and measure nobody. At
 * rest 0.35 l × 12 = 4.2 l/min; twice that is 8.4, three times 12.6.
 */
final readonly class Ventilation
{
    /** Litres of each breath that only fill the airways. */
    public const DEAD_SPACE = 0.15;

    /** Litres of a resting-size breath. */
    public const RESTING_SIZE = 0.5;

    /** Litres with a top-up. */
    public const TOPPED_UP = 1.2;

    /** Litres of a full breath. */
    public const FULL = 1.5;

    /** Twice and three times the ventilation at rest, l/min. */
    public const TWICE_REST = 8.4;

    public const THREE_TIMES_REST = 12.6;

    /** Seconds of free breathing after which what came before no longer counts. */
    public const RECOVERY_SECONDS = 60.0;

    /**
     * @param  list<array{litres: float, seconds: float, breaths: int}>  $runs  equal breaths in a row, in order; 0 breaths
     *                                                                          stand for free breathing of so many seconds
     */
    public function __construct(private array $runs)
    {
    }

    /**
     * @param  float  $litres  tidal volume
     * @param  float  $seconds  length of one breath, more than 0
     * @return float l/min
     *
     * @throws InvalidValue
     */
    public static function of(float $litres, float $seconds): float
    {
        if (! ($seconds > 0) || ! is_finite($seconds)) {
            throw InvalidValue::because('A breath has a length of more than 0 s.');
        }

        return max(0.0, $litres - self::DEAD_SPACE) * 60 / $seconds;
    }

    /** The greatest of any breath, l/min; 0 without breaths. */
    public function most(): float
    {
        $most = 0.0;
        foreach ($this->runs as $run) {
            $most = $run['breaths'] > 0 ? max($most, self::of($run['litres'], $run['seconds'])) : $most;
        }

        return $most;
    }

    /** Seconds spent in breaths above a limit, counted on until there has been a minute of free breathing; the longest stretch. */
    public function secondsAbove(float $limit): float
    {
        return $this->longest($limit, fn (array $run) => $run['breaths'] * $run['seconds']);
    }

    /** Breaths above a limit, counted on in the same way. */
    public function breathsAbove(float $limit): int
    {
        return (int) $this->longest($limit, fn (array $run) => (float) $run['breaths']);
    }

    /** This, then the other. */
    public function then(self $other): self
    {
        return new self([...$this->runs, ...$other->runs]);
    }

    /** @param  callable(array{litres: float, seconds: float, breaths: int}): float  $of */
    private function longest(float $limit, callable $of): float
    {
        $longest = $sum = $free = 0.0;
        foreach ($this->runs as $run) {
            if ($run['breaths'] === 0) {
                $free += $run['seconds'];
                $sum = $free >= self::RECOVERY_SECONDS - 1e-9 ? 0.0 : $sum;

                continue;
            }
            $free = 0.0;
            if (self::of($run['litres'], $run['seconds']) > $limit + 1e-9) {
                $sum += $of($run);
                $longest = max($longest, $sum);
            }
        }

        return $longest;
    }
}
