<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Fitting;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** Fits a prescription to what a patient can do, and says what was found. */
final class FittingChanges
{
    /**
     * @return array{string, list<Change>} what was found, and changes that fit
     *
     * @throws InvalidValue when there is no ratio, or no limit of its phases is known
     */
    public static function toLimits(Prescription $prescription, ComfortableLimits $limits): array
    {
        $pattern = $prescription->pattern ?? throw InvalidValue::because("{$prescription->name()} has no ratio to fit.");
        $fit = Fitting::toLimits($pattern, $limits);
        $count = min(CountLength::MAX, floor($fit->countSeconds / $prescription->guidance->tempo->slowest * 100 + 1e-9) / 100);
        if ($fit->suits() && $count >= CountLength::MIN) {
            return [
                "The {$fit->limiting->value} limits: {$pattern->toDisplayString()} fits at ".Numbers::print($count).' s a count.',
                [new Change('same ratio at '.Numbers::print($count).' s a count', ['count_length' => $count])],
            ];
        }
        $changes = [];
        if ($fit->nearest !== null) {
            $again = Fitting::toLimits($fit->nearest, $limits);
            $shorter = max(CountLength::MIN, min(CountLength::MAX, floor($again->countSeconds * 100 + 1e-9) / 100));
            $changes[] = new Change("{$fit->nearest->toString()} at ".Numbers::print($shorter).' s a count', ['ratio' => $fit->nearest->toString(), 'count_length' => $shorter, 'slowest' => 1.0]);
        }

        return [sprintf(
            'This ratio does not suit yet: the %s would need counts of %s s, under %s s.%s', $fit->limiting->value,
            Numbers::print(round($fit->countSeconds, 2)), Numbers::print(Fitting::SHORTEST_SENSIBLE_COUNT), $changes === [] ? ' No ratio of this family suits.' : ' The nearest that does:',
        ), $changes];
    }

    /**
     * @param  float  $rate  breaths per minute
     * @return array{string, list<Change>}
     *
     * @throws InvalidValue
     */
    public static function toRate(Prescription $prescription, float $rate): array
    {
        $pattern = $prescription->pattern ?? throw InvalidValue::because("{$prescription->name()} has no ratio to fit.");
        $fit = Fitting::toPlayableRate($pattern, $rate);
        $count = round($fit->countSeconds, 3);

        return [
            $fit->reason ?? "{$pattern->toDisplayString()} has ".Numbers::print($rate).' breaths a minute at '.Numbers::print($count).' s a count.',
            [new Change(Numbers::print($count).' s a count', ['count_length' => $count])],
        ];
    }

    /**
     * @param  float  $minutes  of the exercise itself
     * @return array{string, list<Change>}
     *
     * @throws InvalidValue
     */
    public static function toMinutes(Prescription $prescription, float $minutes): array
    {
        $cycle = $prescription->cycle();
        if ($cycle === null || ! $prescription->technique->countsRepeats() || $prescription->technique->openExhale) {
            throw InvalidValue::because("{$prescription->name()} is not measured in breaths.");
        }
        $breaths = min(Prescription::MAX_BREATHS, Fitting::toMinutes($cycle, $minutes));
        if ($prescription->technique->length === Length::Rounds) {
            $breaths = max(1, intdiv($breaths, 2));
        }

        return [
            "$breaths {$prescription->technique->length->value} are the most that fit.",
            [new Change("$breaths {$prescription->technique->length->value}", ['breaths' => $breaths])],
        ];
    }
}
