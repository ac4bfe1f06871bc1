<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Fitting;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Change;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** Inhale, hold or exhale longer than the patient was measured to do comfortably. Common practice. */
final class ComfortLimit implements Rule
{
    private const PHASES = [Phase::Exhale, Phase::Hold, Phase::Inhale];

    public function id(): string
    {
        return 'COMFORT-LIMIT';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $cycle = $item->prescription->longestCycle();
        if ($cycle === null) {
            return null;
        }
        foreach (self::PHASES as $phase) {
            $limit = $patient->limits->of($phase);
            $seconds = self::seconds($cycle, $phase);
            if ($phase === Phase::Exhale && $item->prescription->technique->openExhale) {
                continue; // it ends when the patient says so
            }
            if ($limit !== null && $seconds > $limit + 1e-9) {
                return new Finding(
                    $this->id(), $this->level(), 'Longer than comfortable',
                    ucfirst($phase->value).' of '.Words::number($seconds).' s; the comfortable limit measured is '.Words::number($limit).' s.',
                    $phase->value, [...self::changes($cycle, $patient, $item->prescription->guidance->tempo->slowest), ...EasierChanges::for($item)], 'Common practice.',
                );
            }
        }

        return null;
    }

    private static function seconds(Cycle $cycle, Phase $phase): float
    {
        return $phase === Phase::Inhale ? $cycle->inhaleSeconds() : $cycle->phaseSeconds($phase);
    }

    /** @return list<Change> */
    private static function changes(Cycle $cycle, PatientFacts $patient, float $slowest): array
    {
        $changes = [];
        if (self::hasLimitForACount($cycle, $patient)) {
            $fit = Fitting::toLimits($cycle->pattern, $patient->limits);
            $count = floor($fit->countSeconds / $slowest * 100 + 1e-9) / 100;
            if ($fit->suits() && $count >= CountLength::MIN && $count <= CountLength::MAX) {
                $changes[] = new Change('fit: same ratio at '.Words::number($count).' s a count', ['count_length' => $count]);
            }
        }
        $shorter = self::shortened($cycle, $patient);
        if ($shorter !== null) {
            $changes[] = new Change('shorter phases: '.$shorter->toString(), ['ratio' => $shorter->toString()]);
        }

        return $changes;
    }

    private static function hasLimitForACount(Cycle $cycle, PatientFacts $patient): bool
    {
        foreach (self::PHASES as $phase) {
            if ($patient->limits->of($phase) !== null && ! $cycle->pattern->counts($phase)->isZero()) {
                return true;
            }
        }

        return false;
    }

    /** Whole counts within the limits, or hundredths where less than one count would be left. */
    private static function shortened(Cycle $cycle, PatientFacts $patient): ?BreathPattern
    {
        $pattern = $cycle->pattern;
        foreach (self::PHASES as $phase) {
            $limit = $patient->limits->of($phase);
            if ($limit === null || self::seconds($cycle, $phase) <= $limit + 1e-9) {
                continue;
            }
            $most = $limit / $cycle->countLength->seconds;
            $counts = $most >= 1 ? floor($most + 1e-9) : floor($most * 100 + 1e-9) / 100;
            if ($counts <= 0 && $phase !== Phase::Hold) {
                return null;
            }
            $pattern = $pattern->with($phase, Counts::of($counts));
            if ($phase === Phase::Inhale) {
                $pattern = $pattern->with(Phase::TopUp, Counts::zero());
            }
        }

        return $pattern;
    }
}
