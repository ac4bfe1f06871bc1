import type { Beat, Cue, Segment } from '../shared/timeline';
import { inWords, linesOf } from './lines';
import type { Said, Speech, Voice } from './speaking';

/** The voice of the device; {@link DeviceVoice}, or a stand-in for it. */
export interface OwnVoice {
    readonly onset: number;
    seconds(text: string): number;
    speak(text: string, rate: number, volume: number): void;
    hush(): void;
}

/** Faster than so many times its usual rate nobody follows. */
export const FASTEST_RATE = 1.5;
/** A word is over a little before the next cue. */
const BEFORE_NEXT_S = 0.05;

interface From {
    /** Recorded lines by key. */
    clips: Map<string, AudioBuffer>;
    own: OwnVoice | null;
    /** A text by its key. */
    say: (key: string) => string;
    /** What is said before a step of a routine. */
    taught: (step: number, key: string) => string;
    /** 0–1, of the device's own voice. */
    level: number;
}

const numberIn = (key: string): string | null => (key.startsWith('number.') ? key.slice('number.'.length) : null);

/**
 * Says a cue with what there is: the practitioner's recorded words, otherwise the device's own voice, otherwise
 * nothing, and the tone stays. Nothing is said into the next cue: a shorter line is taken, or it is said a little
 * faster.
 */
export class Speaker implements Voice {
    constructor(private readonly from: From) {}

    get onset(): number {
        return this.from.own?.onset ?? 0;
    }

    line(cue: Cue, segment: Segment, seconds: number): Said | null {
        if (segment.role === 'teach') return this.spoken([this.from.taught(cue.place.step, cue.instruction)], seconds);
        const lines = linesOf(cue);
        for (const line of lines) {
            const recorded = this.recorded(line.flat(), seconds);
            if (recorded) return recorded;
        }
        return this.spoken(
            lines.map((line) => inWords(line, (key) => numberIn(key) ?? this.from.say(key))),
            seconds,
        );
    }

    number(beat: Beat, seconds: number): Said | null {
        if (beat.number === null) return null;
        return this.recorded([`number.${beat.number}`], seconds) ?? this.spoken([String(beat.number)], seconds);
    }

    speak(speech: Speech, loudness: number): void {
        this.from.own?.speak(speech.text, speech.rate, loudness * this.from.level);
    }

    hush(): void {
        this.from.own?.hush();
    }

    private recorded(keys: string[], seconds: number): Said | null {
        const clips = keys.map((key) => this.from.clips.get(key));
        const there = clips.filter((clip) => clip !== undefined);
        const long = there.reduce((sum, clip) => sum + clip.duration, 0);
        return there.length === keys.length && keys.length > 0 && long <= seconds
            ? { clips: there, seconds: long }
            : null;
    }

    private spoken(texts: string[], seconds: number): Said | null {
        const { own } = this.from;
        if (!own) return null;
        const room = seconds - BEFORE_NEXT_S;
        for (const text of texts.flatMap(shortened)) {
            const long = own.seconds(text);
            if (text !== '' && long / FASTEST_RATE <= room)
                return { text, rate: Math.max(1, long / room), seconds: Math.min(long, room) };
        }
        return null;
    }
}

/** "119", then "19": what the ear needs of a long number. */
function shortened(text: string): string[] {
    return /^\d{3,}$/.test(text) ? [text, String(Number(text) % 100)] : [text];
}
