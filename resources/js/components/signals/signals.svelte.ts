import { router } from '@inertiajs/svelte';
import { fetchSignedIn, sendSignedIn } from '../../lib/send';
import { formToken, inWords, Refusal } from '../../shared/http';
import type { RoomKind, SignalsShown } from '../../types/signals';

const AGAIN = 'Try again when the network is back.';

/** What is recorded of a patient with devices: what was, what goes on, and what is done about it. */
export class Signals {
    shown = $state.raw<SignalsShown>() as SignalsShown;
    trouble = $state('');
    isBusy = $state(false);

    constructor(
        private readonly patientId: string,
        shown: SignalsShown,
    ) {
        this.shown = shown;
    }

    get url(): string {
        return `/patients/${this.patientId}/signals`;
    }

    begin(kind: RoomKind, position: string, sensors: number[], about: string): Promise<boolean> {
        return this.change(() => this.send('', 'POST', { kind, position, sensors, about }));
    }

    end(uuid: string, body: object): Promise<boolean> {
        return this.change(() => this.send(`/${uuid}/end`, 'POST', body));
    }

    forget(uuid: string): Promise<boolean> {
        return this.change(() => this.send(`/${uuid}/samples`, 'DELETE'));
    }

    agree(kept: boolean): Promise<boolean> {
        return this.change(() => this.send('/agreement', 'PUT', { kept }));
    }

    read(file: File): Promise<boolean> {
        return this.change(async () => {
            const response = await fetchSignedIn(`${this.url}/file`, () => {
                const body = new FormData();
                body.append('file', file);
                return { method: 'POST', headers: { Accept: 'application/json', ...formToken() }, body };
            });
            const answer = (await response.json().catch(() => ({}))) as SignalsShown & { message?: string };
            if (!response.ok) throw new Refusal(response.status, answer.message ?? '');
            return answer;
        });
    }

    /** The page's own props follow, so that Back shows what was last there. */
    async refresh(): Promise<void> {
        await new Promise<void>((done) => {
            router.reload({ only: ['open', 'recordings', 'sensors', 'agreed'], onFinish: () => done() });
        });
    }

    private send(path: string, method: 'POST' | 'PUT' | 'DELETE', body?: unknown): Promise<SignalsShown> {
        return sendSignedIn<SignalsShown>(`${this.url}${path}`, method, body);
    }

    private async change(send: () => Promise<SignalsShown>): Promise<boolean> {
        if (this.isBusy) return false;
        this.isBusy = true;
        this.trouble = '';
        try {
            this.shown = await send();
            for (const name of ['open', 'recordings', 'sensors', 'agreed'] as const) {
                router.replaceProp(name, this.shown[name]);
            }
            return true;
        } catch (problem) {
            this.trouble = inWords(problem, AGAIN);
            return false;
        } finally {
            this.isBusy = false;
        }
    }
}
