import { describe, expect, it } from 'vitest';
import { rateOf } from '../../resources/js/player/taps';

describe('the rate of taps', () => {
    it('is 60 (n − 1) / (last − first) a minute, once there are enough', () => {
        expect(rateOf([0, 5000, 10_000, 15_000], 5)).toBeNull();
        expect(rateOf([0, 5000, 10_000, 15_000, 20_000], 5)).toBe(12);
        // By hand: four intervals in 17.8 s are 13.48 a minute.
        expect(rateOf([1000, 5200, 9900, 14_100, 18_800])).toBeCloseTo(13.48, 2);
    });

    it('is none where no time has passed', () => {
        expect(rateOf([])).toBeNull();
        expect(rateOf([5])).toBeNull();
        expect(rateOf([5, 5, 5, 5, 5])).toBeNull();
    });
});
