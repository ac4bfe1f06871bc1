import { Played } from '../../player/played';
import type { PlayerEngine } from '../../player/engine';
import type { Feel } from './feel';

/** What is led, told to what is felt; a stand-in that breathes along listens to the same. */
export class Led {
    private readonly played = new Played();

    constructor(
        private readonly feel: Feel | null,
        private readonly engine: PlayerEngine,
    ) {}

    note(): void {
        if (!this.feel || this.engine.isPaused) return;
        const at = this.feel.at();
        if (!this.played.note(this.engine.now(), at)) return;
        const { breaths } = this.played;
        // By how many ms this is said late, and of which breath: where the sound stalled in one, it is said once more.
        const detail = { late: at - (breaths.at(-1)?.[0] ?? at), breath: breaths.length - 1 };
        window.dispatchEvent(new CustomEvent('ivory-pace:breath', { detail }));
    }

    /** The patient's own breath so far, over the one that is led. */
    own(): number[] | null {
        const { breaths } = this.played;
        const [start, , , length] = breaths.at(-1) ?? [0, 0, 0, 0];
        const part = this.feel && length > 0 ? (this.feel.at() - start) / length : 2;
        return this.feel && part >= 0 && part <= 1 ? this.feel.ink.drawn(breaths.length, part) : null;
    }

    broken(): void {
        if (this.feel) this.played.broken(this.feel.at());
    }

    end(): void {
        this.broken();
        this.feel?.end(this.played.breaths);
    }
}
