<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Fitting;
use IvoryPace\Exercise\Change;
use IvoryPace\Numbers;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Rule;

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

    public function check(Look $look): ?Finding
    {
        $cycle = $look->prescription->longestCycle();
        $atRest = $look->patient->restingRate;
        if ($cycle === null || $atRest === null || $look->patient->programmeDay >= self::FIRST_DAYS
            || $cycle->rate() >= self::SHARE * $atRest - 1e-9
            || $look->prescription->exerciseSeconds() <= self::SECONDS + 1e-9) {
            return null;
        }

        return new Finding(
            $this->id(), Level::Note, 'Much slower than at rest',
            Numbers::print(round($cycle->rate(), 1)).' a minute for over 3 min; at rest '.Numbers::print($atRest).' a minute. First '
                .self::FIRST_DAYS.' days.',
            'count_length',
            new Cause([], ['slower' => $atRest / $cycle->rate()]),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        $cycle = $look->prescription->longestCycle();
        $atRest = $look->patient->restingRate;
        if ($cycle === null || $atRest === null) {
            return [];
        }
        $breaths = max(1, $cycle->breathsIn(self::SECONDS));
        $between = self::countForARateBetween($cycle, $atRest, $look->prescription->guidance->tempo->slowest);

        return [
            new Change("at most 3 min: $breaths breaths", ['breaths' => $breaths]),
            ...(
                $between === null
                    ? []
                    : [new Change('a pace between the two: '.Numbers::print($between).' s a count', ['count_length' => $between])]
            ),
        ];
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
