<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Numbers;
use IvoryPace\Safety\AnyoneRule;
use IvoryPace\Safety\FlagRule;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\OtherPosition;
use IvoryPace\Safety\Offers\OtherTechnique;
use IvoryPace\Safety\Offers\SmallerBreath;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Seen;

/** How the body is placed. Common practice. */
final class Placing
{
    /** Minutes up to which lying flat with reflux is only noted. */
    private const FLAT_MINUTES = 5.0;

    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new FlagRule('PRONE-SURGERY', 'Lying on the front', 'position', [
                Level::NeedsReason->value => [Flag::Pregnancy, Flag::RibFracture, ...Flag::surgery()],
            ],
                self::prone(...), self::notProne(...)),
            new FlagRule('PRONE', 'Lying on the front', 'position', [
                Level::Caution->value => [
                    Flag::NeckInjury, Flag::Reflux, Flag::Eye, Flag::Hernia, Flag::Copd, Flag::Oxygen, Flag::CannotReachFloor,
                    Flag::RecentBirth, Flag::Stroke, Flag::HeartAttack,
                ],
                Level::Note->value => [Flag::LowBackPain],
            ], self::prone(...), self::notProne(...)),
            new FlagRule('LYING-FLAT', 'Lying flat', 'position', [
                Level::Caution->value => [Flag::HeartFailure, Flag::CannotLieFlat, Flag::Reflux, Flag::Vertigo, Flag::LatePregnancy],
                Level::Note->value => [Flag::Copd, Flag::Oxygen, Flag::PulmonaryHypertension],
            ], self::flat(...), fn (Look $look) => OtherPosition::to($look->item,
                [Position::Reclined, Position::Seated, Position::SideLying]), self::isShortWithReflux(...)),
            new FlagRule('FLOOR-OR-FORWARD', 'On the floor', 'position', [
                Level::Caution->value => [Flag::CannotReachFloor, Flag::Vertigo, Flag::Eye],
            ],
                fn (Look $look) => $look->prescription->position->needsFloor() || $look->prescription->position->isHeadDown()
                    ? self::there($look)
                    : null,
                self::seated(...),
                // Sitting cross-legged the head is as high as on a chair.
                fn (Look $look, Flag $flag) => $flag === Flag::Eye && $look->prescription->position === Position::CrossLegged),
            new FlagRule('HEAD-DOWN', 'Head down', 'position', [
                Level::NeedsReason->value => [Flag::RecentEyeSurgery],
                Level::Caution->value => [
                    Flag::Stroke, Flag::HighBloodPressure, Flag::HeartFailure, Flag::HeartAttack, Flag::Fainting, Flag::SinusOrEarInfection,
                    Flag::RecentEarSurgery,
                    Flag::RecentAbdominalSurgery, Flag::RecentSpinalSurgery, Flag::Reflux, Flag::Hernia, Flag::LatePregnancy,
                ],
            ], fn (Look $look) => $look->prescription->position->isHeadDown() ? self::there($look) : null, self::seated(...)),
            new FlagRule('UPRIGHT', 'On one’s feet', 'position', [Level::Caution->value => [Flag::Fainting, Flag::Vertigo]],
                fn (Look $look) => $look->prescription->position->isUpright() ? self::there($look) : null, self::seated(...)),
            new FlagRule('UPRIGHT-EFFORT', 'On one’s feet with a hold or a big breath', 'position', [
                Level::Caution->value => [Flag::Sedatives, Flag::Epilepsy, Flag::Arrhythmia, Flag::HeartAttack, Flag::Pregnancy],
            ], self::uprightEffort(...), fn (Look $look) => [
                ...self::seated($look), ...Holding::shorterPause($look),
                ...($look->prescription->isFullSize() ? [SmallerBreath::restingSize()] : []), ...SmallerBreath::withoutTopUp($look),
            ]),
            new FlagRule('WALKING', 'Breathing while walking', 'position', [
                Level::Caution->value => [
                    Flag::HeartAttack, Flag::HeartFailure, Flag::Oxygen, Flag::PulmonaryHypertension, Flag::SightLoss, Flag::Epilepsy,
                ],
            ], fn (Look $look) => $look->prescription->position === Position::Walking ? new Seen('walking') : null,
                fn (Look $look) => [
                    ...self::seated($look), OtherTechnique::extendedExhale($look->item, 'the same seated: extended exhale'),
                ]),
            new AnyoneRule('EYES-CLOSED-UPRIGHT', 'Eyes closed on one’s feet', 'gaze',
                fn (Look $look) => $look->prescription->position->isUpright() && $look->prescription->gaze === Gaze::Closed

                        ? new Seen('only with the eyes closed, '.$look->prescription->position->label(), ['upright' => 1.0], Level::Caution)
                        : null,
                fn (Look $look) => [...Attending::openEyes(), ...self::seated($look)],
            ),
        ];
    }

    /** @return list<Change> */
    private static function seated(Look $look): array
    {
        return OtherPosition::to($look->item, [Position::Seated, Position::SeatedForward, Position::Reclined]);
    }

    private static function prone(Look $look): ?Seen
    {
        return $look->prescription->position === Position::Prone ? self::there($look) : null;
    }

    /** @return list<Change> */
    private static function notProne(Look $look): array
    {
        return OtherPosition::to($look->item, [Position::Supine, Position::SideLying, Position::HandsAndKnees, Position::Reclined]);
    }

    private static function flat(Look $look): ?Seen
    {
        return ! $look->prescription->position->isLyingFlat() ? null
            : new Seen(
                $look->prescription->position->label(), also: $look->patient->has(Flag::Reflux) ? ' Not within two hours of a meal.' : '',
            );
    }

    private static function isShortWithReflux(Look $look, Flag $flag): bool
    {
        return $flag === Flag::Reflux && $look->prescription->exerciseSeconds() <= self::FLAT_MINUTES * 60 + 1e-9;
    }

    private static function there(Look $look): Seen
    {
        return new Seen($look->prescription->position->label());
    }

    private static function uprightEffort(Look $look): ?Seen
    {
        $prescription = $look->prescription;
        if (! $prescription->position->isUpright()) {
            return null;
        }
        $what = array_values(array_filter([
            $look->of->pause() > Holding::SHORT + 1e-9 ? 'a pause of '.Numbers::print($look->of->pause()).' s' : null,
            $prescription->isFullSize() ? 'breaths that are '.$prescription->effort->label() : null,
            $prescription->hasTopUp() ? 'a top-up' : null,
        ]));

        return $what === [] ? null : new Seen($prescription->position->label().', '.implode(', ', $what), ['pause' => $look->of->pause()]);
    }
}
