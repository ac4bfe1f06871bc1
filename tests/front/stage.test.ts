import { describe, expect, it } from 'vitest';
import { EVERYTHING, filtered } from '../../resources/js/components/exercises/filter';
import { breathGeometry } from '../../resources/js/shared/ridge';
import type { Moment } from '../../resources/js/player/engine';
import { phrase, stageOf } from '../../resources/js/player/stage';
import type { ExerciseEntry } from '../../resources/js/types/exercises';
import type { Cue, RidgeShape, Segment } from '../../resources/js/shared/timeline';
import { cue, paced, timeline } from './timelines';

const ridge: RidgeShape = { minutes: null, cues: [], count_s: 1 };

function moment(segment: Segment, at: Cue, msInCue: number, more: Partial<Moment> = {}): Moment {
    return {
        segment,
        cue: at,
        msInCue,
        msInSegment: at.at + msInCue,
        beat: null,
        breathsDone: 0,
        exerciseMs: 0,
        ...more,
    };
}

describe('the stage', () => {
    const of = paced(2);
    const set = of.segments[1];
    if (!set) throw new Error('no set');
    const [inhale, exhale] = set.cues;
    if (!inhale || !exhale) throw new Error('no cues');

    it('draws the present breath and inks it as it goes by', () => {
        const stage = stageOf(moment(set, exhale, 1000), of, ridge, false);
        expect(stage.shape.cues).toHaveLength(3);
        expect(stage.inked).toBeCloseTo(3 / 5);
        expect(stageOf(moment(set, exhale, 1000), of, ridge, true).inked).toBeCloseTo(4 / 5);
    });

    it('says the number of the beat, or a word in its place', () => {
        expect(stageOf(moment(set, inhale, 0, { beat: { at: 0, number: 1 } }), of, ridge, false)).toMatchObject({
            number: '1',
            wordKey: null,
        });
        expect(
            stageOf(moment(set, inhale, 0, { beat: { at: 0, number: 1, word: 'cue.word.inhale' } }), of, ridge, false)
                .wordKey,
        ).toBe('cue.word.inhale');
    });

    it('counts an open cue up, and uncounted minutes down', () => {
        const hum = cue('hum', 0, 8000, { greatest: 20_000 });
        const open: Segment = { role: 'exercise', ms: 8000, open: true, cues: [hum] };
        expect(stageOf(moment(open, hum, 3700), timeline([open]), ridge, false).number).toBe('3');
        const free = cue('listen', 0, 60_000);
        const minute: Segment = { role: 'exercise', ms: 60_000, open: false, cues: [free] };
        expect(
            stageOf(moment(minute, free, 15_000, { exerciseMs: 15_000 }), timeline([minute]), ridge, false),
        ).toMatchObject({ number: '0:45', inked: 0.25 });
    });

    it('draws a retention with the inhale before it', () => {
        const cues = [
            cue('inhale', 0, 5000),
            cue('exhale', 5000, 3500),
            cue('retention', 8500, 15_000),
            cue('release', 23_500, 1500),
        ];
        const retention: Segment = { role: 'exercise', ms: 25_000, open: false, cues };
        const third = cues[2];
        if (!third) throw new Error('no retention');
        const stage = stageOf(moment(retention, third, 4000), paced(1), ridge, false);
        expect(stage.shape.cues).toHaveLength(4);
        expect(stage.inked).toBeCloseTo(0.5);
        expect(breathGeometry({ ...ridge, cues }, 600, 90).phases.map((phase) => phase.label)).toEqual([
            'in 5 s',
            'out 3.5 s',
            'retention 15 s',
            'release 1.5 s',
        ]);
    });

    it('fades as the cue says, and shows nothing before the first beat', () => {
        expect(stageOf(moment(set, { ...inhale, sight: 0.4 }, 0), of, ridge, false).sight).toBe(0.4);
        expect(stageOf(null, of, ridge, false)).toMatchObject({ number: '', inked: 0, sight: 1 });
    });

    it('puts the side before a part of the body and after a breath', () => {
        const say = (key: string) =>
            ({ 'cue.side.right': 'right', 'cue.region': 'foot', 'cue.inhale': 'in' })[key] ?? key;
        expect(phrase(cue('region', 0, 1000, { side: 'right' }), say)).toBe('right foot');
        expect(phrase(cue('inhale', 0, 1000, { side: 'right' }), say)).toBe('in, right');
        expect(phrase(cue('inhale', 0, 1000), say)).toBe('in');
    });
});

describe('the filter of the catalogue', () => {
    const entry = (with_: Partial<ExerciseEntry>): ExerciseEntry => ({
        key: 'x',
        name: 'Square breathing',
        about: '',
        is_own: false,
        summary: '',
        total_ms: 90_000,
        is_about: false,
        has_hold: true,
        purposes: ['pressure'],
        positions: ['seated', 'supine'],
        possible: null,
        finding: null,
        ridge,
        ...with_,
    });

    it('keeps what fits every choice', () => {
        const list = [
            entry({}),
            entry({ key: 'y', name: 'Humming', has_hold: false, is_about: true, purposes: ['sleep'] }),
        ];
        const keys = (filter: Partial<typeof EVERYTHING>) =>
            filtered(list, { ...EVERYTHING, ...filter }).map((each) => each.key);
        expect(keys({})).toEqual(['x', 'y']);
        expect(keys({ noHolds: true })).toEqual(['y']);
        expect(keys({ short: true })).toEqual(['x']);
        expect(keys({ purpose: 'sleep' })).toEqual(['y']);
        expect(keys({ position: 'standing' })).toEqual([]);
        expect(keys({ text: ' SQU' })).toEqual(['x']);
    });

    it('looks at the positions that are possible for a patient', () => {
        const list = [entry({ possible: ['seated'] }), entry({ key: 'y', possible: [] })];
        expect(filtered(list, { ...EVERYTHING, possible: true }).map((each) => each.key)).toEqual(['x']);
        expect(filtered(list, { ...EVERYTHING, possible: true, position: 'supine' })).toEqual([]);
        expect(filtered(list, { ...EVERYTHING, position: 'supine' })).toHaveLength(2);
    });
});
