/** How long it takes to hear the device after it was asked to speak, until that was measured. */
const FIRST_ONSET_S = 0.2;
const FIRST_LETTERS_A_SECOND = 14;
/** Of a new measurement, so much is taken over. */
const LEARN = 0.3;
const WAIT_FOR_VOICES_MS = 400;

/** Seconds that it takes to say a number: it has few letters and many sounds. */
function numberSeconds(number: number): number {
    if (number <= 12) return 0.4;
    if (number <= 20) return 0.6;
    return number < 100 ? 0.8 : 1.3;
}

/** The voice that the device has by itself, without a network. It learns how soon and how fast it speaks. */
export class DeviceVoice {
    onset = FIRST_ONSET_S;
    private lettersASecond = FIRST_LETTERS_A_SECOND;

    private constructor(
        private readonly synthesis: SpeechSynthesis,
        private readonly voice: SpeechSynthesisVoice,
    ) {}

    /** Null where the device has no voice of its own in that language. */
    static async in(locale: string): Promise<DeviceVoice | null> {
        const synthesis = globalThis.speechSynthesis as SpeechSynthesis | undefined;
        if (!synthesis) return null;
        if (synthesis.getVoices().length === 0)
            await new Promise<void>((resolve) => {
                const timer = setTimeout(resolve, WAIT_FOR_VOICES_MS);
                synthesis.addEventListener?.(
                    'voiceschanged',
                    () => {
                        clearTimeout(timer);
                        resolve();
                    },
                    { once: true },
                );
            });
        const language = locale.slice(0, 2).toLowerCase();
        const there = synthesis
            .getVoices()
            .filter((each) => each.localService && each.lang.toLowerCase().startsWith(language));
        const voice = there.find((each) => each.lang.replace('_', '-') === locale) ?? there[0];
        return voice ? new DeviceVoice(synthesis, voice) : null;
    }

    /** Seconds that it takes at its usual rate. */
    seconds(text: string): number {
        return /^\d+$/.test(text) ? numberSeconds(Number(text)) : text.length / this.lettersASecond + 0.15;
    }

    speak(text: string, rate: number, volume: number): void {
        const utterance = new SpeechSynthesisUtterance(text);
        utterance.voice = this.voice;
        utterance.lang = this.voice.lang;
        utterance.rate = rate;
        utterance.volume = volume;
        const asked = performance.now();
        let begun = asked;
        utterance.onstart = () => {
            begun = performance.now();
            this.onset += (Math.min(1, (begun - asked) / 1000) - this.onset) * LEARN;
        };
        utterance.onend = () => {
            const took = ((performance.now() - begun) / 1000) * rate - 0.15;
            if (took > 0.2 && text.length > 8)
                this.lettersASecond += (Math.min(25, text.length / took) - this.lettersASecond) * LEARN;
        };
        this.synthesis.speak(utterance);
    }

    hush(): void {
        this.synthesis.cancel();
    }
}
