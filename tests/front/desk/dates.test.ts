import { describe, expect, it } from 'vitest';
import { dayAsText, dayOf, readDay, readTime, shownDay } from '../../../resources/js/lib/dates';

describe('a day that is typed', () => {
    it.each([
        ['14/3/1984', '1984-03-14'],
        ['14.03.1984', '1984-03-14'],
        ['14-3-1984', '1984-03-14'],
        ['14 3 1984', '1984-03-14'],
        ['14031984', '1984-03-14'],
        [' 14  mar 1984 ', '1984-03-14'],
        ['14 March 1984', '1984-03-14'],
        ['1984-03-14', '1984-03-14'],
        ['1984-3-4', '1984-03-04'],
        ['29 Feb 2028', '2028-02-29'],
    ])('%s is %s', (typed, day) => {
        expect(readDay(typed)).toBe(day);
    });

    it('is the day first, and is shown with the name of its month', () => {
        expect(shownDay(readDay('3/4/2027') ?? '')).toBe('3 Apr 2027');
    });

    it.each([
        '',
        'soon',
        '14/3/84',
        '31/4/2027',
        '29 Feb 2027',
        '3/14/2027',
        '2027-13-01',
        '14 Mar',
        '1 Jan 0099',
        '9',
    ])('%s is none', (typed) => {
        expect(readDay(typed)).toBeNull();
    });

    it('comes back as it was for every day of four years', () => {
        for (const day = new Date(2026, 0, 1); day.getFullYear() < 2030; day.setDate(day.getDate() + 1)) {
            const kept = dayAsText(day);
            expect(readDay(shownDay(kept))).toBe(kept);
            expect(dayAsText(dayOf(kept) ?? new Date(0))).toBe(kept);
        }
    });

    it('stays as it was typed where it is no date', () => {
        expect(shownDay('soon')).toBe('soon');
        expect(dayOf('soon')).toBeUndefined();
    });
});

describe('a time that is typed', () => {
    it.each([
        ['14:30', '14:30'],
        ['9', '09:00'],
        ['9.05', '09:05'],
        ['0930', '09:30'],
        ['7h45', '07:45'],
        ['9:30 pm', '21:30'],
        ['12 am', '00:00'],
        ['12pm', '12:00'],
    ])('%s is %s', (typed, time) => {
        expect(readTime(typed)).toBe(time);
    });

    it.each(['', '24:00', '9:60', '13 pm', 'noon', '123:00', '0 am'])('%s is none', (typed) => {
        expect(readTime(typed)).toBeNull();
    });
});
