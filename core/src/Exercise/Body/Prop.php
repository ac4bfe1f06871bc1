<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Body;

use IvoryPace\Exercise\Route;

/** Things that support the body or show the breath, each in its place. A candle is not among them: no open flame near oxygen or a bed. */
enum Prop: string
{
    case PillowUnderKnees = 'pillow-under-knees';
    case PillowUnderHead = 'pillow-under-head';
    case Wedge = 'wedge';
    case ChairWithBack = 'chair-with-back';
    case CushionToSitOn = 'cushion-to-sit-on';
    case RolledTowel = 'rolled-towel';
    case LowBackSupport = 'low-back-support';
    case Blanket = 'blanket';
    case Mirror = 'mirror';
    case Strap = 'strap';
    case Straw = 'straw';
    case Tissue = 'tissue';

    public const MAX_OWN = 60;

    /** A pillow under the head of somebody who sits supports nothing. Common practice. */
    public function suits(Position $position): bool
    {
        return match ($this) {
            self::PillowUnderKnees => in_array($position, [Position::Supine, Position::SupineKneesBent, Position::Reclined], true),
            self::PillowUnderHead => $position->isLying() && $position !== Position::Prone,
            self::Wedge => $position->isLying() && $position !== Position::Prone,
            self::ChairWithBack => in_array($position, [Position::Seated, Position::SeatedForward, Position::SeatedAtTable], true),
            self::CushionToSitOn => $position === Position::CrossLegged || $position === Position::Kneeling,
            self::RolledTowel => $position->isLyingFlat() && $position !== Position::Prone,
            self::LowBackSupport => $position === Position::Seated || $position === Position::Reclined,
            self::Blanket => $position !== Position::Walking && $position !== Position::HandsAndKnees,
            self::Mirror => in_array($position, [
                Position::Seated, Position::CrossLegged, Position::Standing, Position::StandingAtWall, Position::Kneeling,
            ], true),
            self::Strap => $position !== Position::Walking,
            self::Straw => true,
            self::Tissue => in_array($position, [
                Position::Seated, Position::CrossLegged, Position::SeatedAtTable, Position::Standing, Position::Kneeling,
                Position::Reclined,
            ], true),
        };
    }

    /** What shows or narrows an exhale needs one by the mouth. */
    public function suitsRoute(Route $out): bool
    {
        return match ($this) {
            self::Straw => $out === Route::PursedLips,
            self::Tissue => $out->isByMouth(),
            default => true,
        };
    }

    /** @return list<self> what a position is usually supported with */
    public static function usualIn(Position $position): array
    {
        return match ($position) {
            Position::Supine, Position::SupineKneesBent, Position::SideLying => [self::PillowUnderHead],
            Position::Reclined => [self::Wedge],
            Position::Seated => [self::ChairWithBack],
            Position::CrossLegged => [self::CushionToSitOn],
            default => [],
        };
    }

    /** True when it carries the body, rather than showing the breath. */
    public function supports(): bool
    {
        return in_array($this, [
            self::PillowUnderKnees, self::PillowUnderHead, self::Wedge, self::ChairWithBack, self::CushionToSitOn, self::RolledTowel,
            self::LowBackSupport,
        ], true);
    }

    /**
     * What stays when the body is placed otherwise: what no longer fits is left behind, and where a support was, the usual
     * support of the new position takes its place.
     *
     * @param  list<self>  $props
     * @return list<self>
     */
    public static function carried(array $props, Position $position): array
    {
        $stay = array_values(array_filter($props, fn (self $prop) => $prop->suits($position)));
        $lostSupport = array_filter($props, fn (self $prop) => $prop->supports() && ! $prop->suits($position)) !== [];
        $hasSupport = array_filter($stay, fn (self $prop) => $prop->supports()) !== [];

        return $lostSupport && ! $hasSupport ? [...$stay, ...self::usualIn($position)] : $stay;
    }

    public function label(): string
    {
        return match ($this) {
            self::PillowUnderKnees => 'pillow under the knees',
            self::PillowUnderHead => 'low pillow under the head',
            self::Wedge => 'wedge or stacked pillows',
            self::ChairWithBack => 'chair with a back',
            self::CushionToSitOn => 'cushion or block to sit on',
            self::RolledTowel => 'rolled towel under the neck',
            self::LowBackSupport => 'support for the low back',
            self::Blanket => 'blanket',
            self::Mirror => 'mirror',
            self::Strap => 'strap or band round the ribs',
            self::Straw => 'straw to breathe out through',
            self::Tissue => 'tissue in front of the lips',
        };
    }
}
