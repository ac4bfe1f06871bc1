import { describe, expect, it } from 'vitest';
import {
    nextSlot,
    presentDay,
    saidHere,
    usedToday,
    whatIsPaused,
    whyPaused,
    withWaiting,
    writableDays,
} from '../../resources/js/patient/keeping/day';
import type { Waiting } from '../../resources/js/patient/keeping/store';
import type { SaidHere } from '../../resources/js/patient/keeping/day';
import type { Bundle, BundleDay, PracticeLog, TodayItem, TodaySlot } from '../../resources/js/patient/types';
import { item, log, rules } from './logs';

const slot = (anchor: string, closes: string, with_: Partial<TodaySlot> = {}): TodaySlot => ({
    lineage: 'x',
    anchor,
    name: null,
    from: '',
    to: '',
    closes_at: closes,
    put_off: null,
    done: null,
    ...with_,
});
const slots = [
    slot('waking', '2026-11-25T10:00:00Z'),
    slot('lunch', '2026-11-25T14:00:00Z'),
    slot('lights-out', '2026-11-26T02:00:00Z'),
];
const day = (date: string, from: string, to: string, version: number): BundleDay => ({
    date,
    label: date,
    from,
    to,
    state: 'running',
    starts_on: null,
    version_id: version,
    rated_symptom: 'tension',
    note: null,
    slots,
});
const bundle: Bundle = {
    now: '2026-11-25T09:00:00Z',
    owner: 'wren',
    clinic: '',
    emergency: '',
    emergency_call: null,
    crisis: null,
    telephone: null,
    appointment: null,
    rules,
    recovery: null,
    asked: [],
    check_due: false,
    days: [
        day('2026-11-25', '2026-11-25T04:00:00Z', '2026-11-26T04:00:00Z', 1),
        day('2026-11-26', '2026-11-26T04:00:00Z', '2026-11-27T04:00:00Z', 2),
    ],
    items: { 1: [item()], 2: [item({ breaths: 18 })] },
};
const at = (instant: string) => Date.parse(instant);
const waits = (kind: Waiting['kind'], body: object, with_: Partial<Waiting> = {}): Waiting => ({
    id: '',
    kind,
    body,
    owner: '',
    turn: 1,
    notBefore: 0,
    refused: null,
    delivered: false,
    ...with_,
});

describe('the present day', () => {
    it('changes at the patient’s own day start, with the version of that day', () => {
        expect(presentDay(bundle, at('2026-11-26T03:59:59Z'))).toMatchObject({
            day: { date: '2026-11-25' },
            items: [{ breaths: 12 }],
            isOld: false,
        });
        expect(presentDay(bundle, at('2026-11-26T04:00:00Z'))).toMatchObject({
            day: { date: '2026-11-26' },
            items: [{ breaths: 18 }],
        });
    });

    it('lets an old copy be practised without claiming to know what is due', () => {
        expect(presentDay(bundle, at('2026-11-30T12:00:00Z'))).toMatchObject({
            isOld: true,
            day: { slots: [] },
            items: [{ breaths: 18 }],
        });
    });
});

describe('what is next', () => {
    it('is the first whose window is open or to come, then the latest missed, then nothing', () => {
        expect(nextSlot(slots, at('2026-11-25T07:00:00Z'))).toBe(0);
        expect(nextSlot(slots, at('2026-11-25T10:00:00Z'))).toBe(1);
        expect(nextSlot(slots, at('2026-11-26T03:00:00Z'))).toBe(2);
        expect(
            nextSlot(
                slots.map((each) => ({ ...each, done: { at: '', stroke: 'done' as const } })),
                0,
            ),
        ).toBeNull();
    });

    it('is not what was put off', () => {
        expect(
            nextSlot(
                [slot('waking', '2026-11-25T10:00:00Z', { put_off: 'tired' }), ...slots.slice(1)],
                at('2026-11-25T07:00:00Z'),
            ),
        ).toBe(1);
    });
});

describe('what waits fills its slots', () => {
    const today = presentDay(bundle, at('2026-11-25T09:00:00Z'));

    it('whole, in part and stopped, each once', () => {
        const filled = withWaiting(today, [
            waits('practice', log('a', { anchor: 'waking' })),
            waits('practice', log('b', { anchor: 'lunch', breaths_done: 5 })),
            waits('practice', log('c', { anchor: 'lights-out', stop_symptom: 'cramp' })),
            waits('practice', log('d', { anchor: 'lunch' })),
        ]);
        expect(filled.map((each) => each.done?.stroke)).toEqual(['done', 'partial', 'stopped']);
    });

    it('only of that day, and not what was refused', () => {
        const filled = withWaiting(today, [
            waits('practice', log('a', { anchor: 'waking', started_at: '2026-11-25T03:00:00Z' })),
            waits('practice', log('b', { anchor: 'lunch' }), { refused: 'no' }),
        ]);
        expect(filled.map((each) => each.done)).toEqual([null, null, null]);
    });

    it('with what was put off', () => {
        expect(
            withWaiting(today, [
                waits('put-off', { day: '2026-11-25', lineage: 'x', anchor: 'lunch', reason: 'ill' }),
            ]).map((each) => each.put_off),
        ).toEqual([null, 'ill', null]);
        expect(
            withWaiting(today, [
                waits('put-off', { day: '2026-11-24', lineage: 'x', anchor: 'lunch', reason: 'ill' }),
            ])[1]?.put_off,
        ).toBeNull();
    });

    it('and counts as-needed practices of that day', () => {
        const needed = item({ as_needed: { use_when: '', most: 4, way: 'led', room: 8, done: 2 } });
        expect(
            usedToday(
                needed,
                [log('a'), log('b', { lineage: 'y' }), log('c', { started_at: '2026-11-24T09:00:00Z' })],
                at(today.day.from),
            ),
        ).toBe(3);
    });
});

/** The rules are the core's (PauseRules): these are its own cases. */
describe('pausing without a network', () => {
    const stop = (n: number) =>
        log(`s${n}`, { stop_class: 'made-me-stop', stop_symptom: 'dizziness', started_at: `2026-11-25T0${n}:00:00Z` });
    const why = (of: TodayItem, practices: PracticeLog[], more: Partial<SaidHere> = {}) =>
        whyPaused(of, { practices, ticks: [], unsettled: false, urgent: false, ...more }, rules);

    it('a get-help symptom pauses everything but recovery', () => {
        const help = [log('a', { lineage: 'y', stop_class: 'get-help', stop_symptom: 'chest-pain' })];
        expect(why(item(), help)).toBe('stop');
        expect(why(item({ recovery: true, paused: 'stop' }), help)).toBeNull();
    });

    it('so does a symptom that had not settled, and an answer that asks for help at once, each in its own words', () => {
        expect(why(item(), [], { unsettled: true })).toBe('stop');
        expect(why(item(), [], { urgent: true })).toBe('answers');
        expect(why(item({ recovery: true }), [], { unsettled: true, urgent: true })).toBeNull();
    });

    it('two stops in three practices pause that exercise, whether the server knows of the first or not', () => {
        expect(why(item(), [stop(1)])).toBeNull();
        expect(why(item(), [stop(1), stop(3)])).toBe('stop');
        expect(why(item(), [stop(1), log('ok', { started_at: '2026-11-25T02:00:00Z' }), stop(3)])).toBe('stop');
        expect(why(item({ ends: ['made-me-stop', null] }), [stop(1)])).toBe('stop');
        expect(why(item({ ends: [null, 'made-me-stop'] }), [stop(1)])).toBe('stop');
        expect(why(item({ ends: [null, null] }), [stop(1)])).toBeNull();
        expect(why(item(), [stop(1), { ...stop(3), lineage: 'y' }])).toBeNull();
    });

    it('counts stops on every line on which the same exercise stands', () => {
        expect(why(item({ like: ['x', 'y'] }), [stop(1), { ...stop(3), lineage: 'y' }])).toBe('stop');
    });

    it('goes by the numbers that the core hands over', () => {
        const strict = { ...rules, pausing: { look_at: 1, stops: 1 } };
        expect(whyPaused(item(), { practices: [stop(1)], ticks: [], unsettled: false, urgent: false }, strict)).toBe(
            'stop',
        );
    });

    it('a practice that was finished pauses nothing, and one stopped without a symptom is no stop', () => {
        expect(why(item({ ends: ['made-me-stop', 'made-me-stop'] }), [log('ok')])).toBeNull();
        expect(why(item({ ends: ['made-me-stop'] }), [log('a', { stop_class: 'no-symptom' })])).toBeNull();
        expect(why(item({ paused: 'measured' }), [])).toBe('measured');
    });

    it('tells each reason once, with what it pauses and what the practitioner said', () => {
        const here = { practices: [], ticks: [], unsettled: false, urgent: false };
        const said = { paused: 'practitioner' as const, paused_note: 'Rest your ribs.' };
        const items = [
            item({ name: 'Humming', ...said }),
            item({ name: 'Square', paused: 'stop' }),
            item({ name: 'Sighing', ...said }),
            item({ name: 'Recovery', recovery: true, ...said }),
            item({ name: 'Counting' }),
        ];
        expect(whatIsPaused(items, here, rules)).toEqual([
            { why: 'practitioner', note: 'Rest your ribs.', names: ['Humming', 'Sighing'] },
            { why: 'stop', note: null, names: ['Square'] },
        ]);
    });

    it('reads what waits: a second look, and the answers of a form with their urgent questions', () => {
        const asked = [
            {
                id: 'f',
                questions: [
                    { key: 'red.chest-pain', urgent: true },
                    { key: 'flag.copd', urgent: false },
                ],
            },
        ] as unknown as Bundle['asked'];
        const here = (...waiting: Waiting[]) => saidHere(waiting, { rules, asked }, 0);
        expect(here(waits('second-look', { settled: false })).unsettled).toBe(true);
        expect(here(waits('second-look', { settled: true })).unsettled).toBe(false);
        expect(here(waits('form', { form: 'f', answers: { 'red.chest-pain': 1 } })).urgent).toBe(true);
        expect(here(waits('form', { form: 'f', answers: { 'red.chest-pain': 0, 'flag.copd': 1 } })).urgent).toBe(false);
    });
});

describe('a device whose date is a day off', () => {
    const DAY = 86_400_000;
    const today = presentDay(bundle, at('2026-11-25T09:00:00Z'));
    const yesterdays = log('a', {
        anchor: 'waking',
        started_at: '2026-11-24T09:50:00Z',
        ended_at: '2026-11-24T09:52:00Z',
    });

    it('does not ask again for what was practised, and counts what was used', () => {
        expect(withWaiting(today, [waits('practice', yesterdays)], DAY)[0]?.done?.stroke).toBe('done');
        expect(withWaiting(today, [waits('practice', yesterdays)])[0]?.done).toBeNull();
        const here = saidHere([waits('practice', yesterdays)], today, DAY);
        expect(
            usedToday(
                item({ as_needed: { use_when: '', most: 4, way: 'led', room: 8, done: 0 } }),
                here.practices,
                at(today.day.from),
            ),
        ).toBe(1);
    });

    it('but leaves times alone that are off by no more than what a clock may be', () => {
        expect(saidHere([waits('practice', yesterdays)], today, 90_000).practices[0]?.started_at).toBe(
            yesterdays.started_at,
        );
        expect(saidHere([waits('practice', yesterdays)], today, 91_000).practices[0]?.started_at).toBe(
            '2026-11-24T09:51:31.000Z',
        );
    });
});

it('lets the diary be written for today and the days before it, over the end of a month', () => {
    expect(writableDays('2026-03-01', 3, (key) => key)).toEqual([
        { date: '2026-03-01', label: 'patient.diary.today' },
        { date: '2026-02-28', label: 'patient.diary.yesterday' },
        { date: '2026-02-27', label: 'Friday' },
        { date: '2026-02-26', label: 'Thursday' },
    ]);
});
