import { router } from '@inertiajs/svelte';
import { sendSignedIn } from '../../lib/send';
import { noConnection, Refusal } from '../../shared/http';
import { keeping } from '../../lib/keeping';
import type { DeskProps, MeasureView, Reading } from '../../types/measure';

const NO_NETWORK = noConnection('What you measured is still here.');

/** The desk on which a patient is measured: what is typed, what is kept, and what was wrong with it. */
export class Desk {
    shown = $state.raw<DeskProps>() as DeskProps;
    position = $state('seated');
    /** What is typed, by measure and field. */
    typed = $state<Record<string, Record<string, string>>>({});
    errors = $state.raw<Record<string, { text: string; asks: Reading | null; explains: Reading | null }>>({});
    said = $state('');

    private readonly kept;

    /** @param prop the page's prop that holds the desk */
    constructor(
        readonly patientId: string,
        shown: DeskProps,
        private readonly prop: string,
    ) {
        this.shown = shown;
        this.kept = keeping(`measure:${patientId}`);
        this.typed = this.kept.read<Record<string, Record<string, string>>>() ?? {};
    }

    /** Back shows the desk as it was left, so the page is told too. */
    show(shown: DeskProps): void {
        this.shown = shown;
        router.replaceProp(this.prop, shown);
    }

    of(key: string, field: string): string {
        return this.typed[key]?.[field] ?? '';
    }

    put(key: string, field: string, value: string): void {
        this.typed[key] = { ...this.typed[key], [field]: value };
        this.kept.write($state.snapshot(this.typed));
    }

    forget(key: string): void {
        this.typed[key] = {};
        this.kept.write($state.snapshot(this.typed));
    }

    async keep(measure: MeasureView, reading: Reading, sure = false): Promise<boolean> {
        this.errors = { ...this.errors, [measure.key]: { text: '', asks: null, explains: null } };
        this.said = '';
        try {
            const body = {
                measure: measure.measure,
                symptom: measure.symptom,
                position: this.position,
                sure,
                explanation: this.of(measure.key, 'explanation'),
                ...reading,
            };
            this.show(await sendSignedIn<DeskProps>(`/patients/${this.patientId}/measure`, 'POST', body));
            this.forget(measure.key);
            this.said = `${measure.label} kept.`;
            return true;
        } catch (problem) {
            const refusal = problem instanceof Refusal ? problem : null;
            this.errors = {
                ...this.errors,
                [measure.key]: {
                    text: refusal?.message || NO_NETWORK,
                    asks: refusal?.errors.sure === undefined ? null : reading,
                    explains: refusal?.errors.explanation === undefined ? null : reading,
                },
            };
            return false;
        }
    }

    /** Symptoms, the patient's own normal range. Answers what is wrong, or nothing. */
    async choose(choices: { symptoms?: string[]; own_low_saturation?: string | null }): Promise<string> {
        try {
            this.show(await sendSignedIn<DeskProps>(`/patients/${this.patientId}/measure/choices`, 'PUT', choices));
            return '';
        } catch (problem) {
            return problem instanceof Refusal && problem.message ? problem.message : NO_NETWORK;
        }
    }
}
