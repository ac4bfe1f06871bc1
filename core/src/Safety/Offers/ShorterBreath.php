<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Offers;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Fitting;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Change;
use IvoryPace\Numbers;
use IvoryPace\Safety\Look;

/** Offers the same breath with shorter phases, or with shorter counts. No phase ever grows. */
final class ShorterBreath
{
    /**
     * Pauses longer than a mark come down to none, and to so many seconds.
     *
     * @param  float  $above  seconds from which a pause is cut
     * @param  float  $to  seconds to which it may come down
     * @return list<Change>
     */
    public static function pauses(Look $look, float $above, float $to): array
    {
        $cycle = $look->prescription->longestCycle();
        if ($cycle === null) {
            return [];
        }
        $none = self::capped($cycle, [Phase::Hold, Phase::Rest], $above, 0.0);
        $short = self::capped($cycle, [Phase::Hold, Phase::Rest], $above, $to);
        $changes = [new Change('no long pause: '.$none->toString(), ['ratio' => $none->toString()])];
        if (! $short->equals($none) && ! $short->equals($cycle->pattern)) {
            $changes[] = new Change('pause of at most '.Numbers::print($to).' s: '.$short->toString(), ['ratio' => $short->toString()]);
        }

        return $changes;
    }

    /**
     * One phase comes down to so many seconds.
     *
     * @return list<Change>
     */
    public static function phase(Look $look, Phase $phase, float $seconds): array
    {
        $cycle = $look->prescription->longestCycle();
        if ($cycle === null) {
            return [];
        }
        $pattern = self::capped($cycle, [$phase], $seconds, $seconds);

        return $pattern->equals($cycle->pattern)
            ? []
            : [new Change("shorter {$phase->value}: ".$pattern->toString(), ['ratio' => $pattern->toString()])];
    }

    /**
     * The whole breath comes down to so many seconds: by shorter counts, or by fewer of them in about the same proportion.
     *
     * @return list<Change>
     */
    public static function whole(Look $look, float $seconds): array
    {
        $cycle = $look->prescription->longestCycle();
        if ($cycle === null || $cycle->seconds() <= $seconds) {
            return [];
        }
        $changes = [];
        $soft = $cycle->pattern->softHold + $cycle->pattern->softRest;
        $count = floor(
            ($seconds - $soft) / $cycle->pattern->totalCounts() / $look->prescription->guidance->tempo->slowest * 100 + 1e-9,
        ) / 100;
        if ($count >= Fitting::SHORTEST_SENSIBLE_COUNT && $count <= CountLength::MAX) {
            $changes[] = new Change('shorter count: '.Numbers::print($count).' s', ['count_length' => $count]);
        }
        $share = ($seconds - $soft) / ($cycle->seconds() - $soft);
        $fewer = $share <= 0 ? null : self::scaled($cycle->pattern, $share);
        if ($fewer !== null && ! $fewer->equals($cycle->pattern)) {
            $changes[] = new Change('shorter phases: '.$fewer->toString(), ['ratio' => $fewer->toString()]);
        }

        return $changes;
    }

    /** @param  list<Phase>  $phases  those longer than a mark come down, in whole counts where that is possible */
    private static function capped(Cycle $cycle, array $phases, float $above, float $seconds): BreathPattern
    {
        $pattern = $cycle->pattern;
        foreach ($phases as $phase) {
            $long = $phase === Phase::Inhale ? $cycle->inhaleSeconds() : $cycle->phaseSeconds($phase);
            if ($long <= $above + 1e-9) {
                continue;
            }
            $most = $seconds / $cycle->countLength->seconds;
            $counts = $most >= 1 || $seconds <= 0.0 || ! in_array($phase, [Phase::Inhale, Phase::Exhale], true)
                ? floor($most + 1e-9) : floor($most * 100 + 1e-9) / 100;
            if ($phase === Phase::Inhale) {
                $pattern = $pattern->with(Phase::TopUp, Counts::zero());
            }
            $pattern = $pattern->with($phase, Counts::of($counts));
        }

        return $pattern;
    }

    /** Whole counts, at least one of inhale and exhale; null where that would not be shorter. */
    private static function scaled(BreathPattern $pattern, float $share): ?BreathPattern
    {
        $scaled = $pattern;
        foreach (Phase::cases() as $phase) {
            $counts = $pattern->counts($phase)->toFloat();
            $isMoving = $phase === Phase::Inhale || $phase === Phase::Exhale;
            if ($counts > 0) {
                $scaled = $scaled->with($phase, Counts::of(min($counts, max($isMoving ? 1.0 : 0.0, floor($counts * $share + 1e-9)))));
            }
        }

        return $scaled->totalCounts() < $pattern->totalCounts() ? $scaled : null;
    }
}
