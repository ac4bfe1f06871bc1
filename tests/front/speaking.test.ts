import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PATTERNS } from '../../resources/js/player/buzz';
import { PlayerEngine } from '../../resources/js/player/engine';
import { inWords, linesOf, shownOf } from '../../resources/js/player/lines';
import { endingAtNight, isAtNight } from '../../resources/js/player/night';
import { FASTEST_RATE, Speaker, type OwnVoice } from '../../resources/js/player/speaker';
import { PHASES } from '../../resources/js/player/tones';
import type { Cue, Segment, Timeline } from '../../resources/js/shared/timeline';
import { FakeAudioContext } from './fakeAudio';
import { rules } from './logs';
import { texts } from './texts';
import { cue, paced } from './timelines';

interface Spoken {
    buzz: Record<string, number[]>;
    techniques: { key: string; timeline: Timeline; shown: string[]; lines: string[][] }[];
}

interface Way {
    key: string;
    timeline: Timeline;
    lines: string[][];
    /** Sentences before the steps of a routine, by step and key. */
    taught: Record<string, string>;
}

const ways = JSON.parse(readFileSync('tests/front/ways.json', 'utf8')) as Way[];
const spoken = JSON.parse(readFileSync('tests/front/spoken.json', 'utf8')) as Spoken;
const say = (key: string): string => (key.startsWith('number.') ? key.slice(7) : (texts[key] ?? key));
const cuesOf = (timeline: Timeline): Cue[] => timeline.segments.flatMap((segment) => segment.cues);

/** A voice that writes down what it was asked to say, and when that is heard. */
class Stub implements OwnVoice {
    readonly onset = 0.3;
    readonly said: { text: string; at: number; rate: number }[] = [];

    constructor(private readonly context: FakeAudioContext) {}

    seconds(text: string): number {
        return /^\d+$/.test(text)
            ? Number(text) < 20
                ? 0.5
                : Number(text) < 100
                  ? 0.8
                  : 1.6
            : text.length / 14 + 0.15;
    }

    speak(text: string, rate: number): void {
        this.said.push({ text, rate, at: this.context.currentTime + this.onset });
    }

    hush(): void {
        this.said.length += 0;
    }
}

describe('what is said of a cue', () => {
    it.each(spoken.techniques.map((each) => [each.key, each] as const))('is as the core has it: %s', (_, each) => {
        const cues = cuesOf(each.timeline);
        expect(cues.map((one) => inWords(shownOf(one), say))).toEqual(each.shown);
        expect(cues.map((one) => linesOf(one).map((line) => inWords(line, say)))).toEqual(each.lines);
    });

    it('is never nothing: every cue has a line, a label, a buzz and a tone', () => {
        expect(PATTERNS).toEqual(spoken.buzz);
        for (const each of spoken.techniques)
            for (const one of cuesOf(each.timeline)) {
                expect(linesOf(one)[0]?.flat().length, `${each.key} ${one.instruction}`).toBeGreaterThan(0);
                expect(inWords(shownOf(one), say)).not.toMatch(/cue\.|exercise\./);
                expect(PATTERNS[one.kind].length).toBeGreaterThan(0);
                expect(one.kind === 'lead-in' || PHASES[one.kind].length > 0).toBe(true);
            }
    });
});

describe('a whole practice by ear', () => {
    let context: FakeAudioContext;
    beforeEach(() => {
        vi.useFakeTimers();
        context = new FakeAudioContext();
    });
    afterEach(() => vi.useRealTimers());

    function pass(seconds: number): void {
        const end = context.currentTime + seconds;
        while (context.currentTime < end - 1e-9) {
            const by = Math.min(0.05, end - context.currentTime);
            context.currentTime += by;
            vi.advanceTimersByTime(by * 1000);
        }
    }

    function play(timeline: Timeline, taught: (step: number, key: string) => string = () => ''): Stub {
        const own = new Stub(context);
        const engine = new PlayerEngine(timeline, context as unknown as AudioContext);
        engine.setVoice(new Speaker({ clips: new Map(), own, say, taught, level: 1 }));
        engine.start();
        pass(timeline.total_ms / 1000 + 3);
        return own;
    }

    /** As long as planned: what a tap ends is ended at its nominal length. */
    const closed = (timeline: Timeline): Timeline => ({
        ...timeline,
        segments: timeline.segments.map((segment) => ({
            ...segment,
            open: false,
            cues: segment.cues.map((one) => ({ ...one, greatest: null })),
        })),
    });

    /** What is to be said, and when: of each cue the first line that has room. */
    function plan(timeline: Timeline, lines: string[][], own: Stub): { text: string; at: number; until: number }[] {
        const planned: { text: string; at: number; until: number }[] = [];
        let zero = 10.25;
        let index = 0;
        for (const segment of timeline.segments) {
            for (const one of segment.cues) {
                const room = one.ms / 1000 - 0.05;
                const short = (lines[index++] ?? []).flatMap((line) =>
                    /^\d{3}$/.test(line) ? [line, String(Number(line) % 100)] : [line],
                );
                const text = short.find((line) => own.seconds(line) / FASTEST_RATE <= room);
                const at = zero + one.at / 1000;
                if (text !== undefined && (one.sound ?? 1) > 0) planned.push({ text, at, until: at + one.ms / 1000 });
            }
            zero += segment.ms / 1000;
        }
        return planned;
    }

    const all: Way[] = [...spoken.techniques.map((each) => ({ ...each, taught: {} })), ...ways];
    it.each(all.map((each) => [each.key, each] as const))(
        'every cue that has room is said, in order and on time: %s',
        (_, each) => {
            const timeline = closed(each.timeline);
            const { said } = play(timeline, (step, key) => each.taught[`${step} ${key}`] ?? '');
            const own = new Stub(context);
            const planned = plan(timeline, each.lines, own);
            const words = said.filter((one) =>
                planned.some((planned) => Math.abs(planned.at - one.at) < 0.11 && planned.text === one.text),
            );
            expect(planned.length).toBeGreaterThan(2);
            expect(words.map((one) => one.text)).toEqual(planned.map((one) => one.text));
            planned.forEach((plan, nth) => {
                const one = words[nth];
                if (!one) return;
                expect(Math.abs(one.at - plan.at)).toBeLessThanOrEqual(0.11);
                expect(plan.at + own.seconds(one.text) / one.rate).toBeLessThanOrEqual(plan.until + 1e-9);
                expect(one.rate).toBeLessThanOrEqual(FASTEST_RATE);
            });
            // Beside them only numbers, each on its count.
            for (const one of said) if (!words.includes(one)) expect(one.text).toMatch(/^\d+$/);
        },
    );

    it('teaches each of twelve steps by ear, and leaves none of its sentences out', () => {
        const twelve = ways.find((way) => way.key === 'a routine of twelve steps');
        expect(twelve).toBeDefined();
        if (!twelve) return;
        const { said } = play(closed(twelve.timeline), (step, key) => twelve.taught[`${step} ${key}`] ?? '');
        const heard = new Set(said.map((one) => one.text));
        const steps = new Set(Object.keys(twelve.taught).map((key) => key.split(' ')[0]));
        expect(steps.size).toBe(12);
        const led = twelve.timeline.segments
            .filter((segment) => segment.role === 'teach')
            .flatMap((segment) =>
                segment.cues.map((one) => twelve.taught[`${one.place.step} ${one.instruction}`] ?? ''),
            );
        expect(led.length).toBeGreaterThan(40);
        expect(led.filter((sentence) => !heard.has(sentence))).toEqual([]);
    });

    it('says the sentences of a step before it is led, and a tap passes over them', () => {
        const teach: Segment = {
            role: 'teach',
            ms: 10_000,
            open: false,
            cues: [
                cue('listen', 0, 5000, { instruction: 'told.next' }),
                cue('move', 5000, 5000, { instruction: 'position.prone' }),
            ],
        };
        const whole = paced(1);
        const timeline = { ...whole, segments: [teach, ...whole.segments], total_ms: whole.total_ms + 10_000 };
        const heard = play(timeline, (_, key) =>
            key === 'told.next' ? 'Next: Breathing into the floor.' : 'Lie on your front.',
        );
        expect(heard.said.slice(0, 2).map((one) => one.text)).toEqual([
            'Next: Breathing into the floor.',
            'Lie on your front.',
        ]);

        const engine = new PlayerEngine(timeline, context as unknown as AudioContext);
        engine.start();
        pass(1);
        expect(engine.isTeaching).toBe(true);
        engine.skip();
        pass(0.1);
        expect(engine.isTeaching).toBe(false);
        expect(engine.now()?.segment.role).toBe('lead-in');
        expect(engine.progress().exerciseMs).toBe(0);
    });

    it('says nothing late, and nothing when it is paused', () => {
        const own = new Stub(context);
        const engine = new PlayerEngine(paced(3), context as unknown as AudioContext);
        engine.setVoice(new Speaker({ clips: new Map(), own, say, taught: () => '', level: 1 }));
        engine.start();
        pass(2);
        engine.pause();
        const before = own.said.length;
        pass(20);
        expect(own.said).toHaveLength(before);
    });

    it('shortens what does not fit, and leaves the tone where nothing fits', () => {
        const speaker = (own: OwnVoice) => new Speaker({ clips: new Map(), own, say, taught: () => '', level: 1 });
        const voice = speaker(new Stub(context));
        const number = (n: number, seconds: number) => voice.number({ at: 0, number: n }, seconds);
        expect(number(119, 2)).toMatchObject({ text: '119', rate: 1 });
        expect(number(119, 1)).toMatchObject({ text: '19' });
        expect(number(7, 0.3)).toBeNull();
        const inhale = cue('inhale', 0, 4000, {
            instruction: 'cue.inhale.nose',
            place: { step: 1, round: 0, breath: 1, of: 3 },
        });
        const segment: Segment = { role: 'exercise', ms: 4000, open: false, cues: [inhale] };
        expect(voice.line(inhale, segment, 4)).toMatchObject({ text: 'in, nose' });
        expect(voice.line(inhale, segment, 0.4)).toMatchObject({ text: 'in' });
        expect(voice.line(inhale, segment, 0.15)).toBeNull();
    });

    it('prefers what was recorded, as far as it goes', () => {
        const clip = (seconds: number) => ({ duration: seconds }) as AudioBuffer;
        const own = new Stub(context);
        const voice = new Speaker({
            clips: new Map([
                ['cue.short.exhale', clip(0.4)],
                ['number.2', clip(0.4)],
            ]),
            own,
            say,
            taught: () => '',
            level: 1,
        });
        const segment: Segment = { role: 'exercise', ms: 4000, open: false, cues: [] };
        const exhale = cue('exhale', 0, 4000, { instruction: 'cue.exhale.mouth' });
        expect(voice.line(exhale, segment, 4)).toHaveProperty('clips');
        expect(voice.number({ at: 0, number: 2 }, 1)).toHaveProperty('clips');
        expect(voice.number({ at: 0, number: 3 }, 1)).toMatchObject({ text: '3' });
    });
});

describe('a practice at night', () => {
    it('is one at lights out, or one that nobody planned late in the evening', () => {
        expect(isAtNight(rules.night, 'lights-out', 12)).toBe(true);
        expect(isAtNight(rules.night, 'waking', 23)).toBe(false);
        expect([20, 21, 4, 5].map((hour) => isAtNight(rules.night, null, hour))).toEqual([false, true, true, false]);
    });

    it('leaves out the bell and the way back', () => {
        const timeline = paced(2);
        const quiet = endingAtNight({ timeline }, { drop: 1, segments: [] });
        expect(quiet.timeline.segments.map((segment) => segment.role)).toEqual(['lead-in', 'exercise']);
        expect(quiet.timeline.segments.flatMap((segment) => segment.cues).some((one) => one.kind === 'bell')).toBe(
            false,
        );
    });
});
