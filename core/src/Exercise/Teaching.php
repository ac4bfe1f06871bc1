<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Health\StopSymptom;

/** How a technique is taught: what it is for, what right looks like, what may be felt, and when to stop. */
final readonly class Teaching
{
    /**
     * @param  list<Purpose>  $uses
     * @param  list<string>  $times  translation keys of the best time of day
     * @param  list<string>  $right  translation keys: what right looks like
     * @param  list<string>  $mistakes  translation keys: usual mistakes
     * @param  list<string>  $feels  translation keys: what may be felt and is no reason to stop
     * @param  list<StopSymptom>  $stops  what most likely makes someone stop this one
     * @param  list<string>  $attention  translation keys of what to attend to while nothing is counted
     */
    private function __construct(
        public array $uses,
        public array $times,
        public array $right,
        public array $mistakes,
        public array $feels,
        public array $stops,
        public array $attention,
    ) {
    }

    /**
     * @param  string  $key  of the technique
     * @param  list<Purpose>  $uses
     * @param  list<string>  $times  waking, evening, lights-out, meals, anytime, when-needed, breaks
     * @param  list<string>  $right  last parts of the keys, likewise mistakes and attention
     * @param  list<string>  $mistakes
     * @param  list<string>  $feels  last parts of keys that techniques share
     * @param  list<StopSymptom>  $stops
     * @param  list<string>  $attention
     */
    public static function of(
        string $key, array $uses, array $times, array $right, array $mistakes, array $feels, array $stops, array $attention = [],
    ): self {
        $own = fn (string $kind, array $parts): array => array_map(fn (string $part) => "exercise.$key.$kind.$part", array_values($parts));

        return new self(
            $uses, array_map(fn (string $time) => "exercise.time.$time", $times), $own('right', $right), $own('mistake', $mistakes),
            array_map(fn (string $feeling) => "exercise.feels.$feeling", $feels), $stops, $own('attend', $attention),
        );
    }
}
