<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Numbers;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\EasierForms;
use IvoryPace\Safety\Phrases;
use IvoryPace\Safety\Rule;

/**
 * An inhale over 3 s at the start with asthma or COPD: in the first 14 days. With asthma alone up to 5 s is only noted,
 * unless breathlessness is marked. Common practice.
 */
final class InhaleAtStart implements Rule
{
    private const MOST = 3.0;

    private const START = 2.0;

    private const NOTED_WITH_ASTHMA = 5.0;

    /** mMRC grade from which breathlessness is marked. */
    private const MARKED = 2;

    private const FIRST_DAYS = 14;

    public function id(): string
    {
        return 'INHALE-START';
    }

    public function check(Look $look): ?Finding
    {
        $flags = $look->patient->which([Flag::Asthma, Flag::Copd]);
        $seconds = $look->of->inhale;
        if ($flags === [] || $look->patient->programmeDay >= self::FIRST_DAYS || $seconds <= self::MOST + 1e-9) {
            return null;
        }
        $isMarked = $look->patient->mmrc !== null && $look->patient->mmrc >= self::MARKED;
        $isNoted = $flags === [Flag::Asthma] && $seconds <= self::NOTED_WITH_ASTHMA + 1e-9 && ! $isMarked;

        return new Finding(
            $this->id(), $isNoted ? Level::Note : Level::Caution, 'Long inhale to begin with',
            'Inhale of '.Numbers::print($seconds).' s, with '.Phrases::list($flags).($isMarked ? ", mMRC {$look->patient->mmrc}" : '')
                .'; the usual start is 2 s.',
            'inhale',
            new Cause($flags, ['inhale' => $seconds, ...($isMarked ? ['mmrc' => (float) $look->patient->mmrc] : [])]),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        $cycle = $look->prescription->longestCycle();
        if ($cycle === null) {
            return [];
        }
        $changes = [];
        // With asthma it is the hold that goes first: the air is to come out again.
        $holds = $look->patient->has(Flag::Asthma) && $look->of->hold > Holding::SHORT + 1e-9 && $look->prescription->pattern !== null;
        $pattern = $holds ? $cycle->pattern->with(Phase::Hold, Counts::zero()) : $cycle->pattern;
        if ($holds && $finding->level === Level::Note) {
            $changes[] = new Change('without the hold: '.$pattern->toString(), ['ratio' => $pattern->toString()], onlyEases: true);
        }
        $shorter = self::shorter($pattern, $cycle);

        return [
            ...$changes, new Change('start at 2 s: '.$shorter->toString(), ['ratio' => $shorter->toString()]),
            ...EasierForms::of($look->item),
        ];
    }

    /** An inhale of 2 s, and the exhale shortened in the same proportion. */
    private static function shorter(BreathPattern $pattern, Cycle $cycle): BreathPattern
    {
        $count = $cycle->countLength->seconds;
        $counts = max(1.0, floor(self::START / $count + 1e-9));
        $share = $counts / ($cycle->inhaleSeconds() / $count);
        $exhale = max($counts, round($pattern->exhale->toFloat() * $share));

        return $pattern
            ->with(Phase::TopUp, Counts::zero())
            ->with(Phase::Inhale, Counts::of($counts))
            ->with(Phase::Exhale, Counts::of(min($exhale, $pattern->exhale->toFloat())));
    }
}
