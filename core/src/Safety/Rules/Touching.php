<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Demand;
use IvoryPace\Health\Flag;
use IvoryPace\Numbers;
use IvoryPace\Safety\FlagRule;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\EasierForms;
use IvoryPace\Safety\Offers\OtherTechnique;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Seen;

/** What hands, weight and muscles do meanwhile. Common practice. */
final class Touching
{
    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new FlagRule('WEIGHT-ON-BELLY', 'Weight on the belly', 'technique', [
                Level::NeedsReason->value => [Flag::Pregnancy, Flag::RecentAbdominalSurgery, Flag::Hernia],
                Level::Caution->value => [
                    Flag::RecentBirth, Flag::RibFracture, Flag::RecentChestSurgery, Flag::RecentSpinalSurgery, Flag::Copd, Flag::Oxygen,
                    Flag::Bullae, Flag::Under12,
                ],
            ], self::weight(...), fn (Look $look) => [OtherTechnique::plain($look->item, 'hands only: diaphragmatic breathing')]),
            new FlagRule('RIB-PRESSURE', 'Hands pressing the ribs', 'hands', [
                Level::Caution->value => [Flag::RibFracture, Flag::RecentChestSurgery],
            ],
                fn (Look $look) => $look->prescription->demandsThat(Demand::PressesRibs) ? new Seen('the hands press the ribs') : null,
                fn (Look $look) => [
                    new Change('the hands lie there, without pressing', ['hands' => Hands::LowerRibs->value]),
                    OtherTechnique::plain($look->item, 'nothing pressed: diaphragmatic breathing'),
                ]),
            new FlagRule('NOSTRIL-CLOSING', 'Closing a nostril', 'technique', [
                Level::Caution->value => [Flag::BlockedNose, Flag::HandTrouble, Flag::SinusOrEarInfection],
            ],
                fn (Look $look) => $look->prescription->demandsThat(Demand::ClosesNostril)
                    ? new Seen('one nostril is closed at a time')
                    : null,
                fn (Look $look) => [
                    OtherTechnique::extendedExhale($look->item, 'extended exhale instead'), ...EasierForms::of($look->item),
                ]),
            new FlagRule('NECK-MOVES', 'Moving neck or shoulders', 'technique', [
                Level::Caution->value => [Flag::NeckInjury, Flag::Vertigo, Flag::Stroke, Flag::RecentSpinalSurgery],
            ],
                self::moves(...), self::still(...), fn (Look $look) => self::isSupported($look)),
            new FlagRule('TENSING', 'Tensing muscles', 'technique', [Level::Caution->value => [
                Flag::HighBloodPressure, Flag::HeartAttack, Flag::Stroke, Flag::Eye, Flag::RecentEyeSurgery, Flag::RecentChestSurgery,
                Flag::RecentAbdominalSurgery,
                Flag::RecentSpinalSurgery, Flag::RibFracture, Flag::NeckInjury,
            ]], fn (Look $look) => $look->prescription->demandsThat(Demand::Tenses) ? new Seen('muscles are tensed and let go') : null,
                fn (Look $look) => [
                    OtherTechnique::plain($look->item, 'nothing tensed: diaphragmatic breathing'),
                    OtherTechnique::to('reverse-count', $look->item, 'nothing tensed: counting down'),
                ]),
        ];
    }

    private static function weight(Look $look): ?Seen
    {
        $weight = $look->prescription->parameters['weight'] ?? 0.0;

        return $weight > 0 ? new Seen(Numbers::print($weight).' kg', ['weight' => $weight]) : null;
    }

    private static function moves(Look $look): ?Seen
    {
        return match (true) {
            $look->prescription->demandsThat(Demand::TurnsHead) => new Seen('the head is turned'),
            $look->prescription->demandsThat(Demand::RollsShoulders) => new Seen('the shoulders are rolled'),
            default => null,
        };
    }

    /** @return list<Change> */
    private static function still(Look $look): array
    {
        $prescription = $look->prescription;
        $changes = isset($prescription->parameters['prelude'])
            ? [new Change('no shoulder rolls', ['parameters' => ['prelude' => 2.0] + $prescription->parameters])]
            : [];
        if ($prescription->demandsThat(Demand::TurnsHead) && in_array(Position::Seated, $prescription->technique->positions, true)) {
            $changes[] = new Change(
                'seated, the head supported', ['position' => Position::Seated->value, 'props' => [Prop::ChairWithBack->value]],
            );
        }

        return [
            ...$changes, OtherTechnique::to('noticing', $look->item, 'sitting or lying still: noticing the breath'),
            ...EasierForms::of($look->item),
        ];
    }

    /** Small head turns, seated against a support. */
    private static function isSupported(Look $look): bool
    {
        return $look->prescription->demandsThat(Demand::TurnsHead) && $look->prescription->position === Position::Seated
            && in_array(Prop::ChairWithBack, $look->prescription->props, true);
    }
}
