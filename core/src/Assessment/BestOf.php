<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** The best of up to three tries of something that is released at the first urge, never a maximum. */
final readonly class BestOf
{
    public const MOST_TRIES = 3;

    /**
     * @param  non-empty-list<float>  $tries
     * @param  float  $best  the longest
     * @param  float  $spread  longest minus shortest
     */
    private function __construct(public array $tries, public float $best, public float $spread)
    {
    }

    /**
     * @param  array<mixed>  $tries  one to three
     * @param  float  $min  least that is possible, likewise the greatest
     * @param  string  $of  unit in words: "seconds"
     *
     * @throws InvalidValue
     */
    public static function of(array $tries, float $min, float $max, string $of): self
    {
        if ($tries === [] || count($tries) > self::MOST_TRIES) {
            throw InvalidValue::because(count($tries).' tries: one to '.self::MOST_TRIES.' are kept.');
        }
        $values = [];
        foreach ($tries as $try) {
            $value = Numbers::read($try, $of);
            if ($value < $min || $value > $max) {
                throw InvalidValue::because(Numbers::print($value)." $of is outside ".Numbers::print($min).' to '.Numbers::print($max).'.');
            }
            $values[] = $value;
        }

        return new self($values, max($values), max($values) - min($values));
    }
}
