import { ENGLISH, type RidgeWords } from '../shared/ridge';
import type { TallyWords } from '../shared/tally';
import type { ToldPart } from './types';

/** The patient's texts, by translation key, as the page brought them. */
const words = JSON.parse(globalThis.document?.getElementById('words')?.textContent ?? '{}') as Record<string, string>;

/** In which the patient is spoken to; days and times are written as it is usual in it. */
export function locale(): string {
    const lang = (globalThis.document?.documentElement.lang ?? '').replace('_', '-');
    return lang === 'en' || lang === '' ? 'en-GB' : lang;
}

/** A text with its :values filled in. A missing key shows itself, so that it is noticed. */
export function t(key: string, values: Record<string, string | number> = {}): string {
    let text = words[key] ?? key;
    for (const [name, value] of Object.entries(values)) text = text.replaceAll(`:${name}`, String(value));
    return text;
}

/** Picks between the "{1} …|[2,*] …" forms of a text. */
export function tn(key: string, count: number, values: Record<string, string | number> = {}): string {
    const forms = (words[key] ?? key).split('|');
    const form = forms.find((each) => each.startsWith(`{${count}}`)) ?? forms[forms.length - 1] ?? key;
    let text = form.replace(/^(\{\d+\}|\[\d+,(?:\d+|\*)\])\s*/, '');
    for (const [name, value] of Object.entries({ count, ...values })) text = text.replaceAll(`:${name}`, String(value));
    return text;
}

export function has(key: string): boolean {
    return key in words;
}

/** "3 min 20", from seconds. */
export function lengthOf(seconds: number): string {
    const values = { minutes: Math.floor(seconds / 60), seconds: seconds % 60 };
    if (seconds < 60) return t('patient.length.seconds', values);
    return t(values.seconds === 0 ? 'patient.length.minutes' : 'patient.length.both', values);
}

/** The strokes of the tally, for those who do not see them. */
export const tallyWords = (): TallyWords => ({
    none: t('patient.tally.none'),
    done: t('patient.tally.done'),
    partial: t('patient.tally.partial'),
    missed: t('patient.tally.missed'),
    stopped: t('patient.tally.stopped'),
    extra: t('patient.tally.extra'),
    'put-off': t('patient.tally.put-off'),
});

/** What stands under a ridge. */
export const ridgeWords = (): RidgeWords =>
    Object.fromEntries(
        (Object.keys(ENGLISH) as (keyof RidgeWords)[]).map((name) => [name, t(`patient.ridge.${name}`)]),
    ) as RidgeWords;

/** One part of what is told of an exercise; empty where it has none. */
export const told = (item: { told: ToldPart[] }, part: string): string[] =>
    item.told.find((each) => each.part === part)?.texts ?? [];

/** What a practice hangs on, by its own name where it has one. */
export const anchorOf = (slot: { anchor: string; name?: string | null }): string =>
    slot.name ?? t(`anchor.${slot.anchor}`);
