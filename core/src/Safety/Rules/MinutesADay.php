<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Numbers;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Rule;

/** More minutes a day than the patient said they have. Arithmetic. */
final class MinutesADay implements Rule
{
    public function id(): string
    {
        return 'MINUTES-A-DAY';
    }

    public function check(Look $look): ?Finding
    {
        $most = self::fullest($look);
        $has = $look->patient->minutesADay;
        if ($has === null || $look->item->plan === null || $most <= $has + 1e-9) {
            return null;
        }

        return new Finding(
            $this->id(), Level::Note, 'More than the patient has time for',
            Numbers::print($most, 1).' min on the fullest day; the patient said '.Numbers::print($has).' min.', 'times_a_day',
            new Cause([], ['minutes' => $most / $has]), basis: 'Arithmetic.',
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        $has = $look->patient->minutesADay;
        $plan = $look->item->plan;

        return $has === null || $plan === null ? []
            : $this->fitting(
                $look->item, max($plan->practicesByWeekday()), $has - (self::fullest($look) - max($look->item->minutesByWeekday())),
            );
    }

    /** Minutes on the fullest day of the week, of the whole programme. */
    private static function fullest(Look $look): float
    {
        $byWeekday = $look->item->minutesByWeekday();
        foreach ($look->others as $other) {
            foreach ($other->minutesByWeekday() as $weekday => $minutes) {
                $byWeekday[$weekday] += $minutes;
            }
        }

        return max($byWeekday);
    }

    /**
     * @param  int  $times  practices on the fullest day
     * @param  float  $has  minutes that the other exercises leave
     * @return list<Change>
     */
    private function fitting(Item $item, int $times, float $has): array
    {
        if ($has <= 0) {
            return []; // the other exercises take all of it
        }
        $prescription = $item->prescription;
        $each = $item->seconds() / 60;
        $changes = [];
        $fewer = (int) floor($has / $each + 1e-9);
        if ($fewer >= 1 && $fewer < $times) {
            $changes[] = new Change("$fewer × a day", ['times_a_day' => $fewer]);
        }
        $cycle = $prescription->cycle();
        if ($cycle === null) {
            $minutes = floor($has / $times * 2 + 1e-9) / 2;
            if ($minutes >= 0.5) {
                $changes[] = new Change(Numbers::print($minutes).' min each', ['minutes' => $minutes]);
            }
        } else {
            $breaths = $cycle->breathsIn($has * 60 / $times);
            if ($breaths >= 1) {
                $changes[] = new Change("$breaths breaths each", ['breaths' => $breaths]);
            }
        }

        return $changes;
    }
}
