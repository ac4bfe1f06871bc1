import type { Voice } from '../player/engine';
import { sendJson } from '../shared/http';
import { store } from './keeping/store';

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

/** A voice that speaks what there is; null when nothing was recorded. */
export async function voiceFor(context: BaseAudioContext): Promise<Voice | null> {
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
    const buffers = new Map(decoded.filter((each) => each !== null));
    if (buffers.size === 0) return null;
    return {
        // A word that is longer than its phase would be said into the next one.
        phase: (cue) => fitting(buffers.get(cue.instruction), cue.ms / 1000),
        beat: (beat, seconds) => (beat.word ? null : fitting(buffers.get(`number.${beat.number}`), seconds)),
    };
}

function fitting(clip: AudioBuffer | undefined, seconds: number): AudioBuffer | null {
    return clip && clip.duration <= seconds ? clip : null;
}
