import type { Cue, CueKind } from '../shared/timeline';

interface Sound {
    wave: OscillatorType;
    from: number;
    to: number;
    seconds: number;
    gain: number;
}

/** One sound a phase, told apart by height and by the way it moves. Our own, made of plain oscillators. */
export const PHASES: Record<CueKind, Sound[]> = {
    // Its beats sound.
    'lead-in': [],
    inhale: [{ wave: 'sine', from: 220, to: 330, seconds: 0.45, gain: 0.2 }],
    'top-up': [{ wave: 'sine', from: 330, to: 415, seconds: 0.22, gain: 0.2 }],
    hold: [{ wave: 'triangle', from: 392, to: 392, seconds: 0.16, gain: 0.14 }],
    exhale: [{ wave: 'sine', from: 330, to: 196, seconds: 0.6, gain: 0.2 }],
    rest: [{ wave: 'sine', from: 147, to: 147, seconds: 0.2, gain: 0.2 }],
    bell: [
        { wave: 'sine', from: 528, to: 528, seconds: 1.8, gain: 0.12 },
        { wave: 'sine', from: 1320, to: 1320, seconds: 0.9, gain: 0.03 },
    ],
    free: [{ wave: 'sine', from: 262, to: 262, seconds: 0.5, gain: 0.08 }],
    empty: [{ wave: 'sine', from: 262, to: 165, seconds: 0.8, gain: 0.16 }],
    move: [{ wave: 'sine', from: 294, to: 294, seconds: 0.4, gain: 0.08 }],
    step: [{ wave: 'triangle', from: 523, to: 523, seconds: 0.06, gain: 0.1 }],
    hum: [{ wave: 'sine', from: 330, to: 220, seconds: 0.7, gain: 0.14 }],
    retention: [{ wave: 'triangle', from: 196, to: 196, seconds: 0.5, gain: 0.14 }],
    release: [{ wave: 'sine', from: 247, to: 165, seconds: 0.6, gain: 0.18 }],
    tense: [{ wave: 'triangle', from: 330, to: 440, seconds: 0.3, gain: 0.12 }],
    'let-go': [{ wave: 'sine', from: 330, to: 165, seconds: 0.9, gain: 0.16 }],
    region: [{ wave: 'sine', from: 262, to: 262, seconds: 0.35, gain: 0.06 }],
    listen: [{ wave: 'sine', from: 262, to: 262, seconds: 0.5, gain: 0.06 }],
    number: [{ wave: 'sine', from: 440, to: 440, seconds: 0.06, gain: 0.08 }],
    settle: [{ wave: 'sine', from: 262, to: 247, seconds: 0.6, gain: 0.06 }],
    return: [{ wave: 'sine', from: 262, to: 330, seconds: 0.8, gain: 0.1 }],
};

const BEAT: Sound = { wave: 'sine', from: 880, to: 880, seconds: 0.03, gain: 0.04 };
const LEAD_IN: Sound = { wave: 'triangle', from: 523, to: 523, seconds: 0.09, gain: 0.12 };
const LAST: Sound = { wave: 'sine', from: 784, to: 784, seconds: 0.7, gain: 0.1 };

/** 0–1 each: tones that begin a phase, ticks of the counts, the practitioner's voice. */
export interface Levels {
    cues: number;
    counts: number;
    voice: number;
}
export const FULL: Levels = { cues: 1, counts: 1, voice: 1 };

/** Which side is meant, for closed eyes: one low tap is left, two high taps are right. */
const SIDES: Record<'left' | 'right', { after: number; sound: Sound }[]> = {
    left: [{ after: 0.22, sound: { wave: 'triangle', from: 165, to: 165, seconds: 0.09, gain: 0.12 } }],
    right: [
        { after: 0.22, sound: { wave: 'triangle', from: 659, to: 659, seconds: 0.07, gain: 0.09 } },
        { after: 0.36, sound: { wave: 'triangle', from: 659, to: 659, seconds: 0.07, gain: 0.09 } },
    ],
};

/** Puts tones on the audio clock ahead of time, and takes them off again. */
export class Tones {
    private readonly master: GainNode;
    private readonly channels: Record<keyof Levels, GainNode>;
    private readonly ahead = new Set<AudioScheduledSourceNode>();

    constructor(
        private readonly context: BaseAudioContext,
        levels: Levels = FULL,
    ) {
        this.master = context.createGain();
        this.master.connect(context.destination);
        const channel = (level: number): GainNode => {
            const node = context.createGain();
            node.gain.setValueAtTime(level, context.currentTime);
            node.connect(this.master);
            return node;
        };
        this.channels = { cues: channel(levels.cues), counts: channel(levels.counts), voice: channel(levels.voice) };
    }

    /**
     * @param at seconds on the audio clock
     * @param word said in place of the phase's tone
     */
    cue(cue: Cue, at: number, word: AudioBuffer | null = null): void {
        const loudness = cue.sound ?? 1;
        const put = (sound: Sound, when: number): void =>
            this.sound({ ...sound, gain: sound.gain * loudness }, when, 'cues');
        if (loudness > 0) {
            if (word) this.say(word, at, loudness);
            else for (const sound of PHASES[cue.kind]) put(sound, at);
            if (cue.side !== 'none') for (const each of SIDES[cue.side]) put(each.sound, at + each.after);
        }
        if (cue.last) this.sound(LAST, at, 'cues');
    }

    beat(cue: Cue, isFirst: boolean, at: number): void {
        if (cue.kind === 'lead-in') this.sound(LEAD_IN, at, 'counts');
        else if (!isFirst && (cue.sound ?? 1) > 0)
            this.sound({ ...BEAT, gain: BEAT.gain * (cue.sound ?? 1) }, at, 'counts');
    }

    /** A recorded word or number that begins at this moment. */
    say(clip: AudioBuffer, at: number, loudness: number): void {
        const source = this.context.createBufferSource();
        const volume = this.context.createGain();
        source.buffer = clip;
        volume.gain.setValueAtTime(loudness, this.context.currentTime);
        source.connect(volume).connect(this.channels.voice);
        this.watch(source);
        source.start(Math.max(at, this.context.currentTime));
    }

    setOn(on: boolean): void {
        this.master.gain.setTargetAtTime(on ? 1 : 0, this.context.currentTime, 0.02);
    }

    /** Ends everything that sounds or was going to. */
    silence(): void {
        for (const source of this.ahead) {
            source.onended = null;
            source.stop();
            source.disconnect();
        }
        this.ahead.clear();
    }

    private watch(source: AudioScheduledSourceNode): void {
        this.ahead.add(source);
        source.onended = () => this.ahead.delete(source);
    }

    private sound(sound: Sound, at: number, channel: keyof Levels): void {
        const start = Math.max(at, this.context.currentTime);
        const end = start + sound.seconds;
        const oscillator = this.context.createOscillator();
        const envelope = this.context.createGain();
        oscillator.type = sound.wave;
        oscillator.frequency.setValueAtTime(sound.from, start);
        if (sound.to !== sound.from) oscillator.frequency.exponentialRampToValueAtTime(sound.to, end);
        envelope.gain.setValueAtTime(0, start);
        envelope.gain.linearRampToValueAtTime(sound.gain, start + Math.min(0.02, sound.seconds / 3));
        envelope.gain.exponentialRampToValueAtTime(0.0001, end);
        oscillator.connect(envelope).connect(this.channels[channel]);
        this.watch(oscillator);
        oscillator.start(start);
        oscillator.stop(end + 0.02);
    }
}
