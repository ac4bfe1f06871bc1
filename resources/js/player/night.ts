import type { Segment, Timeline } from '../shared/timeline';

/** How a practice ends at night, where that differs from the day. */
export interface NightEnding {
    /** So many of the last segments are left out. */
    drop: number;
    segments: Segment[];
}

/** Practices that no plan asks for are of the night from 21 to 5 o'clock. */
const NIGHT_FROM = 21;
const NIGHT_UNTIL = 5;

/** @param anchor of the practice; null where none was planned */
export const isAtNight = (anchor: string | null, hour: number): boolean =>
    anchor === null ? hour >= NIGHT_FROM || hour < NIGHT_UNTIL : anchor === 'lights-out';

export function endingAtNight<T extends { timeline: Timeline }>(played: T, night: NightEnding): T {
    const { segments } = played.timeline;
    return {
        ...played,
        timeline: {
            ...played.timeline,
            segments: [...segments.slice(0, segments.length - night.drop), ...night.segments],
        },
    };
}
