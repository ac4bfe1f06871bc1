import type { RidgeShape, Timeline } from '../types/timeline';

export interface DeviceState {
    state: 'unknown' | 'consent' | 'pin' | 'locked-out' | 'locked' | 'ready';
    clinic?: string;
    emergency?: string;
    consent?: { version: string; paragraphs: { title: string; text: string }[] } | null;
}

export interface TodayItem {
    lineage: string;
    technique: string;
    name: string;
    paused: boolean;
    breaths: number | null;
    minutes: number | null;
    seconds: number;
    position: string;
    props: string[];
    hands: string;
    size: string;
    right: string[];
    gaze: string;
    /** Lengths over the prescribed ones that the patient may choose; null when the pace is fixed. */
    tempo: { fastest: number; slowest: number } | null;
    /** Names of a routine's exercises, in order. */
    steps: string[];
    why: string;
    as_needed: { use_when: string; most: number } | null;
    ridge: RidgeShape;
    timeline: Timeline;
}

export interface TodaySlot {
    lineage: string;
    anchor: string;
    from: string;
    to: string;
    done: { at: string; stroke: 'done' | 'partial' | 'stopped' } | null;
}

export interface TodayData {
    day: { date: string; label: string };
    clinic: string;
    emergency: string;
    /** Questions that wait for an answer. */
    asked: { id: string; title: string; answered: number; of: number }[];
    state: 'none' | 'not-yet' | 'running' | 'over';
    starts_on: string | null;
    version_id?: number;
    rated_symptom?: string;
    /** What the latest version changed and why, in its first days. */
    note?: string | null;
    items: TodayItem[];
    slots: TodaySlot[];
    next: number | null;
    done: number;
}

export interface DiaryEntry { date: string; ratings: Record<string, number>; sleep: number | null; text: string | null; late: boolean }

export interface DiaryData {
    from: string;
    today: string;
    symptoms: { id: number; name: string }[];
    /** Days that may be written, latest first. */
    writable: { date: string; label: string }[];
    entries: DiaryEntry[];
    changes: { date: string; number: number }[];
}

/** One practice as it is sent. */
export interface PracticeLog {
    uuid: string;
    version_id: number;
    lineage: string;
    anchor: string | null;
    started_at: string;
    ended_at: string;
    breaths_done: number;
    seconds_done: number;
    /** Lengths of open cues, as they were ended. */
    open_ms: number[] | null;
    /** The step in which the patient said that it is enough. */
    enough_step: number | null;
    /** Lengths over the prescribed ones at the end; null when the pace was not changed. */
    tempo: number | null;
    before: number | null;
    after: number | null;
    effort: number | null;
    smooth: 'yes' | 'partly' | 'no' | null;
    slight_symptom: boolean | null;
    remark: string | null;
    stop_class: 'no-symptom' | 'made-me-stop' | 'get-help' | null;
    stop_symptom: string | null;
}
