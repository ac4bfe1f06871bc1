import { describe, expect, it } from 'vitest';
import { Past } from '../../resources/js/components/bench/past';

describe('what can be undone', () => {
    it('goes back and forth over kept states, and forgets what was undone when something new is kept', () => {
        const past = new Past('a');
        past.keep('b');
        past.keep('b');
        past.keep('c');
        expect(past.undo()).toBe('b');
        expect(past.undo()).toBe('a');
        expect(past.undo()).toBeNull();
        expect(past.redo()).toBe('b');
        past.keep('d');
        expect(past.canRedo).toBe(false);
        expect(past.redo()).toBeNull();
        expect(past.undo()).toBe('b');
    });

    it('takes a completion as part of the present state', () => {
        const past = new Past('a');
        past.keep('b');
        past.amend('b, completed');
        past.keep('c');
        expect(past.undo()).toBe('b, completed');
        expect(past.undo()).toBe('a');
    });

    it('keeps a hundred steps', () => {
        const past = new Past('0');
        for (let n = 1; n <= 130; n++) past.keep(String(n));
        let steps = 0;
        while (past.undo() !== null) steps++;
        expect(steps).toBe(100);
    });
});
