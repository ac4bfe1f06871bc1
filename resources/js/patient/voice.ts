import { DeviceVoice } from '../player/deviceVoice';
import { Speaker } from '../player/speaker';
import type { Voice } from '../player/speaking';
import { sendJson } from '../shared/http';
import { store } from './keeping/store';
import { locale, t } from './words';
import type { TodayItem } from './types';

/** The practitioner's recorded lines, kept on this device: they play without a network. */
type Clips = Record<string, { hash: string; sound: ArrayBuffer }>;

const HEADERS = { 'X-Ivory-Pace': '1' };

/** Fetches what is new, and drops what is no longer there. */
export async function fetchVoice(): Promise<void> {
    const { lines } = await sendJson<{ lines: { line: string; hash: string }[] }>(
        '/api/v1/voice',
        'GET',
        undefined,
        HEADERS,
    );
    const have = (await store.kept<Clips>('voice')) ?? {};
    const clips: Clips = {};
    for (const { line, hash } of lines) {
        const known = have[line];
        if (known?.hash === hash) {
            clips[line] = known;
            continue;
        }
        const response = await fetch(`/api/v1/voice/${line}`, { headers: HEADERS, credentials: 'same-origin' });
        if (response.ok) clips[line] = { hash, sound: await response.arrayBuffer() };
    }
    await store.keep('voice', clips);
}

async function recorded(context: BaseAudioContext): Promise<Map<string, AudioBuffer>> {
    const clips = Object.entries((await store.kept<Clips>('voice')) ?? {});
    const decoded = await Promise.all(
        clips.map(async ([line, { sound }]): Promise<[string, AudioBuffer] | null> => {
            try {
                return [line, await context.decodeAudioData(sound.slice(0))];
            } catch {
                return null;
            }
        }),
    );
    return new Map(decoded.filter((each) => each !== null));
}

/**
 * A voice for one exercise: recorded lines, and the device's own for the rest; null where there is neither.
 *
 * @param level 0–1, of what the device says by itself
 */
export async function voiceFor(context: BaseAudioContext, item: TodayItem, level: number): Promise<Voice | null> {
    const [clips, own] = await Promise.all([
        recorded(context).catch(() => new Map<string, AudioBuffer>()),
        DeviceVoice.in(locale()).catch(() => null),
    ]);
    if (clips.size === 0 && own === null) return null;
    const taught = (step: number, key: string): string =>
        item.taught.find((each) => each.step === step)?.told.find((each) => each.key === key)?.text ?? '';
    return new Speaker({ clips, own, say: t, taught, level });
}
