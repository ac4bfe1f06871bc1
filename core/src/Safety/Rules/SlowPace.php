<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Fitting;
use IvoryPace\Exercise\Change;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** Much slower than the resting rate for over 3 min without a break in the first 14 days. Common practice. */
final class SlowPace implements Rule
{
    private const SHARE = 0.6;

    private const SECONDS = 180.0;

    private const FIRST_DAYS = 14;

    public function id(): string
    {
        return 'PACE-SLOW';
    }

    public function level(): Level
    {
        return Level::Note;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $cycle = $item->prescription->longestCycle();
        if ($cycle === null || $patient->restingRate === null || $patient->programmeDay >= self::FIRST_DAYS
            || $cycle->rate() >= self::SHARE * $patient->restingRate - 1e-9
            || $item->prescription->exerciseSeconds() <= self::SECONDS + 1e-9) {
            return null;
        }
        $breaths = max(1, $cycle->breathsIn(self::SECONDS));
        $changes = [new Change("at most 3 min: $breaths breaths", ['breaths' => $breaths])];
        $between = self::countForARateBetween($cycle, $patient->restingRate, $item->prescription->guidance->tempo->slowest);
        if ($between !== null) {
            $changes[] = new Change('a pace between the two: '.Words::number($between).' s a count', ['count_length' => $between]);
        }

        return new Finding(
            $this->id(), $this->level(), 'Much slower than at rest',
            Words::number(round($cycle->rate(), 1)).' a minute for over 3 min; at rest '.Words::number($patient->restingRate).' a minute. First '.self::FIRST_DAYS.' days.',
            'count_length', $changes, 'Common practice.',
        );
    }

    private static function countForARateBetween(Cycle $cycle, float $restingRate, float $slowest): ?float
    {
        $rate = max(($cycle->rate() + $restingRate) / 2, self::SHARE * $restingRate);
        if (60 / $rate <= $cycle->pattern->softHold + $cycle->pattern->softRest) {
            return null;
        }
        $count = floor(Fitting::toRate($cycle->pattern, $rate) / $slowest * 100 + 1e-9) / 100;

        return $count >= CountLength::MIN ? $count : null;
    }
}
