<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use IvoryPace\InvalidValue;

/**
 * How far the patient may slow down or speed up an exercise of which only the ratio is prescribed.
 *
 * One factor on all lengths, over 1 is slower. {@see Retiming::tempo()} applies it, from the next breath on.
 */
final readonly class Tempo
{
    public const MIN = 0.5;

    public const MAX = 2.0;

    /**
     * @param  float  $fastest  least factor, 0.5–1
     * @param  float  $slowest  greatest factor, 1–2
     *
     * @throws InvalidValue when out of range
     */
    public function __construct(public float $fastest = 1.0, public float $slowest = 1.0)
    {
        if (! ($fastest >= self::MIN - 1e-9 && $fastest <= 1 + 1e-9)) {
            throw InvalidValue::because("A fastest tempo of $fastest is outside ".self::MIN.' to 1.');
        }
        if (! ($slowest >= 1 - 1e-9 && $slowest <= self::MAX + 1e-9)) {
            throw InvalidValue::because("A slowest tempo of $slowest is outside 1 to ".self::MAX.'.');
        }
    }

    public function canChange(): bool
    {
        return $this->fastest < 1 || $this->slowest > 1;
    }

    /** The factor that is taken when this one is asked for. */
    public function within(float $factor): float
    {
        return max($this->fastest, min($this->slowest, $factor));
    }
}
