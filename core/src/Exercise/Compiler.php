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
    /** @var WeakMap<Prescription, array<string, Timeline>>|null what was compiled already; prescriptions never change */
    private static ?WeakMap $compiled = null;

    private const ROLL_MS = 10_000;

    private const WEIGHT_MS = 6_000;

    private const SIT_UP_MS = 15_000;

    private const END_OF_SCAN_MS = 15_000;

    private const NOTICE_MS = 8_000;

    private const OPEN_EYES_MS = 6_000;

    private const LIFT_HEAD_MS = 6_000;

    /** @param  Ending|null  $usual  how it ends where that is left open; with a bell when null */
    public static function compile(Prescription $prescription, ?Ending $usual = null): Timeline
    {
        self::$compiled ??= new WeakMap;
        $known = self::$compiled[$prescription] ?? [];
        $key = ($usual ?? Ending::Bell)->value;
        if (! isset($known[$key])) {
            $known[$key] = new Timeline([
                ...Cues::bells($prescription->bellsFirst, 'cue.bell.begin'), ...self::segments($prescription),
                ...self::ending($prescription, $usual),
            ]);
            self::$compiled[$prescription] = $known;
        }

        return $known[$key];
    }

    /**
     * What is the exercise's own, without the bells before it and the end of the practice.
     *
     * @return list<Segment> at least one
     */
    public static function segments(Prescription $prescription): array
    {
        return Cues::faded($prescription->technique->recipe->segments($prescription), $prescription->guidance->fade);
    }

    /**
     * The end of a practice that ends with this exercise. Nothing of it sounds when it ends in sleep: it fades out in words.
     *
     * @param  Ending|null  $usual  where it is left open
     * @return list<Segment>
     */
    public static function ending(Prescription $last, ?Ending $usual = null): array
    {
        $ending = $last->ending ?? $usual ?? Ending::Bell;
        $isScan = $last->demandsThat(Demand::ScansBody);
        $said = fn (string $key, int $ms): Segment => new Segment(SegmentRole::Settle, [new Cue(CueKind::Settle, 0, $ms, $key)]);
        if ($ending === Ending::Quiet) {
            return [
                ...($last->hasWeight() ? [$said('cue.return.weight', self::WEIGHT_MS)] : []),
                ...($isScan && $last->position->isLying() ? [$said('cue.end.sleep-welcome', self::END_OF_SCAN_MS)] : []),
            ];
        }
        $slow = $ending === Ending::Slow ? [
            $said('cue.end.notice', self::NOTICE_MS),
            ...($last->mayCloseEyes() ? [$said('cue.end.open-eyes', self::OPEN_EYES_MS)] : []),
            ...($last->position->isLying() ? [] : [$said('cue.end.lift-head', self::LIFT_HEAD_MS)]),
        ] : [];

        return [
            ...($isScan ? [$said('cue.end.stay-awake', self::END_OF_SCAN_MS)] : []), ...$slow,
            ...Cues::bells($last->bellsLast, 'cue.bell.end'),
            ...($last->position->isLying() ? [self::returnFromLying($last)] : []),
        ];
    }

    /** @param  Prescription|null  $last  what was done lying; a weight is put aside first */
    public static function returnFromLying(?Prescription $last = null): Segment
    {
        $at = $last?->hasWeight() === true ? self::WEIGHT_MS : 0;

        return new Segment(SegmentRole::Return, [
            ...($at > 0 ? [new Cue(CueKind::Return, 0, $at, 'cue.return.weight')] : []),
            new Cue(CueKind::Return, $at, self::ROLL_MS, 'cue.return.roll'),
            new Cue(CueKind::Return, $at + self::ROLL_MS, self::SIT_UP_MS, 'cue.return.sit-up'),
        ]);
    }
}
