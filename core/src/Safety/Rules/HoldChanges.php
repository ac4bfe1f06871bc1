<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Change;

/** Looks at pauses in the breath, and offers the same breath with shorter ones. A long rest is a hold with empty lungs. */
final class HoldChanges
{
    /** Seconds of hold or rest that need no care. */
    public const SHORT = 2.0;

    /** Seconds above which a pause needs a reason. */
    public const LONG = 10.0;

    /** The longer of hold and rest in seconds. */
    public static function longestPause(Cycle $cycle): float
    {
        return max($cycle->phaseSeconds(Phase::Hold), $cycle->phaseSeconds(Phase::Rest));
    }

    public static function field(Cycle $cycle): string
    {
        return $cycle->phaseSeconds(Phase::Hold) >= $cycle->phaseSeconds(Phase::Rest) ? 'hold' : 'rest';
    }

    /** @return list<Change> */
    public static function for(Cycle $cycle): array
    {
        $shortest = self::capped($cycle, 0.0);
        $changes = [new Change('no long pause: '.$shortest->toString(), ['ratio' => $shortest->toString()])];
        $short = self::capped($cycle, self::SHORT);
        if (! $short->equals($shortest)) {
            $changes[] = new Change('pause of at most 2 s: '.$short->toString(), ['ratio' => $short->toString()]);
        }

        return $changes;
    }

    /** Pauses longer than 2 s come down to the given seconds, in whole counts where that is possible. */
    private static function capped(Cycle $cycle, float $seconds): BreathPattern
    {
        $pattern = $cycle->pattern;
        foreach ([Phase::Hold, Phase::Rest] as $phase) {
            if ($cycle->phaseSeconds($phase) > self::SHORT + 1e-9) {
                $counts = floor($seconds / $cycle->countLength->seconds + 1e-9);
                $pattern = $pattern->with($phase, Counts::of($counts));
            }
        }

        return $pattern;
    }
}
