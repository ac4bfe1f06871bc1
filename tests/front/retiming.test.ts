import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { joined, retimed } from '../../resources/js/player/retiming';
import type { Segment } from '../../resources/js/shared/timeline';
import { paced } from './timelines';

interface Case {
    during: number;
    factor: number;
    prescribed: Segment;
    retimed: Segment;
}

const cases = JSON.parse(readFileSync(new URL('./retimed.json', import.meta.url), 'utf8')) as Case[];

interface JoinedCase {
    seconds: number;
    over: number;
    slowest: number;
    least: number;
    prescribed: Segment;
    joined: Segment;
}
const joinings = JSON.parse(readFileSync(new URL('./joined.json', import.meta.url), 'utf8')) as JoinedCase[];

describe('joining from the patient’s own breath', () => {
    it.each(joinings)(
        'is what the core computes: $seconds s over $over breaths, at most ×$slowest',
        ({ prescribed, joined: expected, ...joining }) => {
            expect(joined(prescribed, joining)).toEqual(expected);
        },
    );
});

describe('another tempo', () => {
    it.each(cases)(
        'is what the core computes: ×$factor after breath $during',
        ({ during, factor, prescribed, retimed: expected }) => {
            expect(retimed(prescribed, (breath) => (breath > during ? factor : 1))).toEqual(expected);
        },
    );

    it('leaves a segment alone where nothing changes', () => {
        const segment = paced(2).segments[1];
        if (!segment) throw new Error('no segment');
        expect(retimed(segment, () => 1)).toBe(segment);
    });
});
