import type { Segment, Timeline } from '../shared/timeline';

/** How a practice ends at night, where that differs from the day. */
export interface NightEnding {
    /** So many of the last segments are left out. */
    drop: number;
    segments: Segment[];
}

/** What makes a practice one of the night, as the core says it: its anchor, or without a plan the hour. */
export interface NightRule {
    anchors: string[];
    from_hour: number;
    until_hour: number;
}

/** @param anchor of the practice; null where none was planned */
export const isAtNight = (rule: NightRule, anchor: string | null, hour: number): boolean =>
    anchor === null ? hour >= rule.from_hour || hour < rule.until_hour : rule.anchors.includes(anchor);

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
