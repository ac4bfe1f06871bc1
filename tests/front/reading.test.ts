import { readFileSync } from 'node:fs';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { describe, expect, it } from 'vitest';

const told = JSON.parse(readFileSync('tests/front/told.json', 'utf8')) as { technique: string; sentences: string[] }[];

/** U.S. school grade (Kincaid et al. 1975, as the library has it) up to which everybody reads with ease. */
const HARDEST = 5;

function grade(texts: string[]): number {
    const sentences = texts.flatMap((text) => text.split(/(?<=[.?])\s+/)).filter((one) => /\p{L}/u.test(one));
    const words = sentences.flatMap((one) => one.split(/\s+/).filter((word) => /[\p{L}\p{N}]/u.test(word)));
    return fleschKincaid({
        sentence: sentences.length,
        word: words.length,
        syllable: words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0),
    });
}

describe('what the patient is told', () => {
    it('reads with ease, exercise by exercise', () => {
        expect(told.length).toBeGreaterThan(80);
        for (const each of told)
            expect(grade(each.sentences), `${each.technique}: ${each.sentences.join(' ')}`).toBeLessThanOrEqual(
                HARDEST,
            );
    });

    it('is measured: a hard sentence has a high grade', () => {
        expect(
            grade(['Respiratory physiotherapeutic interventions necessitate individualised prescription.']),
        ).toBeGreaterThan(12);
    });
});
