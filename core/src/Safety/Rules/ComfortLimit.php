<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Fitting;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\FittingChanges;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\EasierForms;
use IvoryPace\Safety\Rule;

/**
 * A phase longer than the patient was measured to do comfortably; the rest is held to the limit of the hold. Common
 * practice. What is offered begins at 80 % of the limit: a limit is no target.
 */
final class ComfortLimit implements Rule
{
    private const PHASES = [Phase::Exhale, Phase::Hold, Phase::Rest, Phase::Inhale];

    public function id(): string
    {
        return 'COMFORT-LIMIT';
    }

    public function check(Look $look): ?Finding
    {
        $texts = [];
        $numbers = [];
        $field = null;
        foreach (self::PHASES as $phase) {
            $limit = $look->patient->limits->of($phase);
            $seconds = self::seconds($look, $phase);
            if ($limit === null || $seconds <= $limit + 1e-9) {
                continue;
            }
            $field ??= $phase->value;
            $texts[] = "{$phase->value} of ".Numbers::print($seconds).' s; the comfortable limit measured is '.Numbers::print($limit).' s';
            // Longer, or beside a limit that has become shorter: both are worse.
            $numbers[$phase->value] = $seconds / $limit;
        }

        return $field === null ? null : new Finding(
            $this->id(), Level::Caution, 'Longer than comfortable', ucfirst(implode('. ', array_map(ucfirst(...), $texts))).'.', $field,
            new Cause([], $numbers),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        $cycle = $look->prescription->longestCycle();

        return $cycle === null ? [] : [...self::fits($look, $cycle), ...EasierForms::of($look->item)];
    }

    /** 0 where it ends when the patient says so. */
    private static function seconds(Look $look, Phase $phase): float
    {
        return match ($phase) {
            Phase::Inhale, Phase::TopUp => $look->of->inhale,
            Phase::Hold => $look->of->hold,
            Phase::Exhale => $look->prescription->hasOpenExhale() ? 0.0 : $look->of->exhale,
            Phase::Rest => $look->of->rest,
        };
    }

    /** @return list<Change> at the share of the limits with which one begins, then at the whole of them */
    private static function fits(Look $look, Cycle $cycle): array
    {
        $changes = [];
        $slowest = $look->prescription->guidance->tempo->slowest;
        try {
            $fit = Fitting::toLimits($cycle->pattern, $look->patient->limits);
            foreach ($fit->suits() ? FittingChanges::counts($fit, $slowest) : [] as $place => $count) {
                $changes[] = new Change(
                    'fit: same ratio at '.Numbers::print($count).' s a count'.($place === 0 ? '' : ', the full limit')
                        .FittingChanges::slow($cycle->pattern, $count * $slowest),
                    ['count_length' => $count],
                );
            }
        } catch (InvalidValue) {
            // No counted phase has a limit: only soft pauses are too long.
        }
        foreach ([[Fitting::FIRST_SHARE, ''], [1.0, ', the full limit']] as [$share, $words]) {
            $shorter = self::shortened($look, $cycle, $share);
            if ($shorter !== null) {
                $changes[] = new Change('shorter phases: '.$shorter->toString().$words, ['ratio' => $shorter->toString()]);
            }
        }

        return $changes;
    }

    /** Whole counts within a share of the limits, or hundredths where less than one count would be left. */
    private static function shortened(Look $look, Cycle $cycle, float $share): ?BreathPattern
    {
        // What grows is written as its first breath; the longest is what has to fit.
        $written = $look->prescription->pattern ?? $cycle->pattern;
        $pattern = $written;
        foreach (self::PHASES as $phase) {
            $limit = $look->patient->limits->of($phase);
            if ($limit === null || self::seconds($look, $phase) <= $limit + 1e-9) {
                continue;
            }
            $most = $limit * $share / $cycle->countLength->seconds;
            $grows = max(0.0, $cycle->pattern->counts($phase)->toFloat() - $written->counts($phase)->toFloat());
            $counts = $most >= 1 || $grows > 0 ? floor($most - $grows + 1e-9) : floor($most * 100 + 1e-9) / 100;
            if ($counts <= 0 && ($phase === Phase::Inhale || $phase === Phase::Exhale)) {
                return null;
            }
            if ($phase === Phase::Inhale) {
                $pattern = $pattern->with(Phase::TopUp, Counts::zero());
            }
            $pattern = $pattern->with($phase, Counts::of($counts));
        }

        return $pattern->equals($written) ? null : $pattern;
    }
}
