<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\Median;

/** A symptom day by day: what is drawn beside the tallies. */
final class DailyLine
{
    /**
     * @param  list<array{string, int|float}>  $ratings  date and 0–10; several of a day count by their median
     * @return list<float|null> one for each day, both included; null where nothing was rated
     */
    public static function of(array $ratings, PatientDay $from, PatientDay $to): array
    {
        $byDay = [];
        foreach ($ratings as [$date, $rating]) {
            $byDay[$date][] = $rating;
        }

        return array_map(fn (PatientDay $day) => isset($byDay[$day->date]) ? Median::of($byDay[$day->date]) : null, $from->through($to));
    }
}
