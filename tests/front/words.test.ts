import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'svelte/compiler';
import { describe, expect, it } from 'vitest';
import { EVERY_TEXT } from './texts';

const ROOMS = ['resources/js/patient', 'resources/js/shared', 'resources/js/player'];
/** Attributes that are read out or shown. */
const SPOKEN = new Set(['aria-label', 'aria-description', 'title', 'placeholder', 'alt', 'label']);
/** The same in every language. */
const NAME = /Ivory Pace/g;

const files = (folder: string): string[] =>
    readdirSync(folder).flatMap((name) => {
        const path = join(folder, name);
        return statSync(path).isDirectory() ? files(path) : path.endsWith('.svelte') ? [path] : [];
    });

const isWords = (text: string): boolean => /\p{L}{2,}/u.test(text.replace(NAME, ''));

/** Words that stand in the markup itself, or in what is read out. */
function written(node: unknown, isSpoken: boolean, found: string[]): void {
    if (Array.isArray(node)) {
        for (const each of node) written(each, isSpoken, found);
    } else if (node !== null && typeof node === 'object') {
        const { type, name, data, value } = node as Record<string, unknown>;
        if (type === 'Text' && isSpoken && isWords(String(data))) found.push(String(data).trim());
        if (type === 'Literal' && isSpoken && typeof value === 'string' && / /.test(value) && isWords(value))
            found.push(value);
        if (type === 'Attribute') return written(value, SPOKEN.has(String(name)), found);
        for (const [key, child] of Object.entries(node)) {
            if (!['type', 'css', 'attributes', 'expression', 'name'].includes(key)) written(child, isSpoken, found);
        }
        written((node as { attributes?: unknown }).attributes, isSpoken, found);
        if (isSpoken) written((node as { expression?: unknown }).expression, isSpoken, found);
    }
}

describe('what a patient reads', () => {
    it('stands in no component: every word comes from the language of the patient', () => {
        const all = ROOMS.flatMap(files);
        expect(all.length).toBeGreaterThan(25);
        for (const path of all) {
            const found: string[] = [];
            written(parse(readFileSync(path, 'utf8'), { modern: true }).fragment, true, found);
            expect(found, path).toEqual([]);
        }
    });

    it('has a text for every key that a component asks for', () => {
        const asked = new Set<string>();
        for (const path of ROOMS.flatMap(files)) {
            for (const [, key] of readFileSync(path, 'utf8').matchAll(/\bt[n]?\('([a-z][\w.-]+)'/g)) {
                if (key) asked.add(key);
            }
        }
        expect(asked.size).toBeGreaterThan(100);
        for (const key of asked) expect(EVERY_TEXT, key).toContain(key);
    });
});
