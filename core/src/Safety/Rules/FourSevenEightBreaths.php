<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\School;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Rule;

/** More than 8 breaths at the proportions of 4:7:8; in ratio practice, more than 10. Common practice. */
final class FourSevenEightBreaths implements Rule
{
    private const MOST = 8;

    private const MOST_IN_RATIO_PRACTICE = 10;

    public function id(): string
    {
        return 'FOUR-SEVEN-EIGHT-BREATHS';
    }

    public function check(Look $look): ?Finding
    {
        $prescription = $look->prescription;
        $most = self::most($look);
        if ($prescription->pattern === null || $prescription->breaths <= $most
            || ! $prescription->pattern->hasRatioOf(BreathPattern::of(4, 8, hold: 7))) {
            return null;
        }

        return new Finding(
            $this->id(), Level::Caution, "More than $most breaths of 4:7:8",
            "{$prescription->breaths} breaths at this ratio; $most is the usual most in {$look->item->school->label()}.", 'breaths',
            new Cause([], ['breaths' => (float) $prescription->breaths]),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        return [new Change(self::most($look).' breaths', ['breaths' => self::most($look)])];
    }

    private static function most(Look $look): int
    {
        return $look->item->school === School::RatioPractice ? self::MOST_IN_RATIO_PRACTICE : self::MOST;
    }
}
