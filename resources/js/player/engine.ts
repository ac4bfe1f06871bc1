import type { Beat, Cue, Segment, Timeline } from '../shared/timeline';
import { eventsOf, type Event } from './events';
import { doneAt, type Done } from './progress';
import { Pace } from './pace';
import type { Joining } from './retiming';
import { Speaking, type Voice } from './speaking';
import { Tones, type Levels } from './tones';

/** Where the timeline stands. */
export interface Moment {
    segment: Segment;
    cue: Cue;
    /** Milliseconds since the cue began. */
    msInCue: number;
    /** Milliseconds since the segment began. */
    msInSegment: number;
    beat: Beat | null;
    breathsDone: number;
    exerciseMs: number;
}

/** How far ahead tones are put on the audio clock: hidden tabs wake their timers only about once a second or minute. */
const AHEAD_BREATHS = 2;
const LEAST_AHEAD_S = 4;
const PUMP_MS = 150;
const BEFORE_FIRST_S = 0.25;
const BEFORE_RESUMED_S = 1;
/** An event so late was not heard when it was due. */
const MISSED_S = 0.05;

/**
 * Plays a timeline. The audio clock is the only clock: tones are scheduled on it ahead of time, and what is drawn asks
 * it where the timeline stands. Timers only top up the schedule; a late one moves nothing.
 */
export class PlayerEngine {
    onEnd: () => void = () => undefined;
    /** Now and then while it plays, also when nothing is drawn because the page is hidden. */
    onTick: () => void = () => undefined;
    /** It has stopped by itself, because the sound stopped: a call, a locked screen. It waits to be resumed. */
    onInterrupted: () => void = () => undefined;
    /** How long each open cue lasted in ms, in order. */
    readonly openMs: number[] = [];

    /** The step in which the patient said that it is enough. */
    enoughStep: number | null = null;

    private prescribed: Segment[];

    /** How long each segment with an open cue lasted in ms. */
    private readonly lasted = new Map<number, number>();
    private readonly tones: Tones;
    private segments: Segment[];
    private events: Event[][];
    /** When each segment began or will begin, in seconds on the audio clock; unknown after an open cue. */
    private zeros: number[] = [];
    private next = { segment: 0, event: 0 };
    private pump: ReturnType<typeof setInterval> | undefined;
    private pausedAt: { segment: number; ms: number } | null = null;
    private over = false;

    private readonly pace: Pace;
    private readonly speaking: Speaking;
    private readonly ahead: number;

    constructor(
        timeline: Timeline,
        private readonly context: AudioContext,
        {
            levels,
            joining = null,
            ahead = LEAST_AHEAD_S,
        }: {
            levels?: Levels;
            joining?: Joining | null;
            /** Seconds that are put on the clock ahead at least. */ ahead?: number;
        } = {},
    ) {
        this.ahead = ahead;
        this.tones = new Tones(context, levels);
        this.speaking = new Speaking(context, this.tones);
        this.prescribed = timeline.segments;
        this.pace = new Pace(timeline, joining);
        this.segments = this.pace.of(this.prescribed);
        this.events = this.segments.map(eventsOf);
    }

    get tempo(): number {
        return this.pace.tempo;
    }

    /** From here on what it knows is said too. */
    setVoice(voice: Voice | null): void {
        this.speaking.voice = voice;
    }

    /** Breaths that will have been breathed at the end: fewer when the patient said that it is enough. */
    get breaths(): number {
        return this.segments.reduce(
            (sum, segment) =>
                sum + new Set(segment.cues.map((cue) => cue.place.breath).filter((breath) => breath > 0)).size,
            0,
        );
    }

    get exerciseMs(): number {
        return this.segments.reduce((sum, segment) => sum + (segment.role === 'exercise' ? segment.ms : 0), 0);
    }

    start(): void {
        this.begin(0, this.context.currentTime + BEFORE_FIRST_S);
        this.context.onstatechange = () => {
            if (this.context.state !== 'running') this.interrupt();
        };
    }

    /** The sound has stopped, or nobody can follow any more: it waits where it was. */
    interrupt(): void {
        if (this.over || this.pausedAt) return;
        this.pause();
        if (this.pausedAt) this.onInterrupted();
    }

    get isPaused(): boolean {
        return this.pausedAt !== null;
    }

    pause(): void {
        const place = this.place();
        if (this.over || !place || this.pausedAt) return;
        this.pausedAt = place;
        clearInterval(this.pump);
        this.silence();
    }

    /** Goes on at the start of the breath in which it was paused. */
    async resume(): Promise<void> {
        if (this.context.state !== 'running') await this.context.resume();
        if (!this.pausedAt || this.over) return;
        const { segment, ms } = this.pausedAt;
        const cues = this.segments[segment]?.cues ?? [];
        const present = cues.find((cue) => ms < cue.at + cue.ms) ?? cues[cues.length - 1];
        const breath = present?.place.breath ?? 0;
        // A retention that was interrupted begins again with the inhale before it.
        const retains = cues.some((cue) => cue.kind === 'retention');
        const from = breath > 0 ? (cues.find((cue) => cue.place.breath === breath)?.at ?? ms) : retains ? 0 : ms;
        this.pausedAt = null;
        this.begin(segment, this.context.currentTime + BEFORE_RESUMED_S - from / 1000, from);
    }

    /** Ends for good, and remembers where. */
    stop(): void {
        if (!this.hasEnded()) this.pausedAt = this.place();
        this.over = true;
        this.context.onstatechange = null;
        clearInterval(this.pump);
        this.silence();
    }

    /** True while a tap says that the present length is as far as is comfortable. */
    get canBeEnough(): boolean {
        const place = this.place();
        return (
            !this.over && this.enoughStep === null && place !== null && this.segments[place.segment]?.enough === true
        );
    }

    /** This is as far as is comfortable: the present step is finished, later ones are left out. */
    enough(): void {
        const place = this.place();
        const segment = place ? this.segments[place.segment] : undefined;
        if (!place || !segment || !this.canBeEnough) return;
        this.enoughStep = segment.cues[0]?.place.step ?? null;
        const stays = (each: Segment, index: number): boolean => index <= place.segment || each.role !== 'exercise';
        this.prescribed = this.prescribed.filter(stays);
        this.segments = this.segments.filter(stays);
        this.events = this.segments.map(eventsOf);
        if (this.pausedAt) return;
        this.silence();
        this.begin(place.segment, this.context.currentTime - place.ms / 1000, place.ms);
    }

    /** Slower or faster from the next breath on. */
    setTempo(factor: number): void {
        const place = this.place() ?? { segment: 0, ms: 0 };
        if (this.over || factor === this.tempo) return;
        const cues = this.segments[place.segment]?.cues ?? [];
        const present = cues.find((cue) => place.ms < cue.at + cue.ms) ?? cues[cues.length - 1];
        this.pace.change(factor, place.segment, present?.place.breath ?? 0);
        this.segments = this.pace.of(this.prescribed);
        this.events = this.segments.map(eventsOf);
        if (this.pausedAt || this.zeros.length === 0) return;
        this.silence();
        this.begin(place.segment, this.zeros[place.segment] ?? this.context.currentTime, place.ms);
    }

    private silence(): void {
        this.tones.silence();
        this.speaking.hush();
    }

    /** Ends an open cue. */
    tap(): void {
        const place = this.place();
        const segment = place ? this.segments[place.segment] : undefined;
        const last = segment?.cues[segment.cues.length - 1];
        if (
            this.pausedAt ||
            this.over ||
            !place ||
            !segment?.open ||
            !last ||
            place.ms < last.at ||
            this.hasLeft(place.segment)
        )
            return;
        this.openNext(place.segment, Math.round(place.ms - last.at));
    }

    /** True while a step is taught: a tap passes over it. */
    get isTeaching(): boolean {
        const place = this.place();
        return !this.over && place !== null && this.segments[place.segment]?.role === 'teach';
    }

    /** Passes over what is said before a step. */
    skip(): void {
        const place = this.place();
        if (!place || this.pausedAt || !this.isTeaching || place.segment + 1 >= this.segments.length) return;
        this.silence();
        this.begin(place.segment + 1, this.context.currentTime);
    }

    setSound(on: boolean): void {
        this.tones.setOn(on);
    }

    /**
     * Where the timeline stands as heard now; null before the first beat and after the end.
     *
     * @param ahead seconds from now, for what is seen a little later than it is drawn
     */
    now(ahead = 0): Moment | null {
        const place = this.place(ahead);
        const segment = place ? this.segments[place.segment] : undefined;
        if (!place || !segment) return null;
        const cue = segment.cues.find((each) => place.ms < each.at + each.ms) ?? segment.cues[segment.cues.length - 1];
        if (!cue) return null;
        let beat: Beat | null = null;
        for (const each of cue.beats) if (each.at <= place.ms) beat = each;
        return { segment, cue, msInCue: place.ms - cue.at, msInSegment: place.ms, beat, ...this.done(place) };
    }

    /** How much of the exercise is done, and how much of each step. */
    progress(): Done {
        return this.done(this.place() ?? { segment: this.hasEnded() ? this.segments.length : 0, ms: 0 });
    }

    private done(place: { segment: number; ms: number }): Done {
        return doneAt(this.segments, place, this.lasted);
    }

    private begin(segment: number, zero: number, fromMs = 0): void {
        this.zeros = this.zeros.slice(0, segment);
        this.zeros[segment] = zero;
        const events = this.events[segment] ?? [];
        // What is being heard at this moment was put on the clock before.
        const from = Math.max(fromMs, (this.context.currentTime - zero) * 1000);
        const first = events.findIndex((event) => event.at >= from - 0.5);
        this.next = { segment, event: first === -1 ? events.length : first };
        this.chain(segment);
        clearInterval(this.pump);
        this.pump = setInterval(() => this.work(), PUMP_MS);
        this.work();
    }

    /** Segments follow each other without a gap, up to the first one that is open. */
    private chain(from: number): void {
        for (let index = from; index < this.segments.length - 1; index++) {
            const segment = this.segments[index];
            const zero = this.zeros[index];
            if (!segment || segment.open || zero === undefined) return;
            this.zeros[index + 1] = zero + segment.ms / 1000;
        }
    }

    /** What comes after it has begun, though it is not heard yet. */
    private hasLeft(segment: number): boolean {
        return this.zeros[segment + 1] !== undefined;
    }

    private openNext(segment: number, lasted: number): void {
        this.openMs.push(lasted);
        const last = this.segments[segment]?.cues.at(-1);
        this.lasted.set(segment, (last?.at ?? 0) + lasted);
        this.silence();
        if (segment + 1 >= this.segments.length) this.finish();
        else this.begin(segment + 1, this.context.currentTime);
    }

    private work(): void {
        if (this.over || this.pausedAt) return;
        this.schedule();
        this.onTick();
        const place = this.place();
        const segment = place ? this.segments[place.segment] : undefined;
        const last = segment?.cues[segment.cues.length - 1];
        if (
            place &&
            segment?.open &&
            last &&
            !this.hasLeft(place.segment) &&
            place.ms >= last.at + (last.greatest ?? last.ms)
        )
            this.openNext(place.segment, last.greatest ?? last.ms);
        else if (!place && this.hasEnded()) this.finish();
    }

    private schedule(): void {
        const breath = this.breaths > 0 ? this.exerciseMs / this.breaths / 1000 : 0;
        const horizon = this.context.currentTime + Math.max(this.ahead, AHEAD_BREATHS * breath);
        for (;;) {
            const zero = this.zeros[this.next.segment];
            const events = this.events[this.next.segment];
            if (zero === undefined || !events) return;
            const event = events[this.next.event];
            if (!event) {
                this.next = { segment: this.next.segment + 1, event: 0 };
                continue;
            }
            const at = zero + event.at / 1000;
            if (at > horizon) return;
            // What is past is not made up for: late is wrong. It was not heard, so the patient has not followed.
            if (at < this.context.currentTime - MISSED_S) {
                this.pausedAt = { segment: this.next.segment, ms: event.at };
                clearInterval(this.pump);
                this.silence();
                this.onInterrupted();
                return;
            }
            if (event.beat) this.speaking.beat(event, event.beat, at);
            else this.speaking.cue(event, at);
            this.next.event++;
        }
    }

    private place(ahead = 0): { segment: number; ms: number } | null {
        if (this.pausedAt) return this.pausedAt;
        const heard = this.context.currentTime - (this.context.outputLatency || 0) + ahead;
        for (let index = this.zeros.length - 1; index >= 0; index--) {
            const zero = this.zeros[index];
            const segment = this.segments[index];
            if (zero === undefined || !segment || heard < zero) continue;
            const ms = (heard - zero) * 1000;
            const isLast = index === this.segments.length - 1;
            return isLast && !segment.open && ms >= segment.ms ? null : { segment: index, ms };
        }
        return null;
    }

    private hasEnded(): boolean {
        const last = this.segments.length - 1;
        const zero = this.zeros[last];
        const segment = this.segments[last];
        return (
            zero !== undefined &&
            segment !== undefined &&
            !segment.open &&
            this.context.currentTime - (this.context.outputLatency || 0) >= zero + segment.ms / 1000
        );
    }

    private finish(): void {
        if (this.over) return;
        this.over = true;
        clearInterval(this.pump);
        this.onEnd();
    }
}
