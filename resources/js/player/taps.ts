/**
 * Breaths a minute from taps in ms at the start of each inhale; null where nothing can be told. Only to be shown:
 * what is kept, the core computes from the taps.
 */
export function rateOf(taps: readonly number[], least = 2): number | null {
    const [first, last] = [taps[0], taps[taps.length - 1]];
    if (taps.length < least || first === undefined || last === undefined || last <= first) return null;
    return (60_000 * (taps.length - 1)) / (last - first);
}
