import { describe, expect, it } from 'vitest';
import { dayAxis, daysBetween, plusDays, unbroken } from '../../../resources/js/lib/axis';

describe('the axis of days', () => {
    it('gives every day the same width, also where the clocks change', () => {
        const axis = dayAxis('2026-10-20', '2026-11-02', 100, 140);
        expect([axis.days, axis.dayWidth]).toEqual([14, 10]);
        expect(['2026-10-20', '2026-10-25', '2026-10-26', '2026-11-02'].map(axis.x)).toEqual([100, 150, 160, 230]);
    });

    it('counts days and goes on from one', () => {
        expect(daysBetween('2026-02-27', '2026-03-01')).toBe(2);
        expect(daysBetween('2026-03-01', '2026-02-27')).toBe(-2);
        expect(plusDays('2027-12-31', 1)).toBe('2028-01-01');
    });

    it('breaks a line where nothing was written for long', () => {
        const days: [string, number][] = [
            ['2026-01-01', 5],
            ['2026-01-08', 4],
            ['2026-01-16', 3],
            ['2026-01-17', 2],
        ];
        expect(unbroken(days, 7).map((line) => line.map(([, value]) => value))).toEqual([
            [5, 4],
            [3, 2],
        ]);
        expect(unbroken([], 7)).toEqual([]);
        expect(unbroken([['2026-01-01', 1]], 7)).toHaveLength(1);
    });
});
