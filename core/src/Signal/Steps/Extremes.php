<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Steps;

/**
 * Peaks that stand out and do not crowd. The same steps as scipy's find_peaks: local maxima, of a flat one the middle; of two that
 * are too near the lower goes; then by prominence, the height over the higher of the two saddles beside it.
 */
final readonly class Extremes
{
    /**
     * @param  list<float>  $values
     * @param  list<int>  $far  places of maxima that are far enough from each other
     */
    private function __construct(private array $values, private array $far)
    {
    }

    /**
     * @param  list<float>  $values
     * @param  int  $distance  least, in samples
     */
    public static function of(array $values, int $distance): self
    {
        return new self($values, self::apart(self::maxima($values), $values, $distance));
    }

    /**
     * @param  float  $prominence  least, in the values' unit
     * @return list<int> places, in order
     */
    public function peaks(float $prominence): array
    {
        return array_values(array_filter($this->far, fn (int $peak) => self::standsOut($this->values, $peak, $prominence)));
    }

    /**
     * @param  list<float>  $values
     * @return list<int>
     */
    private static function maxima(array $values): array
    {
        $peaks = [];
        $last = count($values) - 1;
        for ($index = 1; $index < $last; $index++) {
            if ($values[$index - 1] >= $values[$index]) {
                continue;
            }
            $ahead = $index + 1;
            while ($ahead < $last && $values[$ahead] === $values[$index]) {
                $ahead++;
            }
            if ($values[$ahead] < $values[$index]) {
                $peaks[] = intdiv($index + $ahead - 1, 2);
                $index = $ahead;
            }
        }

        return $peaks;
    }

    /**
     * @param  list<int>  $peaks
     * @param  list<float>  $values
     * @return list<int>
     */
    private static function apart(array $peaks, array $values, int $distance): array
    {
        $order = array_keys($peaks);
        // The highest first; of two that are as high the later.
        usort($order, fn (int $one, int $other) => [$values[$peaks[$other]], $other] <=> [$values[$peaks[$one]], $one]);
        $goes = [];
        foreach ($order as $which) {
            if (isset($goes[$which])) {
                continue;
            }
            for ($before = $which - 1; $before >= 0 && $distance > $peaks[$which] - $peaks[$before]; $before--) {
                $goes[$before] = true;
            }
            for ($after = $which + 1; $after < count($peaks) && $distance > $peaks[$after] - $peaks[$which]; $after++) {
                $goes[$after] = true;
            }
        }

        return array_values(array_diff_key($peaks, $goes));
    }

    /**
     * Whether both saddles are low enough: it is walked no further than until that is known.
     *
     * @param  list<float>  $values
     */
    private static function standsOut(array $values, int $peak, float $prominence): bool
    {
        return self::fallsTo($values, $peak, -1, $prominence) && self::fallsTo($values, $peak, 1, $prominence);
    }

    /** @param  list<float>  $values */
    private static function fallsTo(array $values, int $peak, int $step, float $prominence): bool
    {
        $height = $values[$peak];
        $enough = $height - $prominence;
        for ($index = $peak + $step; isset($values[$index]) && $values[$index] <= $height; $index += $step) {
            if ($values[$index] <= $enough) {
                return true;
            }
        }

        return $prominence <= 0.0;
    }
}
