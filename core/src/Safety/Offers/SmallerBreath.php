<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Offers;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Ventilation;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Effort;
use IvoryPace\Numbers;
use IvoryPace\Safety\Look;

/** Offers less air a minute: smaller breaths, fewer of them in a row, slower ones. */
final class SmallerBreath
{
    public static function restingSize(): Change
    {
        return new Change('resting-size breaths', ['effort' => Effort::Gentle->value]);
    }

    /**
     * Without the second inhale. A technique that is a double inhale would be another one then.
     *
     * @return list<Change>
     */
    public static function withoutTopUp(Look $look): array
    {
        $pattern = $look->prescription->pattern;
        if ($pattern === null || $pattern->topUp->isZero()) {
            return [];
        }
        $technique = $look->prescription->technique;
        if ($technique->ratio !== null && ! BreathPattern::parse($technique->ratio)->topUp->isZero()) {
            return [OtherTechnique::extendedExhale($look->item, 'without the top-up: extended exhale')];
        }
        $without = $pattern->with(Phase::TopUp, Counts::zero())->toString();

        return [new Change("without the top-up: $without", ['ratio' => $without])];
    }

    /**
     * Resting size, so many in a row, or slower.
     *
     * @param  int|null  $breaths  in a row; null where fewer do not help
     * @param  float  $limit  l/min
     * @return list<Change>
     */
    public static function lessAir(Look $look, ?int $breaths, float $limit): array
    {
        $prescription = $look->prescription;
        $changes = $prescription->isFullSize() ? [self::restingSize()] : [];
        if ($breaths !== null && $breaths >= 1 && $prescription->breaths !== null && $breaths < $prescription->breaths) {
            $changes[] = new Change("$breaths {$prescription->technique->length->value}", ['breaths' => $breaths]);
        }
        $count = self::countFor($look, $limit);
        if ($count !== null) {
            $changes[] = new Change('slower: '.Numbers::print($count).' s a count', ['count_length' => $count]);
        }
        if ($prescription->guidance->tempo->fastest < 1) {
            $changes[] = new Change('never faster than prescribed', ['fastest' => 1.0]);
        }

        return [...$changes, ...self::withoutTopUp($look), ...EasierForms::of($look->item)];
    }

    /** The shortest count at which no breath passes the limit; null where there is none. */
    private static function countFor(Look $look, float $limit): ?float
    {
        $shortest = $look->prescription->shortestCycle();
        if ($shortest === null) {
            return null;
        }
        $seconds = ($look->prescription->tidalLitres() - Ventilation::DEAD_SPACE) * 60 / $limit;
        $soft = $shortest->pattern->softHold + $shortest->pattern->softRest;
        $count = ceil(
            ($seconds - $soft) / $shortest->pattern->totalCounts() / $look->prescription->guidance->tempo->fastest * 100 - 1e-9,
        ) / 100;

        return $count > $look->prescription->countLength->seconds
            && $count * $look->prescription->guidance->tempo->slowest <= CountLength::MAX
            ? $count
            : null;
    }
}
