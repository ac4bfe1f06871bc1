import { sendJson } from '../../shared/http';
import type { Kind } from './store';
import type {
    Bundle,
    CalendarState,
    DeviceState,
    DiaryData,
    FeltData,
    MessageWishes,
    MyDevice,
    NeededData,
    OutboxResult,
    ProgressData,
    SheetData,
    TracesData,
} from '../types';

const HEADERS = { 'X-Ivory-Pace': '1' };

const get = <T>(path: string): Promise<T> => sendJson<T>(`/api/v1/${path}`, 'GET', undefined, HEADERS);
const post = <T>(path: string, body: unknown): Promise<T> => sendJson<T>(`/api/v1/${path}`, 'POST', body, HEADERS);

export const api = {
    me: () => get<DeviceState>('me'),
    access: (secret: { token: string } | { code: string }) =>
        post<DeviceState>('access', { ...secret, label: deviceLabel() }),
    consent: (version: string, traces: boolean) => post<DeviceState>('consent', { version, traces }),
    decline: () => post<DeviceState>('consent/declined', {}),
    turn: (device: number) => post<DeviceState>('turn', { device }),
    changePin: (pin: string, to: string) => sendJson<DeviceState>('/api/v1/pin', 'PUT', { pin, new: to }, HEADERS),
    nameDevice: (id: number, label: string) =>
        sendJson<{ devices: MyDevice[] }>(`/api/v1/devices/${id}`, 'PUT', { label }, HEADERS),
    pin: (pin: string) => post<DeviceState>('pin', { pin }),
    unlock: (pin: string) => post<DeviceState>('unlock', { pin }),
    lock: () => post<DeviceState>('lock', {}),
    today: () => get<Bundle>('today'),
    needed: () => get<NeededData>('as-needed'),
    diary: () => get<DiaryData>('diary'),
    progress: () => get<ProgressData>('progress'),
    sheet: () => get<{ sheet: SheetData | null }>('sheet'),
    devices: () => get<{ devices: MyDevice[] }>('devices'),
    signOut: (id: number) => sendJson<{ signed_out: boolean }>(`/api/v1/devices/${id}`, 'DELETE', undefined, HEADERS),
    outbox: async (items: { id: string; kind: Kind; body: object }[]) =>
        (await post<{ answers: OutboxResult[] }>('outbox', { sent_at: new Date().toISOString(), items })).answers,
    calendar: () => get<CalendarState>('calendar'),
    makeCalendar: () => post<CalendarState>('calendar', {}),
    endCalendar: () => sendJson<CalendarState>('/api/v1/calendar', 'DELETE', undefined, HEADERS),
    messages: () => get<MessageWishes>('messages'),
    wishMessages: (wish: { appointments: boolean; practice: boolean }) =>
        sendJson<MessageWishes>('/api/v1/messages', 'PUT', wish, HEADERS),
    recording: (uuid: string) => get<FeltData>(`recordings/${uuid}`),
    traces: () => get<TracesData>('traces'),
    sayOfTraces: (kept: boolean, version: string) =>
        sendJson<TracesData>('/api/v1/traces', 'PUT', { kept, version }, HEADERS),
    /** Puts a file where this device puts what it loads. */
    save: async (path: string, name: string) => {
        const response = await fetch(`/api/v1/${path}`, { headers: HEADERS, credentials: 'same-origin' });
        if (!response.ok) throw new Error(String(response.status));
        const link = document.createElement('a');
        link.href = URL.createObjectURL(await response.blob());
        link.download = name;
        link.click();
        setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
    },
};

/** A name by which the practitioner can tell devices apart. */
function deviceLabel(): string {
    const agent = navigator.userAgent;
    const kind = /iPad|Tablet/.test(agent) ? 'Tablet' : /Mobi|Android|iPhone/.test(agent) ? 'Phone' : 'Computer';
    const system = /Android/.test(agent)
        ? 'Android'
        : /iPhone|iPad/.test(agent)
          ? 'iOS'
          : /Windows/.test(agent)
            ? 'Windows'
            : /Mac/.test(agent)
              ? 'macOS'
              : /Linux/.test(agent)
                ? 'Linux'
                : '';
    return system ? `${kind}, ${system}` : kind;
}
