import { clock } from '../shared/format';
import type { Cue, RidgeShape, Segment, Timeline } from '../shared/timeline';
import type { Moment } from './engine';
import { inWords, shownOf } from './lines';

/** What is shown at a moment of a timeline. */
export interface Stage {
    /** The cues that are drawn: of the present breath or retention, otherwise those that stand for the whole. */
    shape: RidgeShape;
    /** 0–1: how far the ink has come. */
    inked: number;
    /** The number, the time, or the key of a word that is said in place of the number. */
    number: string;
    wordKey: string | null;
    /** 0–1: how clearly it is drawn. */
    sight: number;
}

/** What is shown of a cue: "out, pursed lips, letting it sink", "right foot". */
export const phrase = (cue: Cue, say: (key: string) => string): string => inWords(shownOf(cue), say);

/** Kinds that pass without beats while the clock runs down. */
const TIMED = ['free', 'listen', 'move'];

/**
 * @param isStill without motion the present phase is inked whole
 */
export function stageOf(moment: Moment | null, timeline: Timeline, ridge: RidgeShape, isStill: boolean): Stage {
    const cue = moment?.cue ?? null;
    const shape = moment && cue ? present(moment, cue, ridge) : ridge;
    const drawn = shape === ridge ? null : shape.cues;
    return {
        shape,
        inked: moment && cue ? inked(moment, cue, drawn, timeline, isStill) : 0,
        number: moment && cue ? number(moment, cue, timeline) : '',
        wordKey: moment?.beat?.word ?? null,
        sight: cue?.sight ?? 1,
    };
}

/** The last breath of each segment: it is asked for sixty times a second, and drawn once. */
const drawnOf = new WeakMap<Segment, { ridge: RidgeShape; breath: number; shape: RidgeShape }>();

function present(moment: Moment, cue: Cue, ridge: RidgeShape): RidgeShape {
    const breath = cue.place.breath;
    const last = drawnOf.get(moment.segment);
    if (last?.breath === breath && last.ridge === ridge) return last.shape;
    const cues = cuesOf(moment.segment.cues, breath);
    const shape = cues ? { ...ridge, minutes: null, cues } : ridge;
    drawnOf.set(moment.segment, { ridge, breath, shape });
    return shape;
}

function cuesOf(cues: Cue[], breath: number): Cue[] | null {
    if (breath > 0) return cues.filter((each) => each.place.breath === breath);
    return cues.some((each) => each.kind === 'retention') ? cues : null;
}

function inked(moment: Moment, cue: Cue, drawn: Cue[] | null, timeline: Timeline, isStill: boolean): number {
    if (moment.segment.role !== 'exercise') return 0;
    const first = drawn?.[0];
    const last = drawn?.[drawn.length - 1];
    if (!first || !last) return timeline.breaths > 0 ? 0 : moment.exerciseMs / timeline.exercise_ms;
    const until = isStill ? cue.at + cue.ms : moment.msInSegment;
    return (until - first.at) / (last.at + last.ms - first.at);
}

function number(moment: Moment, cue: Cue, timeline: Timeline): string {
    if (cue.greatest !== null) return String(Math.floor(moment.msInCue / 1000));
    if (cue.kind === 'free' || (timeline.breaths === 0 && TIMED.includes(cue.kind)))
        return clock(Math.max(0, timeline.exercise_ms - moment.exerciseMs));
    return moment.beat === null || moment.beat.number === null ? '' : String(moment.beat.number);
}
