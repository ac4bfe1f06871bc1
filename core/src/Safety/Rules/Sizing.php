<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Ventilation;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Health\Flag;
use IvoryPace\Numbers;
use IvoryPace\Safety\AnyoneRule;
use IvoryPace\Safety\FlagRule;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\EasierForms;
use IvoryPace\Safety\Offers\ShorterBreath;
use IvoryPace\Safety\Offers\SmallerBreath;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Seen;

/** How big, how long and how fast breaths are, and how many come in a row. Common practice. */
final class Sizing
{
    private const VERY_LONG_BREATH = 30.0;

    private const LONG_INHALE = 12.0;

    private const LONG_EXHALE = 20.0;

    /** Breaths a minute. */
    private const FAST = 30.0;

    /** Seconds above a limit of ventilation from which it is over-breathing. */
    private const OVER_SECONDS = 60.0;

    /** l/min with a flag, and for so many breaths. */
    private const FLAGGED_VENTILATION = 8.0;

    private const FLAGGED_BREATHS = 6;

    private const TOP_UPS_IN_A_ROW = 6;

    /** Minutes of uncounted full breaths. */
    private const UNCOUNTED_MINUTES = 1.0;

    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new AnyoneRule('BREATH-LONG', 'A very long breath', 'count_length', fn (Look $look) => $look->prescription->hasOpenExhale()
                ? null : new Seen(
                    'a breath of '.Numbers::print($look->of->breath).' s, '.Numbers::print(60 / max(0.1, $look->of->breath)).' a minute',
                    ['breath' => $look->of->breath],
                    AnyoneRule::above($look->of->breath, Prescription::LONGEST_BREATH, self::VERY_LONG_BREATH),
                ), fn (Look $look) => [...ShorterBreath::whole($look, Prescription::LONGEST_BREATH), ...EasierForms::of($look->item)]),
            new AnyoneRule('INHALE-LONG', 'A very long inhale', 'inhale', fn (Look $look) => new Seen(
                'an inhale of '.Numbers::print($look->of->inhale).' s', ['inhale' => $look->of->inhale],
                AnyoneRule::above($look->of->inhale, self::LONG_INHALE),
            ), fn (Look $look) => [...ShorterBreath::phase($look, Phase::Inhale, self::LONG_INHALE),
                ...ShorterBreath::whole($look, $look->of->breath * self::LONG_INHALE / $look->of->inhale),
                ...EasierForms::of($look->item)]),
            new AnyoneRule('EXHALE-VERY-LONG', 'A very long exhale', 'exhale', fn (Look $look) => $look->prescription->hasOpenExhale()
                ? null : new Seen(
                    'an exhale of '.Numbers::print($look->of->exhale).' s', ['exhale' => $look->of->exhale],
                    AnyoneRule::above($look->of->exhale, self::LONG_EXHALE),
                ), fn (Look $look) => [...ShorterBreath::phase($look, Phase::Exhale, self::LONG_EXHALE),
                    ...ShorterBreath::whole($look, $look->of->breath * self::LONG_EXHALE / $look->of->exhale),
                    ...EasierForms::of($look->item)]),
            new AnyoneRule('PACE-FAST', 'Very fast breaths', 'count_length', self::fast(...), self::notSoFast(...)),
            new AnyoneRule('OVER-BREATHING', 'More air than is needed', 'effort', self::overBreathing(...), self::lessAir(...)),
            new FlagRule('VENTILATION', 'Much air in a row', 'effort', [
                Level::Caution->value => Flag::againstOverBreathing(),
            ], self::muchAir(...),
                fn (Look $look) => SmallerBreath::lessAir($look, self::FLAGGED_BREATHS, self::FLAGGED_VENTILATION),
            ),
            new FlagRule('FULL-UNCOUNTED', 'Full breaths without a count', 'effort', [
                Level::Caution->value => Flag::againstOverBreathing(),
            ],
                fn (Look $look) => self::isUncounted($look) && $look->prescription->minutes >= self::UNCOUNTED_MINUTES - 1e-9

                        ? new Seen(
                            Numbers::print((float) $look->prescription->minutes).' min of full breaths without a count',
                            ['minutes' => (float) $look->prescription->minutes],
                        )
                        : null,
                fn (Look $look) => [
                    SmallerBreath::restingSize(),
                    new Change(Numbers::print(Prescription::MIN_MINUTES).' min', ['minutes' => Prescription::MIN_MINUTES]),
                    ...EasierForms::of($look->item),
                ],
            ),
            new FlagRule('TOP-UP', 'Top-up', 'ratio', [
                Level::NeedsReason->value => [Flag::Bullae], Level::Caution->value => [Flag::RecentChestSurgery, Flag::RibFracture],
            ],
                fn (Look $look) => $look->prescription->hasTopUp() ? new Seen('a second inhale on top of the first') : null,
                fn (Look $look) => [...SmallerBreath::withoutTopUp($look), ...EasierForms::of($look->item)],
            ),
            new FlagRule('TOP-UPS-MANY', 'Many top-ups in a row', 'breaths', [
                Level::Caution->value => [Flag::Panic, Flag::Fainting, Flag::Epilepsy],
            ],
                fn (Look $look) => $look->prescription->hasTopUp() && $look->prescription->breathsInARow() > self::TOP_UPS_IN_A_ROW

                        ? new Seen(
                            "{$look->prescription->breathsInARow()} top-ups in a row",
                            ['breaths' => (float) $look->prescription->breathsInARow()],
                        )
                        : null,
                fn (Look $look) => [
                    new Change(self::TOP_UPS_IN_A_ROW.' breaths', ['breaths' => self::TOP_UPS_IN_A_ROW]),
                    ...SmallerBreath::withoutTopUp($look), ...EasierForms::of($look->item),
                ],
            ),
        ];
    }

    public static function isUncounted(Look $look): bool
    {
        return $look->prescription->isFullSize() && $look->prescription->technique->length === Length::Minutes;
    }

    private static function fast(Look $look): Seen
    {
        $rate = $look->of->shortest === null || $look->prescription->technique->isRecovery ? 0.0 : 60 / $look->of->shortest;

        return new Seen(Numbers::print($rate).' breaths a minute at the fastest', ['rate' => $rate], AnyoneRule::above($rate, self::FAST));
    }

    /** @return list<Change> */
    private static function notSoFast(Look $look): array
    {
        $prescription = $look->prescription;
        $shortest = $prescription->shortestCycle();
        $changes = $prescription->guidance->tempo->fastest < 1 ? [new Change('never faster than prescribed', ['fastest' => 1.0])] : [];
        if ($shortest !== null) {
            $soft = $shortest->pattern->softHold + $shortest->pattern->softRest;
            $count = ceil(
                (60 / self::FAST - $soft) / $shortest->pattern->totalCounts() / $prescription->guidance->tempo->fastest * 100 - 1e-9,
            ) / 100;
            if ($count * $prescription->guidance->tempo->slowest <= CountLength::MAX + 1e-9) {
                $changes[] = new Change('slower: '.Numbers::print($count).' s a count', ['count_length' => $count]);
            }
        }

        return [...$changes, ...EasierForms::of($look->item)];
    }

    private static function overBreathing(Look $look): ?Seen
    {
        return $look->of->mostVentilation() <= Ventilation::TWICE_REST + 1e-9 ? null : self::over($look->of->ventilation());
    }

    /** What breath after breath amounts to, of one exercise or of several in a row. */
    public static function over(Ventilation $ventilation): ?Seen
    {
        $twice = $ventilation->secondsAbove(Ventilation::TWICE_REST);
        $threeTimes = $ventilation->secondsAbove(Ventilation::THREE_TIMES_REST);
        $isMost = $threeTimes >= self::OVER_SECONDS - 1e-6;
        if ($twice < self::OVER_SECONDS - 1e-6) {
            return null;
        }
        $most = $ventilation->most();

        return new Seen(
            'up to '.Numbers::print($most, 1).' l of air a minute, over '.($isMost ? 'three times' : 'twice')
                .' what is needed at rest, for '.round($isMost ? $threeTimes : $twice).' s: dizziness, tingling',
            ['ventilation' => $most, 'seconds' => $twice], $isMost ? Level::NeedsReason : Level::Caution,
        );
    }

    /** @return list<Change> */
    private static function lessAir(Look $look): array
    {
        $shortest = $look->of->shortest;
        $most = $shortest === null ? null : (int) ceil(self::OVER_SECONDS / $shortest - 1e-6) - 1;
        $lengths = max(1, count($look->prescription->cycles()));

        return SmallerBreath::lessAir($look, $most === null ? null : intdiv($most, $lengths), Ventilation::TWICE_REST);
    }

    private static function muchAir(Look $look): ?Seen
    {
        if ($look->of->mostVentilation() <= self::FLAGGED_VENTILATION + 1e-9) {
            return null;
        }
        $breaths = $look->of->ventilation()->breathsAbove(self::FLAGGED_VENTILATION);
        $most = $look->of->ventilation()->most();

        return $breaths <= self::FLAGGED_BREATHS ? null
            : new Seen(
                "$breaths breaths with ".Numbers::print($most, 1).' l of air a minute',
                ['ventilation' => $most, 'breaths' => (float) $breaths],
            );
    }
}
