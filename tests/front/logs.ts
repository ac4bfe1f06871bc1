import type { PracticeLog, Rules, TodayItem } from '../../resources/js/patient/types';
import { paced } from './timelines';

export function log(uuid: string, with_: Partial<PracticeLog> = {}): PracticeLog {
    return {
        uuid,
        version_id: 1,
        lineage: 'x',
        anchor: null,
        started_at: '2026-11-25T09:50:00Z',
        ended_at: '2026-11-25T09:52:00Z',
        breaths_done: 12,
        seconds_done: 120,
        short: false,
        joined_ms: null,
        recovered_after_s: null,
        interruptions: 0,
        open_ms: null,
        self_checks: null,
        pace_taps: null,
        steps_done: null,
        enough_step: null,
        enough: false,
        tempo: null,
        before: null,
        after: null,
        effort: null,
        smooth: null,
        slight_symptom: null,
        remark: null,
        stop_class: null,
        stop_symptom: null,
        ...with_,
    };
}

export function item(with_: Partial<TodayItem> = {}): TodayItem {
    return {
        lineage: 'x',
        technique: 'extended-exhale',
        name: 'exercise.extended-exhale.name',
        recovery: false,
        phone: null,
        paused: null,
        paused_note: null,
        like: ['x'],
        ends: [],
        minutes: null,
        told: [],
        taught: [],
        needs: [],
        checks: [],
        night: null,
        quiet: false,
        tempo: null,
        joining: null,
        why: '',
        as_needed: null,
        short: null,
        breaths: 12,
        seconds: 60,
        ridge: { minutes: null, cues: [], count_s: 1 },
        timeline: paced(12),
        ...with_,
    };
}

/** As the core hands them to the devices. */
export const rules: Rules = {
    pausing: { look_at: 3, stops: 2 },
    symptoms: { made_me_stop: ['dizziness'], get_help: ['chest-pain'] },
    seconds: { ask_after: 180, help_after: 600, look_back_after: 120, trusted_offset: 90 },
    days: { waits_at_most: 60, lately: 7, tally: 14 },
    night: { anchors: ['lights-out'], from_hour: 21, until_hour: 5 },
};
