import type { Cue, CueKind } from '../shared/timeline';

/** The route is said so often in a set; then the short word is enough. As in the core, which a fixture holds it to. */
const BREATHS_IN_FULL = 2;

const SHORT: CueKind[] = [
    'inhale',
    'top-up',
    'hold',
    'exhale',
    'hum',
    'rest',
    'retention',
    'release',
    'empty',
    'tense',
    'let-go',
];
const SHORT_ENOUGH = ['cue.soft-pause', 'cue.catch'];

/** A bell before the last one speaks for itself. */
const ONLY_RINGS = 'cue.bell.ring';

/** Words that belong together, as keys. */
export type Group = string[];

/** What stands on the screen while a cue lasts. */
export function shownOf(cue: Cue): Group[] {
    const side = cue.side === 'none' ? null : `cue.side.${cue.side}`;
    const first =
        side === null
            ? [[cue.instruction]]
            : cue.kind === 'region'
              ? [[side, cue.instruction]]
              : [[cue.instruction], [side]];
    return cue.how === undefined ? first : [...first, [cue.how]];
}

/** What may be said of a cue, the longest first: the first one that fits into the time is taken. */
export function linesOf(cue: Cue): Group[][] {
    if (cue.instruction === ONLY_RINGS) return [];
    if (cue.kind === 'number') return [cue.beats.map((beat) => [`number.${beat.number ?? ''}`])];
    const whole = shownOf(cue);
    const last = cue.last ? [['cue.last']] : [];
    const side = cue.side === 'none' || cue.kind === 'region' ? [] : [[`cue.side.${cue.side}`]];
    const short = SHORT_ENOUGH.includes(cue.instruction)
        ? [[cue.instruction]]
        : SHORT.includes(cue.kind)
          ? [[`cue.short.${cue.kind}`], ...side]
          : null;
    const inFull = cue.place.breath <= BREATHS_IN_FULL || cue.last || short === null;
    const lines = inFull ? [[...last, ...whole], whole] : [];
    if (cue.how !== undefined && inFull) lines.push(whole.slice(0, -1));
    if (short !== null) lines.push(short);
    const seen = new Set<string>();
    return lines.filter((line) => !seen.has(JSON.stringify(line)) && seen.add(JSON.stringify(line)));
}

/** A clinic's own words are nobody's translation. */
const asItIs = (key: string): string | null => (key.startsWith('own:') ? key.slice('own:'.length) : null);

/** "out, pursed lips, letting it sink". */
export const inWords = (line: Group[], say: (key: string) => string): string =>
    line.map((group) => group.map((key) => asItIs(key) ?? say(key)).join(' ')).join(', ');
