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
        // By how many ms this is said late.
        const detail = at - (this.played.breaths.at(-1)?.[0] ?? at);
        window.dispatchEvent(new CustomEvent('ivory-pace:breath', { detail }));
    }

    broken(): void {
        if (this.feel) this.played.broken(this.feel.at());
    }

    end(): void {
        this.broken();
        this.feel?.end(this.played.breaths);
    }
}
