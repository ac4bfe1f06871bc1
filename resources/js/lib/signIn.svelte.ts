import { Refusal } from '../shared/http';
import { clearWhatWasTyped } from './tab';

/** What tabs of one browser tell each other. */
type Told = { signedIn: string } | { signedOut: true } | { busy: number };

const CHANNEL = 'ivory-pace';
const ENDED = [401, 419];

export const isEnded = (problem: unknown): boolean => problem instanceof Refusal && ENDED.includes(problem.status);
export const isEndedStatus = (status: number): boolean => ENDED.includes(status);

/** Whether this sign-in still holds; a window asks again where it does not, and whoever waits for it goes on. */
class SignIn {
    isAsking = $state(false);
    /** When a request last renewed it, here or in another tab. */
    lastBusy = Date.now();
    private waiting: ((isBack: boolean) => void)[] = [];
    private readonly channel = new BroadcastChannel(CHANNEL);

    constructor() {
        this.channel.onmessage = (event: MessageEvent<Told>) => this.hear(event.data);
    }

    /** The key of who this page was made for. */
    of: string | null = null;

    busy(): void {
        this.lastBusy = Date.now();
        this.channel.postMessage({ busy: this.lastBusy } satisfies Told);
    }

    /** Resolves once somebody signed in again as the same person; with false when the page is left instead. */
    ask(): Promise<boolean> {
        this.isAsking = true;
        return new Promise((resolve) => this.waiting.push(resolve));
    }

    /** A page was opened: other tabs that still show somebody else's leave it. */
    opened(key: string): void {
        if (this.of === key) return;
        this.of = key;
        this.channel.postMessage({ signedIn: key } satisfies Told);
    }

    isBackAs(key: string): void {
        this.channel.postMessage({ signedIn: key } satisfies Told);
        this.settle(key);
    }

    signedOut(): void {
        this.channel.postMessage({ signedOut: true } satisfies Told);
    }

    private settle(key: string): void {
        if (this.of !== null && key !== this.of) {
            // Somebody else: nothing that stands on this page is theirs.
            clearWhatWasTyped();
            location.replace('/');
            return;
        }
        this.busy();
        this.isAsking = false;
        for (const go of this.waiting.splice(0)) go(true);
    }

    private hear(told: Told): void {
        if ('busy' in told) this.lastBusy = Math.max(this.lastBusy, told.busy);
        else if ('signedIn' in told) {
            if (this.of !== null && (this.isAsking || told.signedIn !== this.of)) this.settle(told.signedIn);
        } else if (this.of !== null) {
            clearWhatWasTyped();
            location.replace('/sign-in');
        }
    }
}

export const signIn = new SignIn();
