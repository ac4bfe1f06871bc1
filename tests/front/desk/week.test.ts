import { describe, expect, it } from 'vitest';
import { along, clock, daysShown, moved, rulerOf, shortName, snapped, stacked } from '../../../resources/js/lib/week';
import type { WeekAppointment, WeekDay } from '../../../resources/js/types/week';

const at = (minute: number, minutes = 45): { minute: number; minutes: number } => ({ minute, minutes });

describe('the ruler', () => {
    it('goes from eight to seventeen, and further where something stands', () => {
        expect(rulerOf([])).toEqual({ from: 480, to: 1020 });
        expect(rulerOf([at(479), at(1040)])).toEqual({ from: 420, to: 1140 });
        expect(rulerOf([at(1410, 120)])).toEqual({ from: 480, to: 1440 });
    });

    it('measures, and keeps what lies outside at its end', () => {
        const ruler = { from: 480, to: 1080 };
        expect([0, 480, 780, 1080, 1440].map((minute) => along(ruler, minute))).toEqual([0, 0, 50, 100, 100]);
    });
});

describe('what meets', () => {
    it('stands below each other and says so; what only touches does not', () => {
        const lane = stacked([at(600), at(540), at(585), at(645), at(600)]);
        expect(lane.rows).toBe(3);
        expect(lane.boxes.map((each) => [each.minute, each.row, each.meets])).toEqual([
            [540, 0, false],
            [585, 0, true],
            [600, 1, true],
            [600, 2, true],
            [645, 0, false],
        ]);
        expect(stacked([])).toEqual({ rows: 1, boxes: [] });
        // Drawn wide enough to be read, a short one would reach into the next.
        expect(stacked([at(540, 15), at(555, 45)]).boxes.map((each) => [each.row, each.meets])).toEqual([
            [0, false],
            [1, false],
        ]);
    });

    it('never covers another, whatever stands there', () => {
        let seed = 5;
        const next = (most: number): number => {
            seed = (seed * 16807) % 2147483647;
            return seed % most;
        };
        for (let turn = 0; turn < 200; turn++) {
            const all = Array.from({ length: next(12) }, () => at(next(600), 5 + next(200)));
            const { boxes } = stacked(all);
            for (const one of boxes)
                for (const other of boxes) {
                    const meets = one.minute < other.minute + other.minutes && other.minute < one.minute + one.minutes;
                    if (one !== other && meets) {
                        expect(one.row).not.toBe(other.row);
                        expect(one.meets).toBe(true);
                    }
                }
        }
    });
});

describe('a box', () => {
    it('lands on quarters of an hour, within the day', () => {
        expect([snapped(548, 45), snapped(553, 45), snapped(-90, 45), snapped(1430, 45)]).toEqual([555, 555, 0, 1395]);
        expect(snapped(548, 45, 5)).toBe(550);
    });

    it('goes where the keys take it', () => {
        const days = ['2026-12-01', '2026-12-02'];
        const go = (key: string, from: Partial<Parameters<typeof moved>[0]> = {}, shiftKey = false): unknown =>
            moved({ day: '2026-12-01', minute: 540, practitioner: 1, ...from }, 45, { key, shiftKey }, days, [1, 2]);
        expect(go('ArrowRight')).toMatchObject({ minute: 555 });
        expect(go('ArrowLeft', {}, true)).toMatchObject({ minute: 535 });
        expect(go('ArrowLeft', { minute: 10 })).toMatchObject({ minute: 0 });
        expect(go('ArrowRight', { minute: 1390 })).toMatchObject({ minute: 1395 });
        expect(go('ArrowDown')).toMatchObject({ day: '2026-12-01', practitioner: 2 });
        expect(go('ArrowDown', { practitioner: 2 })).toMatchObject({ day: '2026-12-02', practitioner: 1 });
        expect(go('ArrowUp', { day: '2026-12-02' })).toMatchObject({ day: '2026-12-01', practitioner: 2 });
        expect(go('ArrowUp')).toMatchObject({ day: '2026-12-01', practitioner: 1 });
        expect(go('ArrowDown', { day: '2026-12-02', practitioner: 2 })).toMatchObject({ practitioner: 2 });
        expect(go('a')).toBeNull();
    });
});

it('the weekend is shown when something stands there', () => {
    const days = Array.from({ length: 7 }, (_, day): WeekDay => ({
        date: `2026-12-0${day + 1}`,
        name: '',
        day: '',
        is_today: false,
    }));
    const on = (day: string): WeekAppointment[] => [{ day } as WeekAppointment];
    expect(daysShown(days, []).length).toBe(5);
    expect(
        daysShown(days, on('2026-12-07'))
            .map((each) => each.date)
            .slice(5),
    ).toEqual(['2026-12-07']);
    expect(daysShown(days, [], ['2026-12-06']).length).toBe(6);
});

it('times and names are short', () => {
    expect([clock(545), clock(0), clock(1439)]).toEqual(['09:05', '00:00', '23:59']);
    expect(['Rosa Maria Castle', 'Rosa', ' Åse  Örn ', ''].map(shortName)).toEqual(['R. Castle', 'Rosa', 'Å. Örn', '']);
});
