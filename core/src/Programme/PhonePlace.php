<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;

/** Where a phone can feel the breath of an exercise. Common practice, as with a hand, a book or a strap. */
enum PhonePlace: string
{
    case Belly = 'belly';
    /** Held there by one hand, with its face to the patient. */
    case Chest = 'chest';

    /** The parameter of what lies on the belly already. */
    private const WEIGHT = 'weight';

    /** Hands of which one may hold a phone to the chest. */
    private const FREE = [
        Hands::ChestAndBelly, Hands::Belly, Hands::BellyAndEase, Hands::AsYouLike, Hands::InTheLap, Hands::OnTheKnees, Hands::BesideYou,
    ];

    /**
     * Null where it would lie askew, fall, or be in the way: in a routine, in what is needed at once, on the side, on the feet. And
     * where something is tapped meanwhile, the end of a hum or “enough”: on the belly, in the dark, nobody could.
     */
    public static function of(Item $item): ?self
    {
        $prescription = $item->prescription;
        if ($item->routine !== null || $item->isRecovery() || $item->asNeeded !== null || self::isTapped($item)) {
            return null;
        }
        $isFree = ! isset($prescription->technique->parameters[self::WEIGHT]);
        $onTheBack = [Position::Supine, Position::SupineKneesBent, Position::Reclined];
        $isUpright = in_array($prescription->position, [Position::Seated, Position::CrossLegged], true);

        return match (true) {
            $isFree && in_array($prescription->position, $onTheBack, true) => self::Belly,
            $isUpright && in_array($prescription->hands, self::FREE, true) => self::Chest,
            default => null,
        };
    }

    private static function isTapped(Item $item): bool
    {
        return array_filter($item->timeline()->segments, fn (Segment $segment) => $segment->isOpen() || $segment->canBeEnough) !== [];
    }
}
