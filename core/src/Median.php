<?php

declare(strict_types=1);

namespace IvoryPace;

/** The middle of values; of an even number of them, the mean of the two in the middle. */
final class Median
{
    /**
     * @param  array<array-key, int|float>  $values  in any order
     *
     * @throws InvalidValue when there are none
     */
    public static function of(array $values): float
    {
        if ($values === []) {
            throw InvalidValue::because('Of nothing there is no middle.');
        }
        sort($values);
        $n = count($values);

        return ($values[intdiv($n - 1, 2)] + $values[intdiv($n, 2)]) / 2;
    }
}
