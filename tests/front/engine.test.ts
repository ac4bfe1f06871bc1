import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PlayerEngine } from '../../resources/js/player/engine';
import type { Voice } from '../../resources/js/player/speaking';
import type { Segment, Timeline } from '../../resources/js/shared/timeline';
import { FakeAudioContext } from './fakeAudio';
import { cue, paced, timeline } from './timelines';

let context: FakeAudioContext;

beforeEach(() => {
    vi.useFakeTimers();
    context = new FakeAudioContext();
});
afterEach(() => vi.useRealTimers());

function engineFor(of: Timeline): PlayerEngine {
    return new PlayerEngine(of, context as unknown as AudioContext);
}

/** Lets time pass on both clocks, in steps of the timer; a longer step is a browser that wakes its timers late. */
function pass(seconds: number, step = 0.15): void {
    const end = context.currentTime + seconds;
    while (context.currentTime < end - 1e-9) {
        const by = Math.min(step, end - context.currentTime);
        context.currentTime += by;
        vi.advanceTimersByTime(by * 1000);
    }
}

const INHALE = 220;
const EXHALE = 330;
const REST = 147;
const LAST = 784;

describe('scheduling', () => {
    it('puts every phase on the audio clock, exactly where the timeline has it', () => {
        const engine = engineFor(paced(4));
        engine.start();
        pass(30);
        const zero = 10.25 + 3;
        const at = (frequency: number) =>
            context
                .sounding()
                .filter((each) => each.frequency === frequency)
                .map((each) => each.at);

        expect(at(INHALE)).toEqual([zero, zero + 5, zero + 10, zero + 15]);
        expect(at(EXHALE)).toEqual([zero + 2, zero + 7, zero + 12, zero + 17]);
        expect(at(REST)).toEqual([zero + 4, zero + 9, zero + 14, zero + 19]);
        expect(at(LAST)).toEqual([zero + 15]);
    });

    it('puts nothing late, though the timers wake only once in eight seconds', () => {
        const engine = engineFor(paced(20));
        engine.start();
        pass(110, 8);
        const phases = context.sounding().filter((each) => [INHALE, EXHALE, REST].includes(each.frequency));

        expect(phases).toHaveLength(60);
        for (const each of phases) expect(each.putAt).toBeLessThanOrEqual(each.at);
        phases.forEach((each, index) =>
            expect(each.at).toBeCloseTo(13.25 + Math.floor(index / 3) * 5 + ([0, 2, 4][index % 3] ?? 0), 9),
        );
    });

    it('sounds each event once, however often the timer comes', () => {
        const engine = engineFor(paced(3));
        engine.start();
        pass(25, 0.01);
        expect(context.sounding().filter((each) => each.frequency === INHALE)).toHaveLength(3);
    });
});

describe('where it stands', () => {
    it('follows the audio clock and takes the output latency off', () => {
        const engine = engineFor(paced(2));
        engine.start();
        expect(engine.now()).toBeNull();
        pass(0.25 + 3 + 5 + 2.5);
        expect(engine.now()).toMatchObject({ cue: { kind: 'exhale' }, beat: { number: 2 }, breathsDone: 1 });
        expect(engine.now()?.msInCue).toBeCloseTo(500, 6);
        context.outputLatency = 0.6;
        expect(engine.now()?.cue.kind).toBe('inhale');
    });

    it('counts a breath when it is over, and ends once', () => {
        const engine = engineFor(paced(2));
        const ended = vi.fn();
        engine.onEnd = ended;
        engine.start();
        pass(0.25 + 3 + 4.9);
        expect(engine.progress()).toMatchObject({ breathsDone: 0, exerciseMs: 4900 });
        pass(0.2);
        expect(engine.progress().breathsDone).toBe(1);
        pass(10);
        expect(ended).toHaveBeenCalledTimes(1);
        expect(engine.progress()).toMatchObject({ breathsDone: 2, exerciseMs: 10_000 });
    });

    it('remembers where it was stopped', () => {
        const engine = engineFor(paced(5));
        engine.start();
        pass(0.25 + 3 + 11);
        engine.stop();
        pass(20);
        expect(engine.progress()).toMatchObject({ breathsDone: 2, exerciseMs: 11_000 });
        expect(context.sounding().every((each) => each.at <= 24.25)).toBe(true);
    });

    it('has done nothing when it is stopped in the lead-in', () => {
        const engine = engineFor(paced(5));
        engine.start();
        pass(1);
        engine.stop();
        expect(engine.progress()).toMatchObject({ breathsDone: 0, exerciseMs: 0 });
    });
});

describe('pause', () => {
    it('is silent, and goes on at the start of the breath', () => {
        const engine = engineFor(paced(3));
        engine.start();
        pass(0.25 + 3 + 5 + 3.2);
        engine.pause();
        expect(engine.isPaused).toBe(true);
        expect(context.sounding().every((each) => each.at <= context.currentTime)).toBe(true);
        pass(60);
        expect(engine.now()?.msInSegment).toBeCloseTo(8200, 6);

        const resumed = context.currentTime;
        engine.resume();
        pass(20);
        const inhales = context
            .sounding()
            .filter((each) => each.frequency === INHALE && each.at >= resumed)
            .map((each) => each.at - resumed);
        expect(inhales[0]).toBeCloseTo(1, 9);
        expect(inhales[1]).toBeCloseTo(6, 9);
        expect(inhales).toHaveLength(2);
        expect(engine.progress().breathsDone).toBe(3);
    });

    it('twice is as good as once, and does nothing after the end', () => {
        const engine = engineFor(paced(1));
        engine.start();
        pass(4);
        engine.pause();
        engine.pause();
        engine.resume();
        engine.resume();
        pass(20);
        engine.pause();
        expect(engine.isPaused).toBe(false);
    });
});

describe('open cues', () => {
    const withHum = (): Timeline =>
        timeline([
            {
                role: 'exercise',
                ms: 12_000,
                open: true,
                cues: [cue('inhale', 0, 4000), cue('hum', 4000, 8000, { greatest: 20_000 })],
            },
            { role: 'settle', ms: 2000, open: false, cues: [cue('bell', 0, 2000)] },
        ]);

    it('end at a tap', () => {
        const engine = engineFor(withHum());
        engine.start();
        pass(2);
        engine.tap(); // not yet in the open cue
        expect(engine.now()?.cue.kind).toBe('inhale');
        pass(8);
        engine.tap();
        pass(0.1);
        expect(engine.openMs).toEqual([5750]);
        expect(engine.progress().exerciseMs).toBe(9750);
        expect(engine.now()?.cue.kind).toBe('bell');
        pass(5);
        expect(engine.now()).toBeNull();
    });

    it('end at their greatest length without one', () => {
        const engine = engineFor(withHum());
        const ended = vi.fn();
        engine.onEnd = ended;
        engine.start();
        pass(0.25 + 4 + 19.8);
        expect(engine.now()?.cue.kind).toBe('hum');
        pass(0.4);
        expect(engine.now()?.cue.kind).toBe('bell');
        pass(3);
        expect(ended).toHaveBeenCalledTimes(1);
        expect(engine.openMs).toEqual([20_000]);
    });
});

describe('saying that it is enough', () => {
    /** Three steps of one breath each, in 2, 3 and 4 s. */
    const growing = (): Timeline => {
        const step = (n: number): Segment => ({
            role: 'exercise',
            ms: 1000 * (n + 1),
            open: false,
            ...(n < 3 ? { enough: true } : {}),
            cues: [cue('inhale', 0, 1000 * (n + 1), { place: { step: n, round: 0, breath: n, of: 3 } })],
        });
        return timeline(
            [step(1), step(2), step(3), { role: 'settle', ms: 2000, open: false, cues: [cue('bell', 0, 2000)] }],
            3,
        );
    };

    it('finishes the present step and leaves the later ones out', () => {
        const engine = engineFor(growing());
        const ended = vi.fn();
        engine.onEnd = ended;
        engine.start();
        pass(0.25 + 1);
        expect(engine.canBeEnough).toBe(true);
        engine.enough();
        expect(engine.canBeEnough).toBe(false);
        expect([engine.enoughStep, engine.breaths, engine.exerciseMs]).toEqual([1, 1, 2000]);
        pass(1.5);
        expect(engine.now()?.cue.kind).toBe('bell');
        pass(3);
        expect(ended).toHaveBeenCalledTimes(1);
        expect(engine.progress()).toMatchObject({ breathsDone: 1, exerciseMs: 2000 });
        expect(context.sounding().filter((each) => each.frequency === INHALE && each.at > 12)).toEqual([]);
    });

    it('does nothing where nothing grows', () => {
        const engine = engineFor(growing());
        engine.start();
        pass(0.25 + 2 + 3 + 1);
        engine.enough();
        expect(engine.enoughStep).toBeNull();
    });
});

describe('rounds and fading', () => {
    it('begins an interrupted retention again with the inhale before it', () => {
        const cues = [cue('inhale', 0, 2000), cue('retention', 2000, 10_000), cue('release', 12_000, 1000)];
        const engine = engineFor(timeline([{ role: 'exercise', ms: 13_000, open: false, cues }]));
        engine.start();
        pass(0.25 + 6);
        engine.pause();
        engine.resume();
        pass(1.1);
        expect(engine.now()?.cue.kind).toBe('inhale');
    });

    it('sounds fainter as the cue says, and not at all in the end', () => {
        const cues = [1, 0.5, 0].map((sound, n) =>
            cue('inhale', n * 1000, 1000, {
                sound,
                beats: [
                    { at: n * 1000, number: 1 },
                    { at: n * 1000 + 500, number: 2 },
                ],
            }),
        );
        const engine = engineFor(timeline([{ role: 'exercise', ms: 3000, open: false, cues }]));
        engine.start();
        pass(4);
        expect(context.sounding().filter((each) => each.frequency === INHALE)).toHaveLength(2);
        expect(context.sounding().filter((each) => each.frequency === 880)).toHaveLength(2);
    });
});

describe('tempo', () => {
    it('changes from the next breath on, and the breath that goes on is finished as it was', () => {
        const engine = engineFor(paced(4));
        engine.start();
        pass(0.25 + 3 + 6); // in the second breath
        engine.setTempo(1.2);
        pass(30);
        const zero = 13.25;
        const inhales = context
            .sounding()
            .filter((each) => each.frequency === INHALE)
            .map((each) => Math.round((each.at - zero) * 1000) / 1000);
        // What sounded before the change is past; the fake forgets it when the later tones are taken back.
        expect(inhales).toEqual([10, 16]);
        expect(engine.progress().breathsDone).toBe(4);
        expect(engine.exerciseMs).toBe(22_000);
    });

    it('can go back, and stays through a pause', () => {
        const engine = engineFor(paced(4));
        engine.start();
        pass(0.25 + 3 + 1);
        engine.setTempo(0.8);
        pass(5); // in the second breath, which lasts four seconds
        engine.pause();
        pass(3);
        engine.resume();
        pass(1 + 2);
        engine.setTempo(1);
        pass(30);
        expect(engine.exerciseMs).toBe(5000 + 4000 + 5000 + 5000);
        expect(engine.progress().breathsDone).toBe(4);
    });
});

describe('the practitioner’s voice', () => {
    const clip = (name: string) => ({ name, duration: 0.5 }) as unknown as AudioBuffer;
    const silent: Voice = {
        line: () => null,
        number: () => null,
        onset: 0,
        speak: () => undefined,
        hush: () => undefined,
    };

    it('says words and numbers on the beat, and leaves the tone where there is none', () => {
        const engine = engineFor(paced(2));
        engine.setVoice({
            ...silent,
            line: (each) => (each.kind === 'inhale' ? { clips: [clip('in')], seconds: 0.5 } : null),
            number: ({ number }) => (number === 2 ? { clips: [clip('two')], seconds: 0.5 } : null),
        });
        engine.start();
        pass(20);
        const zero = 13.25;
        const words = context
            .sounding()
            .filter((each) => each.word)
            .map((each) => [each.word, each.at - zero]);
        // Of the exhale the number on its first beat is said over no word, for there is none.
        expect(words).toEqual([
            ['in', 0],
            ['two', 1],
            ['two', 2],
            ['in', 5],
            ['two', 6],
            ['two', 7],
        ]);
        expect(context.sounding().some((each) => each.frequency === INHALE)).toBe(false);
        expect(context.sounding().filter((each) => each.frequency === EXHALE)).toHaveLength(2);
    });

    it('is silent with everything else when it is paused', () => {
        const engine = engineFor(paced(2));
        engine.setVoice({ ...silent, line: () => ({ clips: [clip('in')], seconds: 0.5 }) });
        engine.start();
        pass(3.3);
        engine.pause();
        expect(context.sounding().filter((each) => each.word && each.at > context.currentTime)).toEqual([]);
    });
});

describe('interruptions', () => {
    it('waits when the sound stops, says so once, and goes on with a new breath', async () => {
        const engine = engineFor(paced(4));
        const told = vi.fn();
        engine.onInterrupted = told;
        engine.start();
        pass(3.25 + 6);
        context.state = 'suspended';
        context.onstatechange?.();
        context.onstatechange?.();
        expect(told).toHaveBeenCalledTimes(1);
        expect(engine.progress().breathsDone).toBe(1);
        context.currentTime += 60;
        await engine.resume();
        expect(context.state).toBe('running');
        pass(1.001);
        expect(engine.now()).toMatchObject({ cue: { kind: 'inhale', place: { breath: 2 } } });
    });

    it('does not count breaths that nobody heard: it waits where the sound ran out', () => {
        const engine = engineFor(paced(30));
        const told = vi.fn();
        engine.onInterrupted = told;
        engine.start();
        pass(3.25 + 5);
        // The page was frozen for longer than it had looked ahead.
        context.currentTime += 60;
        vi.advanceTimersByTime(200);
        expect(told).toHaveBeenCalledTimes(1);
        expect(engine.isPaused).toBe(true);
        expect(engine.progress().breathsDone).toBeLessThan(5);
    });

    it('is no interruption when the sound went on', () => {
        const engine = engineFor(paced(30));
        const told = vi.fn();
        engine.onInterrupted = told;
        engine.start();
        pass(60, 8);
        expect(told).not.toHaveBeenCalled();
        expect(engine.progress().breathsDone).toBe(11);
    });
});

describe('joining', () => {
    it('begins at the patient’s own pace and eases to the prescribed one; a change of pace goes on top', () => {
        const engine = new PlayerEngine(paced(6), context as unknown as AudioContext, {
            joining: { seconds: 2.5, over: 2, slowest: 1, least: 2 },
        });
        engine.start();
        pass(3.25 + 40);
        const starts = context
            .sounding()
            .filter((each) => each.frequency === INHALE)
            .map((each) => each.at - 13.25);
        expect(starts.slice(0, 4).map((at) => Math.round(at * 100) / 100)).toEqual([0, 2.5, 6.04, 11.04]);
    });
});

describe('sides', () => {
    it('sounds one low tap for left and two high ones for right', () => {
        const sided = timeline([
            {
                role: 'exercise',
                ms: 4000,
                open: false,
                cues: [cue('inhale', 0, 2000, { side: 'left' }), cue('exhale', 2000, 2000, { side: 'right' })],
            },
        ]);
        engineFor(sided).start();
        pass(5);
        const taps = (frequency: number) => context.sounding().filter((each) => each.frequency === frequency).length;
        expect([taps(165), taps(659)]).toEqual([1, 2]);
    });
});

describe('an open cue that nobody ends', () => {
    const open = (): Segment => ({
        role: 'exercise',
        ms: 3000,
        open: true,
        cues: [
            cue('inhale', 0, 1000, { place: { step: 1, round: 0, breath: 1, of: 2 } }),
            cue('hum', 1000, 2000, { greatest: 4000, place: { step: 1, round: 0, breath: 1, of: 2 } }),
        ],
    });

    it('ends by itself once, though what follows is heard a little later', () => {
        context.outputLatency = 0.2;
        const engine = engineFor(timeline([open(), open()], 2));
        const ended = vi.fn();
        const told = vi.fn();
        engine.onEnd = ended;
        engine.onInterrupted = told;
        engine.start();
        pass(14);
        expect(engine.openMs).toEqual([4000, 4000]);
        expect(ended).toHaveBeenCalledTimes(1);
        expect(told).not.toHaveBeenCalled();
    });

    it('is not ended twice by a second tap', () => {
        context.outputLatency = 0.2;
        const engine = engineFor(timeline([open(), open()], 2));
        engine.start();
        pass(2.5);
        engine.tap();
        engine.tap();
        expect(engine.openMs).toHaveLength(1);
    });
});
