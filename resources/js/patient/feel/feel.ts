import { enqueue } from '../keeping/outbox';
import type { PlayedBreath } from '../../player/played';
import { Bins } from './bins';
import { Ink } from './ink';

/** Where some systems ask before a page may feel movement: only within a tap. */
type Asked = typeof DeviceMotionEvent & { requestPermission?: () => Promise<'granted' | 'denied'> };

/** So long a device may take to say the first thing. */
const FIRST_MS = 3000;
/** Nothing longer is measured. */
const LONGEST_MS = 3_500_000;

export const canFeel = (): boolean => typeof DeviceMotionEvent !== 'undefined';

/** Asks whether the page may feel movement; refusing is harmless. To be called within a tap. */
export async function askToFeel(): Promise<boolean> {
    try {
        const ask = (DeviceMotionEvent as Asked).requestPermission;
        return ask === undefined || (await ask.call(DeviceMotionEvent)) === 'granted';
    } catch {
        return false;
    }
}

/** What a phone on the belly or at the chest feels during one practice; it goes to the outbox in parts. */
export class Feel {
    private zero = 0;
    private startedAt = '';
    private inhaleMs = 0;
    private isOver = false;
    private readonly bins: Bins;
    private readonly listen = (event: DeviceMotionEvent): void => this.take(event);
    private first: (came: boolean) => void = () => undefined;

    /** What can be shown meanwhile. */
    readonly ink = new Ink();

    constructor(private readonly uuid: string) {
        this.bins = new Bins((part) => void enqueue('trace-part', `${uuid}:${part.number}`, { uuid, ...part }));
    }

    /** Begins to listen; false when the device says nothing. */
    begin(): Promise<boolean> {
        this.zero = performance.now();
        this.startedAt = new Date().toISOString();
        window.addEventListener('devicemotion', this.listen);
        return new Promise((resolve) => {
            const timer = setTimeout(() => resolve(false), FIRST_MS);
            this.first = () => {
                clearTimeout(timer);
                resolve(true);
            };
        });
    }

    /** ms since it began, of a moment on the page's clock. */
    at(now = performance.now()): number {
        return now - this.zero;
    }

    /** The patient was asked to breathe in. */
    inhale(): void {
        this.inhaleMs = Math.max(0, Math.round(this.at()));
        this.ink.inhale();
        // A stand-in breathes in too.
        window.dispatchEvent(new CustomEvent('ivory-pace:inhale'));
    }

    /** It is over: the last part goes, and what belongs to all of them. */
    end(played: PlayedBreath[]): void {
        if (this.isOver) return;
        this.leave();
        this.bins.end();
        if (this.bins.parts === 0) return;
        void enqueue('trace', `${this.uuid}:trace`, {
            uuid: this.uuid,
            started_at: this.startedAt,
            parts: this.bins.parts,
            inhale_ms: this.inhaleMs,
            played,
        });
    }

    /** Nothing more is felt, and nothing of it is sent. */
    leave(): void {
        this.isOver = true;
        window.removeEventListener('devicemotion', this.listen);
    }

    private take(event: DeviceMotionEvent): void {
        const { x = null, y = null, z = null } = event.accelerationIncludingGravity ?? {};
        if (this.isOver || x === null || y === null || z === null) return;
        const at = this.at();
        if (at > LONGEST_MS) return;
        this.first(true);
        this.bins.add(at, x, y, z);
        this.ink.take(at, x, y, z);
    }
}
