<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Change;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** An inhale over 3 s at the start with asthma or COPD: in the first 14 days. Common practice. */
final class InhaleAtStart implements Rule
{
    private const MOST = 3.0;

    private const START = 2.0;

    private const FIRST_DAYS = 14;

    public function id(): string
    {
        return 'INHALE-START';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $cycle = $item->prescription->longestCycle();
        $flags = $patient->which([Flag::Asthma, Flag::Copd]);
        if ($cycle === null || $flags === [] || $patient->programmeDay >= self::FIRST_DAYS
            || $cycle->inhaleSeconds() <= self::MOST + 1e-9) {
            return null;
        }
        $shorter = self::shorter($cycle);

        return new Finding(
            $this->id(), $this->level(), 'Long inhale to begin with',
            'Inhale of '.Words::number($cycle->inhaleSeconds()).' s, with '.Words::list($flags).'; the usual start is 2 s.',
            'inhale', [new Change('start at 2 s: '.$shorter->toString(), ['ratio' => $shorter->toString()]), ...EasierChanges::for($item)], 'Common practice.',
        );
    }

    /** An inhale of 2 s, and the exhale shortened in the same proportion. */
    private static function shorter(Cycle $cycle): BreathPattern
    {
        $count = $cycle->countLength->seconds;
        $counts = max(1.0, floor(self::START / $count + 1e-9));
        $share = $counts / ($cycle->inhaleSeconds() / $count);
        $exhale = max($counts, round($cycle->pattern->exhale->toFloat() * $share));

        return $cycle->pattern
            ->with(Phase::TopUp, Counts::zero())
            ->with(Phase::Inhale, Counts::of($counts))
            ->with(Phase::Exhale, Counts::of(min($exhale, $cycle->pattern->exhale->toFloat())));
    }
}
