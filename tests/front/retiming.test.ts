import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { retimed } from '../../resources/js/player/retiming';
import type { Segment } from '../../resources/js/types/timeline';
import { paced } from './timelines';

interface Case { during: number; factor: number; prescribed: Segment; retimed: Segment }

const cases = JSON.parse(readFileSync(new URL('./retimed.json', import.meta.url), 'utf8')) as Case[];

describe('another tempo', () => {
    it.each(cases)('is what the core computes: ×$factor after breath $during', ({ during, factor, prescribed, retimed: expected }) => {
        expect(retimed(prescribed, (breath) => (breath > during ? factor : 1))).toEqual(expected);
    });

    it('leaves a segment alone where nothing changes', () => {
        const segment = paced(2).segments[1];
        if (!segment) throw new Error('no segment');
        expect(retimed(segment, () => 1)).toBe(segment);
    });
});
