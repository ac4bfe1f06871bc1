<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import HoldToMeasure from '../components/measure/HoldToMeasure.svelte';
    import TapRate from '../components/measure/TapRate.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import Room from '../components/Room.svelte';
    import { short } from '../lib/format';
    import { formToken, Refusal, sendJson } from '../lib/http';
    import { keeping } from '../lib/keeping';
    import type { Choice, PatientHead } from '../types/pages';

    interface Value { value: number; position: string; method: string; on: string; by: string }
    interface MeasureView { key: string; label: string; unit: string; is_limit: boolean; possible: [number, number]; last: Value | null; first: Value | null; comparable: boolean }

    let { patient, measures, positions }: { patient: PatientHead; measures: MeasureView[]; positions: Choice[] } = $props();

    let shown = $state.raw<MeasureView[]>(untrack(() => measures));
    let position = $state('seated');
    const kept = untrack(() => keeping(`measure:${patient.id}`));
    /** What is typed, by measure: a value, or up to three tries. */
    let typed = $state<Record<string, string[]>>(untrack(() => kept.read<Record<string, string[]>>() ?? {}));
    let errors = $state.raw<Record<string, { text: string; asks: boolean }>>({});
    let taps = $state.raw<number[]>([]);

    $effect(() => kept.write($state.snapshot(typed)));

    const of = (key: string, at: number): string => typed[key]?.[at] ?? '';

    function put(key: string, at: number, value: string): void {
        const next = [of(key, 0), of(key, 1), of(key, 2)];
        next[at] = value;
        typed[key] = next;
    }

    /** A held try goes into the first free place; a fourth pushes the shortest out. */
    function held(key: string, seconds: number): void {
        const free = [0, 1, 2].find((at) => of(key, at) === '');
        if (free !== undefined) { put(key, free, String(seconds)); return; }
        const tries = [...[0, 1, 2].map((at) => Number(of(key, at))), seconds].sort((a, b) => b - a).slice(0, 3);
        typed[key] = tries.map(String);
    }

    async function keep(measure: MeasureView, sure = false): Promise<void> {
        const body = measure.key === 'resting-rate' && taps.length > 0 ? { taps } : measure.is_limit ? { tries: [0, 1, 2].map((at) => of(measure.key, at)) } : { value: of(measure.key, 0) };
        errors = { ...errors, [measure.key]: { text: '', asks: false } };
        try {
            const answer = await sendJson<{ measures: MeasureView[] }>(`/patients/${patient.id}/measure`, 'POST', { measure: measure.key, position, sure, ...body }, formToken());
            shown = answer.measures;
            typed[measure.key] = [];
            if (measure.key === 'resting-rate') taps = [];
        } catch (problem) {
            const refusal = problem instanceof Refusal ? problem : null;
            errors = { ...errors, [measure.key]: { text: refusal?.message || 'No connection to Ivory Pace. What you measured is still here.', asks: refusal?.errors.sure !== undefined } };
        }
    }
</script>

{#snippet value(it: Value | null)}{#if it}<strong>{short(it.value, 1)}</strong> <span class="text-muted">{it.on}, {it.position}, {it.method}</span>{:else}<span class="text-muted">–</span>{/if}{/snippet}

<Room title="Measure {patient.name}">
    <PatientBar {patient} here="measure" />
    <p class="flex items-center gap-3 pt-4"><label for="position">Position</label>
        <select id="position" class="slot" bind:value={position}>{#each positions as each (each.value)}<option value={each.value}>{each.label}</option>{/each}</select>
        <span class="text-muted">Released at the first urge, never a maximum. Values under other conditions are marked.</span></p>
    <table class="mt-3 w-full text-[0.95rem]">
        <thead class="text-left text-[0.8125rem] text-muted"><tr><th scope="col" class="font-normal">Measure</th><th scope="col" class="font-normal">Now</th><th scope="col" class="font-normal">Last</th><th scope="col" class="font-normal">First</th></tr></thead>
        <tbody>
            {#each shown as measure (measure.key)}
                {@const error = errors[measure.key]}
                <tr class="border-t border-rule align-top">
                    <th scope="row" class="py-2 pr-4 text-left font-serif font-semibold">{measure.label}<span class="block font-sans text-[0.8125rem] font-normal text-muted">{measure.unit}, {measure.possible[0]} to {measure.possible[1]}</span></th>
                    <td class="py-2 pr-4">
                        {#if measure.key === 'resting-rate'}
                            <TapRate patientId={patient.id} onkeep={(kept) => { taps = kept; void keep(measure); }} />
                            <p class="mt-1 text-muted">or typed <input class="slot small" aria-label="{measure.label}, {measure.unit}" inputmode="decimal" value={of(measure.key, 0)} oninput={(event) => put(measure.key, 0, event.currentTarget.value)} />
                                <button type="button" class="linklike" onclick={() => { taps = []; void keep(measure); }}>keep it</button></p>
                        {:else}
                            <p class="flex flex-wrap items-center gap-2">
                                {#each measure.is_limit ? [0, 1, 2] : [0] as at (at)}
                                    <input class="slot" aria-label="{measure.label}{measure.is_limit ? `, try ${at + 1}` : ''}, {measure.unit}" inputmode="decimal" value={of(measure.key, at)} oninput={(event) => put(measure.key, at, event.currentTarget.value)} />
                                {/each}
                                {#if measure.is_limit}<HoldToMeasure label={measure.label} onmeasured={(seconds) => held(measure.key, seconds)} />{/if}
                                <Button size="xs" color="alternative" onclick={() => keep(measure)}>Keep<span class="visually-hidden"> {measure.label}</span></Button>
                            </p>
                        {/if}
                        {#if error?.text}<p role="alert" class="font-semibold text-clay">{error.text} {#if error.asks}<button type="button" class="linklike" onclick={() => keep(measure, true)}>Yes, keep it</button>{/if}</p>{/if}
                    </td>
                    <td class="py-2 pr-4">{@render value(measure.last)}</td>
                    <td class="py-2">{@render value(measure.first)}{#if !measure.comparable}<span class="block text-ochre">other conditions</span>{/if}</td>
                </tr>
            {/each}
        </tbody>
    </table>
</Room>
