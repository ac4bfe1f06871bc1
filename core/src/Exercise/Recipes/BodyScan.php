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

/** The attention goes through the body, region by region: groups from the feet up, or ninety parts from the crown down. */
final readonly class BodyScan implements Recipe
{
    public const GROUPS = 1;

    public const PARTS = 2;

    public const ASLEEP_WELCOME = 2.0;

    /** A group gets as long as so many single parts. */
    private const GROUP_OF = 4;

    private const END_MS = 15_000;

    public function segments(Prescription $prescription): array
    {
        $isLong = (int) $prescription->parameter('list') === self::PARTS;
        $each = (int) round($prescription->parameter('seconds') * 1000 * ($isLong ? 1 : self::GROUP_OF));
        $cues = [];
        foreach ($isLong ? BodyRegions::parts() : BodyRegions::groups() as $index => [$region, $side]) {
            $cues[] = new Cue(CueKind::Region, $index * $each, $each, "cue.region.$region", side: $side);
        }
        $end = $prescription->endsInSleep() ? 'cue.sleep-welcome' : 'cue.stay-awake';

        return [
            Cues::settle(),
            new Segment(SegmentRole::Exercise, $cues),
            new Segment(SegmentRole::Settle, [new Cue(CueKind::Settle, 0, self::END_MS, $end)]),
        ];
    }

    public function cycles(Prescription $prescription): array
    {
        return [];
    }

    /** @return list<array{string, Side}> every region of both lists, for their words */
    public static function regions(): array
    {
        return [...BodyRegions::groups(), ...BodyRegions::parts()];
    }
}
