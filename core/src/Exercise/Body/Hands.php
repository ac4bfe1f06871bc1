<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Body;

/** Where the hands are. A position allows some of them, and a technique may need its own. Common practice. */
enum Hands: string
{
    case ChestAndBelly = 'chest-and-belly';
    case Belly = 'belly';
    case BothOnBelly = 'both-on-belly';
    case BellyAndRibs = 'belly-and-ribs';
    case LowerRibs = 'lower-ribs';
    case Sides = 'sides';
    case BellyAndEase = 'belly-and-ease';
    case RoundTheRibs = 'round-the-ribs';
    case LeadingRibs = 'leading-ribs';
    case PressLowerRibs = 'press-lower-ribs';
    case EarsClosed = 'ears-closed';
    case FoldTwoFingers = 'fold-two-fingers';
    case AsYouLike = 'as-you-like';
    case InTheLap = 'in-the-lap';
    case OnTheKnees = 'on-the-knees';
    case BesideYou = 'beside-you';
    case Hang = 'hang';
    case Swing = 'swing';
    case UnderForehead = 'under-forehead';
    case ElbowsOnKnees = 'elbows-on-knees';
    case OnTheTable = 'on-the-table';
    case ForearmsOnWall = 'forearms-on-wall';
    case OnTheFloor = 'on-the-floor';

    /** On the trunk, wherever both hands are free. */
    private const ON_THE_TRUNK = [
        self::ChestAndBelly, self::Belly, self::BothOnBelly, self::BellyAndRibs, self::LowerRibs, self::Sides, self::BellyAndEase,
        self::RoundTheRibs, self::LeadingRibs,
    ];

    /** Only for a technique that names them. */
    private const OF_A_TECHNIQUE = [self::FoldTwoFingers, self::PressLowerRibs, self::EarsClosed];

    /** For the prescriber. */
    public function label(): string
    {
        return match ($this) {
            self::ChestAndBelly => 'chest and belly',
            self::Belly => 'one on the belly',
            self::BothOnBelly => 'both on the belly',
            self::BellyAndRibs => 'belly and lower ribs',
            self::LowerRibs => 'lower ribs',
            self::Sides => 'sides of the body',
            self::BellyAndEase => 'one on the belly, one at ease',
            self::RoundTheRibs => 'round the lower ribs',
            self::LeadingRibs => 'leading the lower ribs inward on the exhale',
            self::PressLowerRibs => 'pressing the lower ribs lightly',
            self::EarsClosed => 'closing the ears',
            self::FoldTwoFingers => 'two fingers folded, closing the nostrils',
            self::AsYouLike => 'as the patient likes',
            self::InTheLap => 'in the lap',
            self::OnTheKnees => 'on the knees',
            self::BesideYou => 'beside the body',
            self::Hang => 'hanging',
            self::Swing => 'swinging',
            self::UnderForehead => 'under the forehead',
            self::ElbowsOnKnees => 'elbows on the knees',
            self::OnTheTable => 'on the table',
            self::ForearmsOnWall => 'forearms on the wall',
            self::OnTheFloor => 'on the floor',
        };
    }

    /** @return list<self> that a position leaves room for, the usual one first; those of a technique are left out */
    public static function in(Position $position): array
    {
        return match ($position) {
            Position::Supine, Position::SupineKneesBent, Position::Reclined => [self::BesideYou, self::AsYouLike, ...self::ON_THE_TRUNK],
            // One arm is lain on.
            Position::SideLying => [self::AsYouLike, self::Belly, self::BellyAndEase],
            Position::Prone => [self::UnderForehead, self::BesideYou],
            Position::Seated, Position::CrossLegged, Position::Kneeling => [
                self::AsYouLike, self::InTheLap, self::OnTheKnees, ...self::ON_THE_TRUNK, self::Hang,
            ],
            Position::SeatedForward => [self::ElbowsOnKnees],
            Position::SeatedAtTable => [self::OnTheTable],
            Position::Standing, Position::StandingAtWall => [self::Hang, self::AsYouLike, ...self::ON_THE_TRUNK],
            Position::FacingWall => [self::ForearmsOnWall],
            Position::HandsAndKnees => [self::OnTheFloor],
            Position::FoldedForward, Position::ChildsPose => [self::BesideYou, self::UnderForehead],
            Position::Walking => [self::Swing, self::AsYouLike, self::Belly, self::BellyAndEase],
        };
    }

    /** True where it can be done at all; a hand needs the trunk within reach. */
    public function suits(Position $position): bool
    {
        $there = self::in($position);

        return in_array($this, $there, true)
            || (in_array($this, self::OF_A_TECHNIQUE, true) && in_array(self::LowerRibs, $there, true));
    }

    /** Only offered where a technique names them. */
    public function isOfATechnique(): bool
    {
        return in_array($this, self::OF_A_TECHNIQUE, true);
    }

    /** True when a hand lies on the belly and can feel it. */
    public function feelTheBelly(): bool
    {
        return in_array($this, [
            self::ChestAndBelly, self::Belly, self::BothOnBelly, self::BellyAndRibs, self::BellyAndEase,
        ], true);
    }

    public function feelTheChest(): bool
    {
        return $this === self::ChestAndBelly;
    }

    /** True when a hand lies on the ribs and can feel them. */
    public function feelTheRibs(): bool
    {
        return in_array($this, [
            self::LowerRibs, self::Sides, self::RoundTheRibs, self::LeadingRibs, self::PressLowerRibs, self::BellyAndRibs,
        ], true);
    }

    /** True when they do more than lie there: what the rules about pressure look at. */
    public function press(): bool
    {
        return $this === self::PressLowerRibs || $this === self::LeadingRibs;
    }
}
