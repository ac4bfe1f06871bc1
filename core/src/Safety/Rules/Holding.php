<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Numbers;
use IvoryPace\Safety\AnyoneRule;
use IvoryPace\Safety\FlagRule;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\EasierForms;
use IvoryPace\Safety\Offers\OtherTechnique;
use IvoryPace\Safety\Offers\ShorterBreath;
use IvoryPace\Safety\Offers\SmallerBreath;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Seen;

/** Air kept in or out: holds, rests, retentions. A long rest is a hold with empty lungs. Common practice. */
final class Holding
{
    /** Seconds of hold or rest that need no care. */
    public const SHORT = 2.0;

    /** Seconds above which a pause needs a reason with a flag against holding. */
    public const LONG = 10.0;

    /** Seconds up to which a pause is only noted early in pregnancy, with an irregular rhythm, or from 12 to 15 years. */
    private const NOTED = 3.0;

    private const CAUTION_FOR_ANYONE = 15.0;

    private const REASON_FOR_ANYONE = 30.0;

    private const RETENTION_CAUTION = 30.0;

    private const RETENTION_REASON = 60.0;

    private const SHORT_RETENTION = 15.0;

    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new FlagRule('RETENTION', 'Retention after the exhale', 'parameters',
                [Level::NeedsReason->value => [...Flag::againstHolding(), Flag::Asthma, Flag::Trauma, Flag::Psychosis]],
                fn (Look $look) => $look->of->retention > 0
                    ? new Seen('a retention of '.Numbers::print($look->of->retention).' s', ['retention' => $look->of->retention])
                    : null,
                self::withoutRetention(...),
            ),
            new AnyoneRule('RETENTION-LONG', 'Long retention', 'parameters', self::longRetention(...),
                fn (Look $look) => [
                    new Change(
                        'retention of '.Numbers::print(self::SHORT_RETENTION).' s',
                        ['parameters' => ['retention' => self::SHORT_RETENTION] + $look->prescription->parameters],
                    ),
                    ...self::withoutRetention($look),
                ],
            ),
            new FlagRule('HOLD-LONG', 'Long pause in the breath', 'hold', [Level::NeedsReason->value => Flag::againstHolding()],
                fn (Look $look) => $look->of->pause() > self::LONG + 1e-9 ? self::pause($look) : null, self::shorterPause(...),
            ),
            new FlagRule('HOLD-MODERATE', 'Pause over 2 s', 'hold', [Level::Caution->value => Flag::againstHolding()],
                fn (Look $look) => $look->of->pause() > self::SHORT + 1e-9 && $look->of->pause() <= self::LONG + 1e-9
                    ? self::pause($look)
                    : null,
                self::shorterPause(...), self::isOnlyNoted(...),
            ),
            new AnyoneRule('HOLD-ANYONE', 'Very long pause in the breath', 'hold', self::veryLongPause(...),
                fn (Look $look) => [
                    ...array_reverse(ShorterBreath::pauses($look, self::CAUTION_FOR_ANYONE, self::LONG)), ...EasierForms::of($look->item),
                ],
            ),
            new FlagRule('FULL-HELD', 'A full inhale is held', 'hold', [Level::Caution->value => [Flag::Bullae]],
                fn (Look $look) => ($look->prescription->isFullSize() || $look->prescription->hasTopUp()) && $look->of->hold > 0
                    ? self::heldFull($look)
                    : null,
                fn (Look $look) => [
                    ...ShorterBreath::pauses($look, 0.0, 0.0), SmallerBreath::restingSize(), ...SmallerBreath::withoutTopUp($look),
                    ...EasierForms::of($look->item),
                ],
            ),
        ];
    }

    /** @return list<Change> */
    public static function withoutRetention(Look $look): array
    {
        return [
            OtherTechnique::to('even', $look->item, 'the breaths without the retention', [
                'ratio' => $look->prescription->pattern?->toString(), 'breaths' => $look->prescription->breaths,
                'parameters' => ['steps' => 1.0],
            ]),
            ...EasierForms::of($look->item),
        ];
    }

    /** @return list<Change> */
    public static function shorterPause(Look $look): array
    {
        return [...ShorterBreath::pauses($look, self::SHORT, self::SHORT), ...EasierForms::of($look->item)];
    }

    private static function longRetention(Look $look): Seen
    {
        $seconds = $look->of->retention;
        $level = $seconds >= self::RETENTION_REASON - 1e-9
            ? Level::NeedsReason
            : ($seconds >= self::RETENTION_CAUTION - 1e-9 ? Level::Caution : null);

        return new Seen('a retention of '.Numbers::print($seconds).' s', ['retention' => $seconds], $level);
    }

    private static function pause(Look $look): Seen
    {
        return new Seen(
            'a pause of '.Numbers::print($look->of->pause()).' s', ['pause' => $look->of->pause()], field: self::field($look),
        );
    }

    private static function veryLongPause(Look $look): Seen
    {
        return new Seen(
            'a pause of '.Numbers::print($look->of->pause()).' s in the breath', ['pause' => $look->of->pause()],
            AnyoneRule::above($look->of->pause(), self::CAUTION_FOR_ANYONE, self::REASON_FOR_ANYONE), self::field($look),
        );
    }

    private static function heldFull(Look $look): Seen
    {
        return new Seen(
            'held for '.Numbers::print($look->of->hold).' s '.($look->prescription->hasTopUp() ? 'after a top-up' : 'at full size'),
            ['hold' => $look->of->hold],
        );
    }

    private static function field(Look $look): string
    {
        return $look->of->hold >= $look->of->rest ? 'hold' : 'rest';
    }

    private static function isOnlyNoted(Look $look, Flag $flag): bool
    {
        $isMild = match ($flag) {
            Flag::Pregnancy => ! $look->patient->has(Flag::LatePregnancy),
            Flag::Arrhythmia => true,
            Flag::Under16 => ! $look->patient->has(Flag::Under12),
            default => false,
        };

        return $isMild && $look->of->pause() <= self::NOTED + 1e-9;
    }
}
