<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Route;
use IvoryPace\Health\Flag;
use IvoryPace\Numbers;
use IvoryPace\Safety\FlagRule;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\EasierForms;
use IvoryPace\Safety\Offers\OtherTechnique;
use IvoryPace\Safety\Offers\ShorterBreath;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Seen;

/** How the air goes out: worked, to the last, long, hummed. Common practice. */
final class Exhaling
{
    /** Seconds of exhale from which air may be trapped. */
    private const LONG = 10.0;

    /** Counts of a hum that ends by itself, as it is offered; at least so many as seconds allow. */
    private const HUM_SECONDS = 6.0;

    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new FlagRule('EXHALE-ACTIVE', 'Worked exhale', 'effort', [Level::NeedsReason->value => [
                Flag::RibFracture, Flag::RecentChestSurgery, Flag::RecentAbdominalSurgery, Flag::RecentEyeSurgery, Flag::Eye, Flag::Bullae,
            ]], fn (Look $look) => in_array($look->prescription->effort, [Effort::Active,
                Effort::Complete], true) ? self::effort($look) : null, self::passive(...)),
            new FlagRule('EXHALE-DRAWN', 'Belly drawn in at the end', 'effort', [Level::Caution->value => [
                Flag::Hernia, Flag::PelvicFloor, Flag::RecentBirth, Flag::Pregnancy, Flag::Stroke, Flag::RecentSpinalSurgery, Flag::Copd,
            ]], fn (Look $look) => $look->prescription->effort === Effort::Active ? self::effort($look) : null, self::passive(...)),
            new FlagRule('EXHALE-COMPLETE', 'Complete exhale', 'effort', [
                Level::NeedsReason->value => [Flag::Stroke],
                Level::Caution->value => [
                    Flag::Copd, Flag::Asthma, Flag::RecentBirth, Flag::PelvicFloor, Flag::Hernia, Flag::HighBloodPressure, Flag::Reflux,
                    ...Flag::heartAndLungPressure(),
                    Flag::Pregnancy, Flag::Fainting, Flag::Oxygen, Flag::RecentSpinalSurgery, Flag::RecentEarSurgery,
                ],
            ], fn (Look $look) => $look->prescription->effort === Effort::Complete ? self::effort($look) : null, self::passive(...)),
            new FlagRule('EXHALE-LONG', 'Long exhale', 'exhale', [
                Level::Caution->value => [Flag::Copd, Flag::Asthma, Flag::Oxygen, Flag::Panic],
            ],
                fn (Look $look) => ! $look->prescription->hasOpenExhale() && $look->of->exhale > self::LONG + 1e-9
                    ? new Seen('an exhale of '.Numbers::print($look->of->exhale).' s', ['exhale' => $look->of->exhale]) : null,
                fn (Look $look) => [
                    ...ShorterBreath::phase($look, Phase::Exhale, self::LONG), ...self::shorterHum($look),
                    ...ShorterBreath::whole($look, $look->of->breath * self::LONG / $look->of->exhale), ...EasierForms::of($look->item),
                ],
            ),
            new FlagRule('HUM-OPEN', 'An exhale without an end', 'parameters', [
                Level::Caution->value => [Flag::Copd, Flag::Asthma, Flag::Oxygen, Flag::Panic, Flag::Bullae],
            ],
                self::open(...),
                fn (Look $look) => [
                    ...self::shorterHum($look),
                    ...(($look->prescription->parameters['open'] ?? 0.0) === 2.0
                        ? [new Change('a counted exhale', ['parameters' => ['open' => 1.0] + $look->prescription->parameters])] : []),
                    OtherTechnique::extendedExhale($look->item, 'a silent exhale: extended exhale'),
                    ...EasierForms::of($look->item),
                ],
            ),
            new FlagRule('HUMMING', 'Humming', 'route_out', [Level::Caution->value => [Flag::SinusOrEarInfection, Flag::RecentEarSurgery]],
                fn (Look $look) => $look->prescription->routeOut === Route::Hum ? new Seen('humming') : null,
                fn (Look $look) => [
                    OtherTechnique::extendedExhale($look->item, 'a silent exhale: extended exhale'), ...EasierForms::of($look->item),
                ],
            ),
        ];
    }

    /** Recovery is open too, but its breaths are the patient's own. */
    private static function open(Look $look): ?Seen
    {
        $prescription = $look->prescription;

        return ! $prescription->hasOpenExhale() || $prescription->technique->isRecovery ? null
            : new Seen(($prescription->routeOut === Route::Hum ? 'a hum' : 'an exhale').' that goes on as long as the air');
    }

    private static function effort(Look $look): Seen
    {
        return new Seen('the exhale is '.$look->prescription->effort->label());
    }

    /** @return list<Change> */
    private static function passive(Look $look): array
    {
        $gentle = Effort::Gentle->value;

        return [
            new Change('passive exhale', ['effort' => $gentle]),
            new Change('passive, by pursed lips', ['effort' => $gentle, 'route_out' => Route::PursedLips->value]),
            ...EasierForms::of($look->item),
        ];
    }

    /** @return list<Change> a hum that ends after a set time; none where nothing is hummed */
    private static function shorterHum(Look $look): array
    {
        $prescription = $look->prescription;
        $hum = $prescription->technique->parameters['hum'] ?? null;
        if ($hum === null) {
            return [];
        }
        $counts = max(1.0, min($hum->max, floor(self::HUM_SECONDS / $look->of->slowestCount()->seconds + 1e-9)));

        return [
            new Change(
                'a hum that ends after '.Numbers::print($counts).' counts',
                ['parameters' => ['hum' => $counts] + $prescription->parameters],
            ),
        ];
    }
}
