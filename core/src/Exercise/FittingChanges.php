<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Fit;
use IvoryPace\Breath\Fitting;
use IvoryPace\Breath\RateFit;
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
        $slowest = $prescription->guidance->tempo->slowest;
        $counts = self::counts($fit, $slowest);
        if ($fit->suits() && $counts !== []) {
            $changes = array_map(fn (float $count, int $place) => new Change(
                'same ratio at '.Numbers::print($count).' s a count'.($place === 0 ? '' : ', the full limit')
                    .self::slow($pattern, $count * $slowest),
                ['count_length' => $count],
            ), $counts, array_keys($counts));
            $full = $counts[count($counts) - 1];

            return [sprintf(
                'The %s limits: %s fits at %s s a count%s.', $fit->limiting->value, $pattern->toDisplayString(), Numbers::print($full),
                count($counts) > 1
                    ? '; begin at '.Numbers::print($counts[0]).' s, '.Numbers::print(Fitting::FIRST_SHARE * 100).' % of the limit'
                    : '',
            ), $changes];
        }
        $changes = [];
        if ($fit->nearest !== null) {
            $again = Fitting::toLimits($fit->nearest, $limits);
            foreach (self::counts($again, 1.0) as $place => $shorter) {
                $changes[] = new Change(
                    "{$fit->nearest->toString()} at ".Numbers::print($shorter).' s a count'.($place === 0 ? '' : ', the full limit')
                        .self::slow($fit->nearest, $shorter),
                    ['ratio' => $fit->nearest->toString(), 'count_length' => $shorter, 'slowest' => 1.0],
                );
            }
        }

        return [sprintf(
            'This ratio does not suit yet: the %s would need counts of %s s, under %s s.%s', $fit->limiting->value,
            Numbers::print($fit->countSeconds, 2), Numbers::print(Fitting::SHORTEST_SENSIBLE_COUNT),
            $changes === [] ? ' No ratio of this family suits.' : ' The nearest that does:',
        ), $changes];
    }

    /** @return list<float> count lengths in s that fit, at the share of the limit with which one begins, then at the whole of it */
    public static function counts(Fit $fit, float $slowest): array
    {
        $most = floor(min(CountLength::MAX, $fit->countSeconds) / $slowest * 100 + 1e-9) / 100;
        $first = max(CountLength::MIN, floor($most * Fitting::FIRST_SHARE * 100 + 1e-9) / 100);

        return array_values(
            array_unique(array_filter([$first, $most], fn (float $count) => $count >= CountLength::MIN && $count <= $most)),
        );
    }

    /** Says so where it would be slower than is usual. */
    public static function slow(BreathPattern $pattern, float $countSeconds): string
    {
        $rate = 60 / ($pattern->totalCounts() * $countSeconds + $pattern->softHold + $pattern->softRest);

        return Fitting::isVerySlow($rate) ? ', under '.Numbers::print(Fitting::VERY_SLOW).' a minute' : '';
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
            $fit->reason ?? "{$pattern->toDisplayString()} has ".Numbers::print($rate).' breaths a minute at '.Numbers::print($count)
                .' s a count.',
            [new Change(Numbers::print($count).' s a count', ['count_length' => $count]), ...self::inWholeSeconds($pattern, $rate)],
        ];
    }

    /**
     * A rate reached week by week, each week slower by the same share, with the count length of this pattern at each.
     *
     * @param  float  $from  breaths per minute now
     * @param  float  $goal  breaths per minute, no faster
     * @param  int  $weeks  1–52
     * @return array{string, list<Change>} the first step is offered; the later ones are said
     *
     * @throws InvalidValue
     */
    public static function overWeeks(Prescription $prescription, float $from, float $goal, int $weeks): array
    {
        $pattern = $prescription->pattern ?? throw InvalidValue::because("{$prescription->name()} has no ratio to fit.");
        $rates = array_slice(Fitting::stepsOverWeeks($from, $goal, $weeks), 1);
        $fits = array_map(fn (float $rate) => Fitting::toPlayableRate($pattern, $rate), $rates);
        $steps = array_map(
            fn (RateFit $fit, int $week) => 'week '.($week + 1).': '.Numbers::print($fit->rate, 1).' at '.Numbers::print($fit->countSeconds)
                .' s',
            $fits, array_keys($fits),
        );
        $first = round($fits[0]->countSeconds, 3);

        return [
            'From '.Numbers::print($from).' to '.Numbers::print($goal)." breaths a minute with {$pattern->toDisplayString()}: "
                .implode(', ', $steps).' a count.',
            [new Change('week 1: '.Numbers::print($first).' s a count', ['count_length' => $first])],
        ];
    }

    /** @return list<Change> the same lengths in whole counts of a second, as they are counted without a player */
    private static function inWholeSeconds(BreathPattern $pattern, float $rate): array
    {
        if (! $pattern->topUp->isZero() || $pattern->softHold > 0 || $pattern->softRest > 0) {
            return [];
        }
        $count = Fitting::toRate($pattern, $rate);
        $seconds = array_map(
            fn (Counts $counts) => $counts->toFloat() * $count, [$pattern->inhale, $pattern->hold, $pattern->exhale, $pattern->rest],
        );
        try {
            $whole = Fitting::nearestWholeCounts(...[...$seconds, CountLength::standard()]);
        } catch (InvalidValue) {
            return []; // Too short a breath for whole seconds.
        }
        $label = "{$whole->toString()} in whole seconds, ".Numbers::print(60 / $whole->totalCounts(), 1).' a minute';

        return [new Change($label, ['ratio' => $whole->toString(), 'count_length' => CountLength::standard()->seconds])];
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
        if ($cycle === null || ! $prescription->technique->countsRepeats() || $prescription->hasOpenExhale()) {
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
