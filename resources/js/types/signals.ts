import type { DeskProps } from './measure';
import type { PatientHead } from './pages';
import type { TeachChoice } from './session';

export type RoomKind = 'quiet' | 'led' | 'pace' | 'hold';

export interface SensorLine {
    id: number;
    name: string;
    /** Heard of within the last seconds. */
    here: boolean;
    seen: string | null;
}

export interface PaceLine {
    pace: number;
    swing: number;
    from: number;
    to: number;
    breaths: number;
}

export interface RecordingLine {
    uuid: string;
    kind: RoomKind | 'practice' | 'file';
    label: string;
    on: string;
    about: string | null;
    position: string | null;
    lines: string[];
    paces: PaceLine[];
    inked: number[] | null;
    has_samples: boolean;
    samples: string;
    /** Samples that did not belong to it and were left out, where they are many. */
    outside: number;
    keep: { measure: string; label: string; value: string; kept: boolean }[];
}

export interface OpenRecording extends RecordingLine {
    began_ms_ago: number;
}

export interface SignalsShown {
    open: OpenRecording | null;
    recordings: RecordingLine[];
    sensors: SensorLine[];
    /** Whether traces may stay; null while nobody has said anything. */
    agreed: boolean | null;
}

export interface SignalsProps extends SignalsShown {
    patient: PatientHead;
    desk: DeskProps;
    agreement: string;
    paces: { possible: boolean; paces: number[]; left_out: { pace: number; why: string }[]; minutes: number };
    choices: TeachChoice[];
    /** s: after a breath to compare belts by, of a quiet minute, after a hold. */
    seconds: { calibration: number; quiet: number; after_hold: number };
}

export interface LiveAnswer {
    last: number;
    values: Partial<Record<string, [number, number][]>>;
    /** s since it began. */
    at: number;
    is_open: boolean;
    sensors: { id: number; name: string; here: boolean; outside: number }[];
    reading: { rate: number | null; ratio: number | null; angle: number | null } | null;
}
