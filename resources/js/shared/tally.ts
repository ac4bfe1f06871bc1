import type { Stroke } from './timeline';

export interface Mark {
    kind: Stroke;
    x: number;
}

type Counted = Exclude<Stroke, 'open'>;
export type TallyWords = Record<Counted | 'none', string>;

const WORDS: TallyWords = {
    none: 'No practice yet',
    done: 'done',
    partial: 'in part',
    missed: 'missed',
    stopped: 'stopped for a symptom',
    extra: 'extra',
    'put-off': 'not today',
};

const LETTERS: Record<string, Stroke> = {
    d: 'done',
    p: 'partial',
    m: 'missed',
    s: 'stopped',
    x: 'extra',
    n: 'put-off',
    o: 'open',
};

/** Days of strokes from "ddm,d,,dp". */
export function strokesOf(text: string): Stroke[][] {
    return text === '' ? [] : text.split(',').map((day) => [...day].flatMap((letter) => LETTERS[letter] ?? []));
}

/** Strokes of days side by side; the days share the width evenly or take what they need. */
export function stripMarks(
    days: Stroke[][],
    stroke: number,
    gap: number,
    dayWidth: number | null,
): { marks: Mark[]; width: number } {
    const marks: Mark[] = [];
    let x = 0;
    for (const day of days) {
        let at = x + 2;
        for (const kind of day) {
            marks.push({ kind, x: at });
            at += kind === 'extra' ? stroke + 1 : stroke;
        }
        x += dayWidth ?? Math.max(day.length, 1) * stroke + gap;
    }
    return { marks, width: x };
}

/** The same in words, for those who do not see it; in other words than the practitioner's where they are given. */
export function tallyInWords(days: Stroke[][], words: TallyWords = WORDS): string {
    const all = days.flat().filter((kind) => kind !== 'open');
    if (all.length === 0) return words.none;
    const kinds = (Object.keys(WORDS) as (keyof TallyWords)[]).filter((kind): kind is Counted => kind !== 'none');
    return kinds
        .filter((kind) => all.includes(kind))
        .map((kind) => `${all.filter((each) => each === kind).length} ${words[kind]}`)
        .join(', ');
}
