<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;

/** Seconds per count, 0.4 to 2.0; 1.0 unless the prescriber says otherwise. */
final readonly class CountLength
{
    public const MIN = 0.4;

    public const MAX = 2.0;

    private function __construct(public float $seconds)
    {
    }

    /** @throws InvalidValue when outside 0.4–2.0 s */
    public static function seconds(float $seconds): self
    {
        if (! ($seconds >= self::MIN - 1e-9 && $seconds <= self::MAX + 1e-9)) {
            throw InvalidValue::because(sprintf(
                'A count of %s s is outside %.1f to %.1f seconds.', is_finite($seconds) ? round($seconds, 3) : 'no', self::MIN, self::MAX,
            ));
        }

        return new self($seconds);
    }

    public static function standard(): self
    {
        return new self(1.0);
    }

    /**
     * As long as a count really lasts when the patient changes the pace: what may be prescribed does not bind it.
     *
     * @param  float  $factor  more than 0; over 1 is slower
     *
     * @throws InvalidValue when the factor is not positive
     */
    public function at(float $factor): self
    {
        if (! ($factor > 0) || ! is_finite($factor)) {
            throw InvalidValue::because('A tempo is more than 0.');
        }

        return new self($this->seconds * $factor);
    }
}
