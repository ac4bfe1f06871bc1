<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;
use IvoryPace\Exercise\Told\Worded;

/**
 * Recovery from breathlessness: lean, out through the lips first, a gentle inhale by the nose, and so on until breath is
 * back. It ends on a tap, and how long it took is logged. Nothing comes before it.
 */
final readonly class ForwardLean implements Recipe
{
    private const LEAN_MS = 3_000;

    private const OUT_MS = 4_000;

    private const IN_MS = 2_000;

    private const NOMINAL_MS = 120_000;

    /** It ends by itself after so long; the screen has said long before that help is needed. */
    private const GREATEST_MS = 3_600_000;

    public function segments(Prescription $prescription): array
    {
        $top = $prescription->effort->top();

        return [new Segment(SegmentRole::Exercise, [
            new Cue(CueKind::Move, 0, self::LEAN_MS, Worded::key('cue.lean.lean', $prescription), $top, $top),
            new Cue(
                CueKind::Exhale, self::LEAN_MS, self::OUT_MS, 'cue.exhale.'.$prescription->routeOut->value, $top, 0.0, how: 'cue.how.first',
            ),
            new Cue(
                CueKind::Inhale, self::LEAN_MS + self::OUT_MS, self::IN_MS, 'cue.inhale.'.$prescription->routeIn->value, 0.0, $top,
                how: 'cue.how.gently',
            ),
            new Cue(
                CueKind::Free, self::LEAN_MS + self::OUT_MS + self::IN_MS, self::NOMINAL_MS, 'cue.lean.until-back', $top, 0.0,
                greatestMs: self::GREATEST_MS,
            ),
        ])];
    }

    public function cycles(Prescription $prescription): array
    {
        return [];
    }
}
