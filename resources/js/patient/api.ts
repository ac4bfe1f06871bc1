import { sendJson } from '../lib/http';
import type { FormView } from '../types/measure';
import type { DeviceState, DiaryData, PracticeLog, TodayData } from './types';

const HEADERS = { 'X-Ivory-Pace': '1' };

const get = <T>(path: string): Promise<T> => sendJson<T>(`/api/v1/${path}`, 'GET', undefined, HEADERS);
const post = <T>(path: string, body: unknown): Promise<T> => sendJson<T>(`/api/v1/${path}`, 'POST', body, HEADERS);

export const api = {
    me: () => get<DeviceState>('me'),
    access: (secret: { token: string } | { code: string }) => post<DeviceState>('access', { ...secret, label: deviceLabel() }),
    consent: (version: string) => post<DeviceState>('consent', { version }),
    pin: (pin: string) => post<DeviceState>('pin', { pin }),
    unlock: (pin: string) => post<DeviceState>('unlock', { pin }),
    lock: () => post<DeviceState>('lock', {}),
    today: () => get<TodayData>('today'),
    diary: () => get<DiaryData>('diary'),
    writeDiary: (day: string, entry: { ratings: Record<string, number>; sleep: number | null; text: string }) => sendJson<DiaryData>(`/api/v1/diary/${day}`, 'PUT', entry, HEADERS),
    form: (id: string) => get<FormView>(`forms/${id}`),
    answer: (id: string, answers: Record<string, number>, done: boolean, withGaps: boolean) => sendJson<{ emergency: string | null }>(`/api/v1/forms/${id}`, 'PUT', { answers, done, with_gaps: withGaps }, HEADERS),
    practice: (log: PracticeLog) => post<{ stored: boolean; again: boolean }>('practices', { ...log, sent_at: new Date().toISOString() }),
};

/** A name by which the practitioner can tell devices apart. */
function deviceLabel(): string {
    const agent = navigator.userAgent;
    const kind = /iPad|Tablet/.test(agent) ? 'Tablet' : /Mobi|Android|iPhone/.test(agent) ? 'Phone' : 'Computer';
    const system = /Android/.test(agent) ? 'Android' : /iPhone|iPad/.test(agent) ? 'iOS' : /Windows/.test(agent) ? 'Windows' : /Mac/.test(agent) ? 'macOS' : /Linux/.test(agent) ? 'Linux' : '';
    return system ? `${kind}, ${system}` : kind;
}
