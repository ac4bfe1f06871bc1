<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** How the body is placed. */
enum Position: string
{
    case Supine = 'supine';
    case SupineKneesBent = 'supine-knees-bent';
    case Reclined = 'reclined';
    case SideLying = 'side-lying';
    case Prone = 'prone';
    case Seated = 'seated';
    case SeatedForward = 'seated-forward';
    case Standing = 'standing';
    case StandingAtWall = 'standing-at-wall';
    case Kneeling = 'kneeling';
    case HandsAndKnees = 'hands-and-knees';
    case FoldedForward = 'folded-forward';
    case Walking = 'walking';

    /** For the prescriber. */
    public function label(): string
    {
        return match ($this) {
            self::Supine => 'supine',
            self::SupineKneesBent => 'supine, knees bent',
            self::Reclined => 'reclined',
            self::SideLying => 'side-lying',
            self::Prone => 'prone',
            self::Seated => 'seated',
            self::SeatedForward => 'seated leaning forward',
            self::Standing => 'standing',
            self::StandingAtWall => 'standing leaning on a wall',
            self::Kneeling => 'kneeling',
            self::HandsAndKnees => 'on hands and knees',
            self::FoldedForward => 'folded forward on the knees',
            self::Walking => 'walking',
        };
    }

    /** Flat on the back or the belly. */
    public function isLyingFlat(): bool
    {
        return in_array($this, [self::Supine, self::SupineKneesBent, self::Prone], true);
    }

    /** Lying in any way: getting up needs the return step. */
    public function isLying(): bool
    {
        return $this->isLyingFlat() || $this === self::Reclined || $this === self::SideLying;
    }

    /** Needs getting down to the floor; lying can be done on a bed. */
    public function needsFloor(): bool
    {
        return in_array($this, [self::Kneeling, self::HandsAndKnees, self::FoldedForward], true);
    }

    /** The head lies lower than the heart; kneeling and hands and knees are level. */
    public function isHeadDown(): bool
    {
        return $this === self::FoldedForward;
    }

    /** On one's feet: where dizziness means a fall. */
    public function isUpright(): bool
    {
        return in_array($this, [self::Standing, self::StandingAtWall, self::Walking], true);
    }

    /**
     * The next easier ones, the nearest first: towards lying on the back.
     *
     * @return list<self>
     */
    public function towardsSupine(): array
    {
        return match ($this) {
            self::Supine, self::SupineKneesBent => [],
            self::SideLying => [self::SupineKneesBent, self::Supine],
            self::Reclined => [self::SideLying, self::SupineKneesBent, self::Supine],
            self::Seated, self::SeatedForward => [self::Reclined, self::SideLying, self::SupineKneesBent, self::Supine],
            self::Standing,
            self::StandingAtWall => [
                self::Seated, self::SeatedForward, self::Reclined, self::SideLying, self::SupineKneesBent, self::Supine,
            ],
            self::Walking => [
                self::Standing, self::StandingAtWall, self::Seated, self::SeatedForward, self::Reclined, self::SideLying,
                self::SupineKneesBent, self::Supine,
            ],
            self::Prone, self::Kneeling, self::HandsAndKnees, self::FoldedForward => [self::SupineKneesBent, self::Supine, self::Seated],
        };
    }

    /**
     * The next easier ones for someone who breathes worse the flatter they lie: towards sitting and leaning forward, never
     * flatter.
     *
     * @return list<self>
     */
    public function towardsLeaningForward(): array
    {
        return match ($this) {
            self::SeatedForward => [],
            self::Seated => [self::SeatedForward],
            self::Reclined, self::Standing, self::StandingAtWall, self::Kneeling, self::HandsAndKnees,
            self::FoldedForward => [self::Seated, self::SeatedForward],
            self::SideLying => [self::Reclined, self::Seated, self::SeatedForward],
            self::Supine, self::SupineKneesBent => [self::Reclined, self::SideLying, self::Seated, self::SeatedForward],
            self::Prone => [self::Reclined, self::Seated, self::SeatedForward],
            self::Walking => [self::Standing, self::StandingAtWall, self::Seated, self::SeatedForward],
        };
    }

    /** @return list<self> easier ones, the nearest first */
    public function easier(bool $neverFlatter): array
    {
        return $neverFlatter ? $this->towardsLeaningForward() : $this->towardsSupine();
    }
}
