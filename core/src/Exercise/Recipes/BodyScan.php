<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Side;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;

/** The attention goes through the body, region by region, in one of four orders. */
final readonly class BodyScan implements Recipe
{
    public const GROUPS = 1;

    public const PARTS = 2;

    public const PAIRS = 3;

    public const LEGS_FIRST = 4;

    private const LETS_GO = 2;

    /** A group gets as long as so many single parts. */
    private const GROUP_OF = 4;

    public function segments(Prescription $prescription): array
    {
        $list = (int) $prescription->parameter('list');
        $each = (int) round($prescription->parameter('seconds') * 1000 * ($list === self::GROUPS ? self::GROUP_OF : 1));
        $how = (int) $prescription->parameter('let-go') === self::LETS_GO ? 'cue.how.let-go' : null;
        $cues = [];
        foreach (self::regionsOf($list) as $index => [$region, $side]) {
            $cues[] = new Cue(CueKind::Region, $index * $each, $each, "cue.region.$region", side: $side, how: $how);
        }

        return [Cues::settle(), new Segment(SegmentRole::Exercise, $cues)];
    }

    public function cycles(Prescription $prescription): array
    {
        return [];
    }

    /** @return list<array{string, Side}> in order */
    private static function regionsOf(int $list): array
    {
        return match ($list) {
            self::PARTS => BodyRegions::parts(),
            self::PAIRS => BodyRegions::pairs(),
            self::LEGS_FIRST => BodyRegions::legsFirst(),
            default => BodyRegions::groups(),
        };
    }

    /** @return list<array{string, Side}> every region of all lists, for their words */
    public static function regions(): array
    {
        return [...BodyRegions::groups(), ...BodyRegions::parts(), ...BodyRegions::pairs(), ...BodyRegions::legsFirst()];
    }
}
