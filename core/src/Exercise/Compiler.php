<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Recipes\Cues;
use WeakMap;

/** Turns a prescribed exercise into the timeline that is played, drawn and printed. */
final class Compiler
{
    /** @var WeakMap<Prescription, Timeline>|null what was compiled already; prescriptions never change */
    private static ?WeakMap $compiled = null;

    private const ROLL_MS = 10_000;

    private const SIT_UP_MS = 15_000;

    public static function compile(Prescription $prescription): Timeline
    {
        self::$compiled ??= new WeakMap;

        return self::$compiled[$prescription] ??= self::timeline($prescription);
    }

    /**
     * What is the exercise's own, without the bell and the return that end a practice.
     *
     * @return list<Segment> at least one
     */
    public static function segments(Prescription $prescription): array
    {
        return Cues::faded($prescription->technique->recipe->segments($prescription), $prescription->guidance->fade);
    }

    /** @return list<Segment> the end of a practice that ends with this exercise */
    public static function ending(Prescription $last): array
    {
        return match (true) {
            $last->endsInSleep() => [],
            $last->position->isLying() => [Cues::bell('cue.bell.end'), self::returnFromLying()],
            default => [Cues::bell('cue.bell.end')],
        };
    }

    private static function timeline(Prescription $prescription): Timeline
    {
        return new Timeline([...self::segments($prescription), ...self::ending($prescription)]);
    }

    public static function returnFromLying(): Segment
    {
        return new Segment(SegmentRole::Return, [
            new Cue(CueKind::Return, 0, self::ROLL_MS, 'cue.return.roll'),
            new Cue(CueKind::Return, self::ROLL_MS, self::SIT_UP_MS, 'cue.return.sit-up'),
        ]);
    }
}
