/** A timeline as PHP compiles it. Times are whole milliseconds from the zero of the cue's own segment. */
export type CueKind =
    | 'lead-in'
    | 'empty'
    | 'inhale'
    | 'top-up'
    | 'hold'
    | 'exhale'
    | 'hum'
    | 'rest'
    | 'retention'
    | 'release'
    | 'free'
    | 'tense'
    | 'let-go'
    | 'region'
    | 'number'
    | 'step'
    | 'move'
    | 'listen'
    | 'bell'
    | 'settle'
    | 'return';

export interface Beat {
    at: number;
    number: number | null;
    /** Translation key of a word that is said in place of the number. */
    word?: string;
}

export interface Place {
    step: number;
    round: number;
    breath: number;
    of: number;
}

export interface Cue {
    kind: CueKind;
    at: number;
    ms: number;
    /** For an open cue: when it ends without a tap. */
    greatest: number | null;
    instruction: string;
    /** How it is done, said after the instruction. */
    how?: string;
    from: number;
    to: number;
    curve: [number, number, number, number];
    beats: Beat[];
    place: Place;
    side: 'left' | 'right' | 'none';
    last: boolean;
    /** Keeps its length whatever the tempo. */
    soft?: boolean;
    /** 0–1, full when missing: loudness of its tones, and how clearly it is drawn. */
    sound?: number;
    sight?: number;
}

export interface Segment {
    role: 'lead-in' | 'exercise' | 'settle' | 'return' | 'teach';
    ms: number;
    open: boolean;
    /** A tap says that this is as far as is comfortable. */
    enough?: boolean;
    cues: Cue[];
}

export interface Timeline {
    exercise_ms: number;
    total_ms: number;
    about: boolean;
    breaths: number;
    rounds: number;
    sets: number;
    segments: Segment[];
}

/** What a ridge draws: one breath or a retention, or minutes that pass uncounted. */
export interface RidgeShape {
    minutes: number | null;
    cues: Cue[];
    count_s: number;
}

export type Stroke = 'done' | 'partial' | 'missed' | 'stopped' | 'extra' | 'put-off' | 'open';
