import type { ToldPart } from '../types/pages';

/** Steps stand one below the other, other sentences in one. */
export function asRows(parts: ToldPart[]): { label: string; texts: string[] }[] {
    return parts.map(({ part, label, texts }) => ({ label, texts: part === 'steps' ? texts : [texts.join(' ')] }));
}
