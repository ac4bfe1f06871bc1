<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

/**
 * Which of a day's practices is counted for which of its times. A practice counts for the time that it was started
 * from; one from another time, or from none, for the first time that is still without; what is left over tops up times
 * that were practised in part. So the credits add up to that of the day: min(done, due).
 */
final class SlotCredit
{
    /**
     * @param  list<DueSlot>  $slots  of the day, by opening
     * @param  list<PracticeRecord>  $records  of the day, by start
     * @return list<DueSlot> the times for which nothing was begun
     */
    public static function free(array $slots, array $records): array
    {
        return array_values(array_intersect_key($slots, array_filter(self::of($slots, $records), is_null(...))));
    }

    /**
     * @param  list<DueSlot>  $slots  that were due, by opening
     * @param  list<PracticeRecord>  $records  of the day, by start
     * @return list<float|null> 0–1 for each slot; null when nothing was begun for it
     */
    public static function of(array $slots, array $records): array
    {
        $credit = array_fill(0, count($slots), null);
        $left = [];
        foreach ($records as $record) {
            $place = null;
            foreach ($slots as $index => $slot) {
                if ($credit[$index] === null && $record->anchor === $slot->anchor) {
                    $place = $index;
                    break;
                }
            }
            if ($place === null) {
                $left[] = $record->completeness;
            } else {
                $credit[$place] = $record->completeness;
            }
        }
        foreach ($credit as $index => $given) {
            if ($given === null && $left !== []) {
                $credit[$index] = array_shift($left);
            }
        }
        // Something is left over only where every time has a practice.
        $over = (float) array_sum($left);
        foreach ($credit as $index => $given) {
            if ($given !== null) {
                $more = min(1.0 - $given, $over);
                $credit[$index] = $given + $more;
                $over -= $more;
            }
        }

        return array_values($credit);
    }
}
