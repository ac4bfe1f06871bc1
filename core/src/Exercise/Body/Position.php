<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Body;

/** How the body is placed. */
enum Position: string
{
    case Supine = 'supine';
    case SupineKneesBent = 'supine-knees-bent';
    case Reclined = 'reclined';
    case SideLying = 'side-lying';
    case Prone = 'prone';
    case Seated = 'seated';
    case CrossLegged = 'cross-legged';
    case SeatedForward = 'seated-forward';
    case SeatedAtTable = 'seated-at-table';
    case Standing = 'standing';
    case StandingAtWall = 'standing-at-wall';
    case FacingWall = 'facing-wall';
    case Kneeling = 'kneeling';
    case HandsAndKnees = 'hands-and-knees';
    case FoldedForward = 'folded-forward';
    case ChildsPose = 'childs-pose';
    case Walking = 'walking';

    /**
     * Where one can be taken, so can its near relations: legs crossed for a chair, knees bent for straight legs, arms on a
     * table for elbows on the knees.
     *
     * @param  list<self>  $positions
     * @return list<self> in order
     */
    public static function withVariants(array $positions): array
    {
        $all = [];
        foreach ($positions as $position) {
            $all = [...$all, $position, ...match ($position) {
                self::Seated => [self::CrossLegged],
                self::SeatedForward => [self::SeatedAtTable],
                self::Supine => [self::SupineKneesBent],
                self::FoldedForward => [self::ChildsPose],
                default => [],
            }];
        }

        return array_values(array_unique($all, SORT_REGULAR));
    }

    /** On a chair or the floor, upright, the arms free. */
    public function isSitting(): bool
    {
        return in_array($this, [self::Seated, self::CrossLegged, self::SeatedForward, self::SeatedAtTable], true);
    }

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
            self::CrossLegged => 'cross-legged',
            self::SeatedForward => 'seated leaning forward',
            self::SeatedAtTable => 'seated at a table, arms on it',
            self::Standing => 'standing',
            self::StandingAtWall => 'standing, back against a wall',
            self::FacingWall => 'standing, forearms on a wall',
            self::Kneeling => 'kneeling',
            self::HandsAndKnees => 'on hands and knees',
            self::FoldedForward => 'folded forward on the knees',
            self::ChildsPose => 'child’s pose',
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
        return in_array($this, [self::CrossLegged, self::Kneeling, self::HandsAndKnees, self::FoldedForward, self::ChildsPose], true);
    }

    /** The head lies lower than the heart; kneeling and hands and knees are level. */
    public function isHeadDown(): bool
    {
        return $this === self::FoldedForward || $this === self::ChildsPose;
    }

    /** On one's feet: where dizziness means a fall. */
    public function isUpright(): bool
    {
        return in_array($this, [self::Standing, self::StandingAtWall, self::FacingWall, self::Walking], true);
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
            self::Seated, self::SeatedForward, self::SeatedAtTable => [
                self::Reclined, self::SideLying, self::SupineKneesBent, self::Supine,
            ],
            self::CrossLegged => [self::Seated, self::Reclined, self::SideLying, self::SupineKneesBent, self::Supine],
            self::Standing,
            self::StandingAtWall,
            self::FacingWall => [
                self::Seated, self::SeatedForward, self::Reclined, self::SideLying, self::SupineKneesBent, self::Supine,
            ],
            self::Walking => [
                self::Standing, self::StandingAtWall, self::Seated, self::SeatedForward, self::Reclined, self::SideLying,
                self::SupineKneesBent, self::Supine,
            ],
            self::Prone, self::Kneeling, self::HandsAndKnees, self::FoldedForward,
            self::ChildsPose => [self::SupineKneesBent, self::Supine, self::Seated],
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
            self::SeatedForward, self::SeatedAtTable => [],
            self::Seated => [self::SeatedForward],
            self::Reclined, self::Standing, self::StandingAtWall, self::FacingWall, self::CrossLegged, self::Kneeling, self::HandsAndKnees,
            self::FoldedForward, self::ChildsPose => [self::Seated, self::SeatedForward],
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
