/** Samples a second at which a voice is kept: enough for speech. */
export const VOICE_RATE = 16_000;

/** What the microphone hears until it is stopped, as one channel of samples. */
export class Recorder {
    private readonly chunks: Blob[] = [];

    private constructor(
        private readonly stream: MediaStream,
        private readonly recorder: MediaRecorder,
    ) {
        recorder.ondataavailable = (event) => this.chunks.push(event.data);
        recorder.start();
    }

    /** Throws a DOMException when there is no microphone or it is not allowed. */
    static async start(): Promise<Recorder> {
        const stream = await navigator.mediaDevices.getUserMedia({
            audio: { channelCount: 1, echoCancellation: false, autoGainControl: false },
        });
        return new Recorder(stream, new MediaRecorder(stream));
    }

    async stop(): Promise<Float32Array> {
        const ended = new Promise((resolve) => {
            this.recorder.onstop = resolve;
        });
        this.recorder.stop();
        await ended;
        for (const track of this.stream.getTracks()) track.stop();
        const context = new OfflineAudioContext(1, 1, VOICE_RATE);
        const heard = await context.decodeAudioData(await new Blob(this.chunks).arrayBuffer());
        return heard.getChannelData(0);
    }
}

/** WAV with 16-bit samples of one channel. */
export function wav(samples: Float32Array, rate = VOICE_RATE): Blob {
    const view = new DataView(new ArrayBuffer(44 + samples.length * 2));
    const text = (at: number, of: string): void => {
        for (let n = 0; n < of.length; n++) view.setUint8(at + n, of.charCodeAt(n));
    };
    text(0, 'RIFF');
    view.setUint32(4, 36 + samples.length * 2, true);
    text(8, 'WAVEfmt ');
    view.setUint32(16, 16, true);
    view.setUint16(20, 1, true);
    view.setUint16(22, 1, true);
    view.setUint32(24, rate, true);
    view.setUint32(28, rate * 2, true);
    view.setUint16(32, 2, true);
    view.setUint16(34, 16, true);
    text(36, 'data');
    view.setUint32(40, samples.length * 2, true);
    samples.forEach((sample, n) =>
        view.setInt16(44 + n * 2, Math.round(Math.max(-1, Math.min(1, sample)) * 32767), true),
    );
    return new Blob([view], { type: 'audio/wav' });
}
