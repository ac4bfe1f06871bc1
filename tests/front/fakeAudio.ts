/** An audio clock that tests move by hand, and a record of what was put on it. */
export interface Put {
    at: number;
    frequency: number;
    word?: string;
    stopped: number;
    cancelled: boolean;
    putAt: number;
}

export class FakeAudioContext {
    currentTime = 10;
    outputLatency = 0;
    state = 'running';
    onstatechange: (() => void) | null = null;
    readonly destination = {};
    readonly put: Put[] = [];

    resume(): Promise<void> {
        this.state = 'running';
        return Promise.resolve();
    }

    createGain(): unknown {
        const param = {
            setValueAtTime: () => param,
            linearRampToValueAtTime: () => param,
            exponentialRampToValueAtTime: () => param,
            setTargetAtTime: () => param,
        };
        const node = { gain: param, connect: (target: unknown) => target };
        return node;
    }

    createOscillator(): unknown {
        let frequency = 0;
        let record: Put | null = null;
        const node = {
            type: 'sine',
            onended: null,
            frequency: {
                setValueAtTime: (value: number) => {
                    frequency = value;
                },
                exponentialRampToValueAtTime: () => undefined,
            },
            connect: (target: unknown) => target,
            disconnect: () => undefined,
            start: (at: number) => {
                record = { at, frequency, stopped: Infinity, cancelled: false, putAt: this.currentTime };
                this.put.push(record);
            },
            stop: (at?: number) => {
                if (!record) return;
                if (at === undefined) record.cancelled = true;
                else record.stopped = at;
            },
        };
        return node;
    }

    createBufferSource(): unknown {
        let record: Put | null = null;
        const node = {
            buffer: null as { name: string } | null,
            onended: null,
            connect: (target: unknown) => target,
            disconnect: () => undefined,
            start: (at: number) => {
                record = {
                    at,
                    frequency: 0,
                    word: node.buffer?.name,
                    stopped: Infinity,
                    cancelled: false,
                    putAt: this.currentTime,
                };
                this.put.push(record);
            },
            stop: () => {
                if (record) record.cancelled = true;
            },
        };
        return node;
    }

    /** What will sound, in order. */
    sounding(): Put[] {
        return this.put.filter((each) => !each.cancelled).sort((a, b) => a.at - b.at);
    }
}
