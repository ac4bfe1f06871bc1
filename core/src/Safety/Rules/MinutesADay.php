<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** More minutes a day than the patient said they have. Arithmetic. */
final class MinutesADay implements Rule
{
    public function id(): string
    {
        return 'MINUTES-A-DAY';
    }

    public function level(): Level
    {
        return Level::Note;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $byWeekday = $item->minutesByWeekday();
        foreach ($others as $other) {
            foreach ($other->minutesByWeekday() as $weekday => $minutes) {
                $byWeekday[$weekday] += $minutes;
            }
        }
        $most = max($byWeekday);
        $has = $patient->minutesADay;
        if ($has === null || $item->plan === null || $most <= $has + 1e-9) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'More than the patient has time for',
            Words::number(round($most, 1)).' min on the fullest day; the patient said '.Words::number($has).' min.',
            'times_a_day', $this->changes($item, max($item->plan->practicesByWeekday()), $has - ($most - max($item->minutesByWeekday()))), 'Arithmetic.',
        );
    }

    /**
     * @param  int  $times  practices on the fullest day
     * @param  float  $has  minutes that the other exercises leave
     * @return list<Change>
     */
    private function changes(Item $item, int $times, float $has): array
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
                $changes[] = new Change(Words::number($minutes).' min each', ['minutes' => $minutes]);
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
