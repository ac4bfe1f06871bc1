<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

/**
 * The points of single values, in the one place where their limits stand. Values are rounded to whole numbers first, half
 * up. Source: Royal College of Physicians, National Early Warning Score (NEWS) 2, London 2017 (from memory). Oxygen that
 * is breathed is not added.
 */
final class EarlyWarning
{
    public const SOURCE = 'Royal College of Physicians, National Early Warning Score (NEWS) 2, 2017 (from memory).';

    /** Points of one value that are urgent alone. */
    public const SINGLE = 3;

    /** Points together from which they are urgent. */
    public const SUM = 5;

    /** Saturation that is urgent whatever the patient's own range is, %. */
    public const ALWAYS_LOW_SATURATION = 83;

    /** For each measure the least value of each band, from the lowest band up, with its points. */
    private const BANDS = [
        'resting-rate' => [[0, 3], [9, 1], [12, 0], [21, 2], [25, 3]],
        'saturation' => [[0, 3], [92, 2], [94, 1], [96, 0]],
        'pulse' => [[0, 3], [41, 1], [51, 0], [91, 1], [111, 2], [131, 3]],
        'systolic' => [[0, 3], [91, 2], [101, 1], [111, 0], [220, 3]],
    ];

    /** @return int|null 0–3; null for a measure that has none */
    public static function points(Measure $measure, float $value): ?int
    {
        $points = null;
        foreach (self::BANDS[$measure->value] ?? [] as [$from, $ofBand]) {
            if (self::whole($value) >= $from) {
                $points = $ofBand;
            }
        }

        return $points;
    }

    /**
     * The points of a saturation of someone whose own normal range is recorded: none inside or above it.
     *
     * @param  float  $ownLow  its lower end, %
     */
    public static function pointsOfOwnRange(float $saturation, float $ownLow): int
    {
        return self::whole($saturation) <= self::ALWAYS_LOW_SATURATION || self::whole($saturation) < $ownLow ? self::SINGLE : 0;
    }

    /**
     * The values that are not urgent alone.
     *
     * @return array{int, int}|null least and greatest; null for a measure without points
     */
    public static function range(Measure $measure): ?array
    {
        $bands = self::BANDS[$measure->value] ?? null;
        if ($bands === null) {
            return null;
        }
        $last = $bands[count($bands) - 1];

        return [$bands[1][0], $last[1] === self::SINGLE ? $last[0] - 1 : PHP_INT_MAX];
    }

    /** Breaths a minute that are not urgent and want an explanation. */
    public static function wantsExplanation(Measure $measure, float $value): bool
    {
        return $measure === Measure::RestingRate && self::points($measure, $value) === 2;
    }

    /** Half up. */
    public static function whole(float $value): int
    {
        return (int) floor($value + 0.5);
    }
}
