import { router } from '@inertiajs/svelte';
import { untrack } from 'svelte';
import { deviceStore, parsed } from '../../shared/deviceStore';
import { sendSignedIn } from '../../lib/send';
import { noConnection, Refusal } from '../../shared/http';
import type { KeptContent } from '../../types/session';

const PAUSE_MS = 700;
const AGAIN_MS = 5000;

interface Local<T> {
    content: T;
    revision: number;
}
interface Conflict<T> {
    content: T;
    revision: number;
    by: string;
    kept_at: string;
}

/**
 * What is typed in one step of a session, or in a letter. It is sent when the typing pauses; until the server has it, a
 * copy stays on this device, so that a closed tab, a lost network or an empty battery loses nothing. Where another
 * device was faster, both texts are shown and a person chooses.
 */
export class KeptStep<T extends object> {
    content = $state() as T;
    state = $state<'kept' | 'typing' | 'unreachable' | 'refused'>('kept');
    keptAt = $state('');
    trouble = $state('');
    theirs = $state.raw<Conflict<T> | null>(null);

    private revision: number;
    private last: string;
    private timer: ReturnType<typeof setTimeout> | undefined;
    private sending: Promise<void> | null = null;

    constructor(
        private readonly url: string,
        kept: KeptContent,
        private readonly empty: T,
    ) {
        this.content = { ...empty, ...(kept.content as Partial<T>) };
        this.revision = kept.revision;
        this.last = JSON.stringify(this.content);
        const local = this.readLocal();
        if (local === null || JSON.stringify(local.content) === this.last) {
            this.writeLocal(null);
            return;
        }
        if (local.revision === kept.revision) {
            this.content = local.content;
            this.notice(true);
        } else
            this.conflict(
                { content: this.content, revision: kept.revision, by: kept.by ?? 'someone', kept_at: '' },
                local.content,
            );
    }

    /** Call it in an effect: looks whether something was typed. */
    notice(isSure = false): void {
        const now = JSON.stringify($state.snapshot(this.content));
        untrack(() => {
            if ((!isSure && now === this.last) || this.theirs !== null) return;
            this.last = now;
            this.writeLocal({ content: $state.snapshot(this.content) as T, revision: this.revision });
            this.state = 'typing';
            this.later(PAUSE_MS);
        });
    }

    /** Fills in what has not been typed by anyone: it is not kept until it is changed. */
    prefill(content: T): void {
        this.content = content;
        this.last = JSON.stringify(content);
    }

    /** Sends now what is still waiting. */
    async flush(): Promise<void> {
        await this.sending;
        if (this.state === 'kept' || this.theirs !== null) return;
        clearTimeout(this.timer);
        this.sending = this.send().finally(() => {
            this.sending = null;
        });
        await this.sending;
    }

    private async send(): Promise<void> {
        const content = $state.snapshot(this.content) as T;
        try {
            const answer = await sendSignedIn<{ revision: number; kept_at: string }>(this.url, 'PUT', {
                revision: this.revision,
                content,
            });
            this.revision = answer.revision;
            this.keptAt = answer.kept_at;
            // Back shows the page as it was left, not as it was opened.
            if (location.pathname === this.url.replace('/steps/', '/'))
                router.replaceProp('kept', { revision: answer.revision, content, by: null });
            this.trouble = '';
            if (JSON.stringify($state.snapshot(this.content)) === JSON.stringify(content)) {
                this.state = 'kept';
                this.writeLocal(null);
            } else {
                this.writeLocal({ content: $state.snapshot(this.content) as T, revision: this.revision });
                this.later(PAUSE_MS);
            }
        } catch (problem) {
            this.failed(problem);
        }
    }

    /** The revision that the server has. */
    get at(): number {
        return this.revision;
    }

    /** What was typed is not wanted any more. */
    forget(): void {
        clearTimeout(this.timer);
        this.state = 'kept';
        this.writeLocal(null);
    }

    takeTheirs(): void {
        if (!this.theirs) return;
        this.content = { ...this.empty, ...this.theirs.content };
        this.revision = this.theirs.revision;
        this.last = JSON.stringify($state.snapshot(this.content));
        this.theirs = null;
        this.state = 'kept';
        this.writeLocal(null);
    }

    keepMine(): void {
        if (!this.theirs) return;
        this.revision = this.theirs.revision;
        this.theirs = null;
        this.notice(true);
    }

    private failed(problem: unknown): void {
        if (problem instanceof Refusal && problem.status === 409) {
            const theirs = problem.body as unknown as Conflict<T>;
            this.conflict(theirs, this.content);
        } else if (problem instanceof Refusal && problem.status === 422) {
            this.state = 'refused';
            this.trouble = problem.message;
        } else {
            this.state = 'unreachable';
            this.trouble =
                problem instanceof Refusal && (problem.status === 401 || problem.status === 419)
                    ? 'You are signed out. Sign in in another tab; what you typed is kept on this device.'
                    : noConnection('What you typed is kept on this device.');
            this.later(AGAIN_MS);
        }
    }

    private conflict(theirs: Conflict<T>, mine: T): void {
        this.content = mine;
        this.theirs = theirs;
        this.state = 'typing';
    }

    private later(ms: number): void {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => void this.flush(), ms);
    }

    private get key(): string {
        return `ivory-pace:step:${this.url}`;
    }

    private readLocal(): Local<T> | null {
        return parsed<Local<T>>(deviceStore.read(this.key));
    }

    private writeLocal(local: Local<T> | null): void {
        deviceStore.write(this.key, local === null ? null : JSON.stringify(local));
    }
}
