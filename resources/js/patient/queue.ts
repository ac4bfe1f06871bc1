import { Refusal } from '../lib/http';
import { api } from './api';
import type { PracticeLog } from './types';

/**
 * Practices that wait on this device until the server has them. Each carries its own id, so sending one twice stores
 * it once. What the server refuses stays visible until it has been read.
 */
export interface Waiting { log: PracticeLog; notBefore: number; refused: string | null }

const WAITING = 'ivory-pace:waiting';
const UNFINISHED = 'ivory-pace:unfinished';
const AGAIN_MS = 20_000;

/** Where there is no store, what waits lives as long as the page. */
const memory = new Map<string, string>();

function read(key: string): string | null {
    try { return localStorage.getItem(key) ?? memory.get(key) ?? null; } catch { return memory.get(key) ?? null; }
}

function write(key: string, value: string | null): void {
    try {
        if (value === null) localStorage.removeItem(key);
        else localStorage.setItem(key, value);
        memory.delete(key);
    } catch {
        if (value === null) memory.delete(key);
        else memory.set(key, value);
    }
}

function parse<T>(text: string | null, otherwise: T): T {
    try { return text === null ? otherwise : (JSON.parse(text) as T); } catch { return otherwise; }
}

export function waiting(): Waiting[] {
    return parse<Waiting[]>(read(WAITING), []);
}

function keep(list: Waiting[], stored = false): void {
    write(WAITING, list.length === 0 ? null : JSON.stringify(list));
    for (const listener of listeners) listener(stored);
}

const listeners = new Set<(stored: boolean) => void>();

/** Tells of every change of the queue, and whether it is because the server has stored something. */
export function onChange(listener: (stored: boolean) => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
}

/** Puts a practice into the queue; the newest form of the same practice wins. */
export function enqueue(log: PracticeLog, notBefore = 0): void {
    keep([...waiting().filter((each) => each.log.uuid !== log.uuid), { log, notBefore, refused: null }]);
    if (parse<PracticeLog | null>(read(UNFINISHED), null)?.uuid === log.uuid) write(UNFINISHED, null);
    void flush();
}

/** Keeps how far a practice has got, so that a closed tab loses at most the present breath. */
export function keepUnfinished(log: PracticeLog): void {
    write(UNFINISHED, JSON.stringify(log));
}

/** A practice that was left without an end counts as far as it got. */
export function recoverUnfinished(): void {
    const log = parse<PracticeLog | null>(read(UNFINISHED), null);
    write(UNFINISHED, null);
    if (log && (log.seconds_done > 0 || log.breaths_done > 0)) enqueue(log);
}

export function dismiss(uuid: string): void {
    keep(waiting().filter((each) => each.log.uuid !== uuid));
}

let flushing = false;

/** Sends what can be sent, also what is put in meanwhile. */
export async function flush(): Promise<void> {
    if (flushing) return;
    flushing = true;
    try {
        for (let next = sendable(); next; next = sendable()) {
            if (!(await send(next))) break;
        }
    } finally {
        flushing = false;
    }
}

function sendable(): Waiting | undefined {
    return waiting().find((each) => each.refused === null && each.notBefore <= Date.now());
}

/** Returns false when it has to wait: no network, or signed out. */
async function send({ log }: Waiting): Promise<boolean> {
    try {
        await api.practice(log);
        keep(waiting().filter((other) => other.log.uuid !== log.uuid), true);
    } catch (problem) {
        if (!(problem instanceof Refusal) || problem.status !== 422) return false;
        keep(waiting().map((other) => (other.log.uuid === log.uuid ? { ...other, refused: problem.message } : other)));
    }
    return true;
}

/** Tries again when the network comes back, and now and then. */
export function keepTrying(): () => void {
    const attempt = (): void => void flush();
    window.addEventListener('online', attempt);
    const timer = setInterval(attempt, AGAIN_MS);
    attempt();
    return () => { window.removeEventListener('online', attempt); clearInterval(timer); };
}

/** Exercises that a stop on this device pauses until the server has been heard: everything after a get-help symptom. */
export function pausedHere(): boolean {
    return waiting().some((each) => each.refused === null && each.log.stop_class === 'get-help');
}

export function newId(): string {
    if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
    bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
