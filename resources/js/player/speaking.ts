import type { Beat, Cue, Segment } from '../shared/timeline';
import type { Event } from './events';
import type { Tones } from './tones';

/** Recorded words, one after the other. */
export interface Recorded {
    clips: AudioBuffer[];
    seconds: number;
}

/** Words that the device says by itself. */
export interface Speech {
    text: string;
    rate: number;
    seconds: number;
}

export type Said = Recorded | Speech;

const LATEST_S = 0.3;

/** What is said, where there is anything to say it with. */
export interface Voice {
    /** Of a cue, in no more than so many seconds. */
    line(cue: Cue, segment: Segment, seconds: number): Said | null;
    number(beat: Beat, seconds: number): Said | null;
    /** Seconds between asking the device to speak and hearing it, as measured. */
    readonly onset: number;
    speak(speech: Speech, loudness: number): void;
    hush(): void;
}

/**
 * Says what belongs to the cues that are put on the clock. Tones and ticks are the clock: recorded words are put on it
 * as they are, and the device is asked to speak a little before its word is due. What is said moves nothing.
 */
export class Speaking {
    voice: Voice | null = null;
    private until = 0;
    private readonly asked = new Set<ReturnType<typeof setTimeout>>();

    constructor(
        private readonly context: BaseAudioContext,
        private readonly tones: Tones,
    ) {}

    cue({ cue, segment, ms }: Event, at: number): void {
        const loudness = cue.sound ?? 1;
        const said = loudness > 0 ? (this.voice?.line(cue, segment, ms / 1000) ?? null) : null;
        const isRecorded = said !== null && 'clips' in said;
        // A recorded word takes the place of the tone; the device's own comes beside it.
        this.tones.cue(cue, at, isRecorded ? (said.clips[0] ?? null) : null);
        if (said) this.say(said, at, loudness, isRecorded ? 1 : 0);
    }

    beat({ cue, isFirst, ms }: Event, beat: Beat, at: number): void {
        const loudness = cue.sound ?? 1;
        // What is being said is not talked over, and the lead-in is ticked.
        const isFree = cue.kind !== 'lead-in' && cue.kind !== 'number' && loudness > 0 && at >= this.until - 0.02;
        const said = isFree && !beat.word ? (this.voice?.number(beat, ms / 1000) ?? null) : null;
        if (said === null) this.tones.beat(cue, isFirst, at);
        else {
            if (!('clips' in said)) this.tones.beat(cue, isFirst, at);
            this.say(said, at, loudness, 0);
        }
    }

    hush(): void {
        for (const timer of this.asked) clearTimeout(timer);
        this.asked.clear();
        this.until = 0;
        this.voice?.hush();
    }

    private say(said: Said, at: number, loudness: number, from: number): void {
        this.until = at + said.seconds;
        if ('clips' in said) {
            let when = at;
            said.clips.forEach((clip, index) => {
                if (index >= from) this.tones.say(clip, when, loudness);
                when += clip.duration;
            });
            return;
        }
        const voice = this.voice;
        if (!voice) return;
        const timer = setTimeout(
            () => {
                this.asked.delete(timer);
                // A page out of sight wakes late: what is late is left out.
                if (this.context.currentTime <= at + LATEST_S) voice.speak(said, loudness);
            },
            Math.max(0, (at - voice.onset - this.context.currentTime) * 1000),
        );
        this.asked.add(timer);
    }
}
