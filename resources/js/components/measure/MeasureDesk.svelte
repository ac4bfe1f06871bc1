<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import Wide from '../Wide.svelte';
    import { untrack } from 'svelte';
    import { short } from '../../shared/format';
    import type { DeskProps, MeasuredValue, MeasureView, Reading } from '../../types/measure';
    import type { PatientHead } from '../../types/pages';
    import RedFlagActions from '../RedFlagActions.svelte';
    import Ceiling from './Ceiling.svelte';
    import Choices from './Choices.svelte';
    import Fall from './Fall.svelte';
    import { Desk } from './desk.svelte';
    import Hands from './Hands.svelte';
    import KeepProblem from './KeepProblem.svelte';
    import Questionnaires from './Questionnaires.svelte';
    import Rhythm from './Rhythm.svelte';
    import Ribs from './Ribs.svelte';
    import TapRate from './TapRate.svelte';
    import Tries from './Tries.svelte';

    let { patient, desk: given, prop }: { patient: PatientHead; desk: DeskProps; prop: 'desk' | 'shown' } = $props();

    const desk = untrack(() => new Desk(patient.id, given, prop));
    // What else changes on the page, an action on a red flag, changes the desk.
    $effect(() => {
        desk.shown = given;
    });
    /** The instrument in hand. */
    let chosen = $state('resting-rate');
    const measure = $derived(desk.shown.measures.find((each) => each.key === chosen) ?? desk.shown.measures[0]);
    const isInstrument = (each: MeasureView): boolean => each.how !== 'typed' && each.how !== 'rating';
    /** What is seen is told in words, not as a number. */
    const isWords = (it: MeasuredValue): boolean => it.method === 'two hands' || it.method === 'watched';
    const open = $derived(desk.shown.red_flags.filter((flag) => flag.is_open));

    const keep = (reading: Reading): void => {
        if (measure) void desk.keep(measure, reading);
    };

    function onkey(event: KeyboardEvent, each: MeasureView): void {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        void desk.keep(each, { value: desk.of(each.key, 'value') });
    }
</script>

{#snippet value(it: MeasuredValue | null, unit: string)}
    {#if it}<strong>{it.words !== null && isWords(it) ? it.words : short(it.value, 1)}</strong
        >{#if !isWords(it)}&nbsp;<span class="text-[0.875rem]">{unit}</span>{/if}<span
            class="block text-[0.8125rem] leading-snug text-muted"
            >{it.on}, {it.position}, {it.method}{#if it.words !== null && !isWords(it)}. {it.words}{/if}</span
        >
    {:else}<span class="text-muted">–</span>{/if}
{/snippet}

<div class="grid grid-cols-1 items-start gap-x-10 gap-y-6 pt-4 min-[70rem]:grid-cols-[33rem_1fr]">
    <div>
        <p class="mb-2">
            <label for="position">Position</label>
            <select id="position" class="slot small" bind:value={desk.position}
                >{#each desk.shown.positions as each (each.value)}<option value={each.value}>{each.label}</option
                    >{/each}</select
            >
            <span class="text-[0.875rem] text-muted">stored with every value</span>
            <Link href="/patients/{patient.id}/signals" class="linklike ml-3">With a belt or an oximeter</Link>
        </p>
        {#if measure && isInstrument(measure)}
            <section class="border border-ink bg-card px-5 py-4" aria-label={measure.label}>
                <h2 class="text-[1.15rem]">{measure.label}</h2>
                {#if measure.how === 'taps'}
                    <TapRate patientId={patient.id} onkeep={(taps) => keep({ taps })} />
                    <p class="mt-3 border-t border-rule pt-2">
                        or counted otherwise: <input
                            class="slot small"
                            aria-label="{measure.label}, {measure.unit}"
                            inputmode="decimal"
                            value={desk.of(measure.key, 'value')}
                            oninput={(event) => desk.put(measure.key, 'value', event.currentTarget.value)}
                            onkeydown={(event) => onkey(event, measure)}
                        />
                        a minute
                        <button
                            type="button"
                            class="linklike"
                            onclick={() => keep({ value: desk.of(measure.key, 'value') })}>keep it</button
                        >
                    </p>
                {:else if measure.how === 'tries'}{#key measure.key}<Tries {desk} {measure} onkeep={keep} />{/key}
                {:else if measure.how === 'ceiling'}<Ceiling {desk} {measure} onkeep={keep} />
                {:else if measure.how === 'hands'}<Hands {desk} {measure} onkeep={keep} />
                {:else if measure.how === 'ribs'}<Ribs {desk} {measure} onkeep={keep} />
                {:else if measure.how === 'rhythm'}<Rhythm {desk} {measure} onkeep={keep} />
                {:else if measure.how === 'fall'}<Fall {desk} {measure} onkeep={keep} />{/if}
                <KeepProblem {desk} {measure} />
                <p class="visually-hidden" role="status">{desk.said}</p>
            </section>
        {/if}
        <div class="mt-4"><Questionnaires {desk} /></div>
    </div>
    <div>
        {#if open.length > 0}<div class="mb-4">
                <RedFlagActions {patient} flags={open} exercises={desk.shown.exercises} />
            </div>{/if}
        <Wide label="What is measured"
            ><table class="w-full text-[0.95rem]">
                <thead class="text-left text-[0.8125rem] text-muted"
                    ><tr
                        ><th scope="col" class="font-normal">Measure</th><th scope="col" class="font-normal">today</th
                        ><th scope="col" class="font-normal">last</th><th scope="col" class="font-normal">first</th></tr
                    ></thead
                >
                <tbody>
                    {#each desk.shown.measures as each (each.key)}
                        <tr class="border-t border-rule align-top {each.key === chosen ? 'bg-card' : ''}">
                            <th scope="row" class="py-1.5 pr-3 text-left font-serif font-semibold"
                                >{each.label}{#if each.how === 'rating'}<span class="visually-hidden">, 0 to 10</span
                                    >{/if}</th
                            >
                            <td class="py-1.5 pr-3">
                                {#if isInstrument(each)}
                                    <button
                                        type="button"
                                        class="linklike"
                                        aria-pressed={each.key === chosen}
                                        onclick={() => {
                                            chosen = each.key;
                                        }}>take it<span class="visually-hidden"> {each.label}</span></button
                                    >
                                {:else}
                                    <span class="whitespace-nowrap"
                                        ><input
                                            class="slot small"
                                            aria-label="{each.label}, {each.unit}"
                                            inputmode="decimal"
                                            placeholder={each.unit}
                                            size="6"
                                            value={desk.of(each.key, 'value')}
                                            oninput={(event) => desk.put(each.key, 'value', event.currentTarget.value)}
                                            onkeydown={(event) => onkey(event, each)}
                                        />
                                        {#if desk.of(each.key, 'value') !== ''}<button
                                                type="button"
                                                class="linklike"
                                                onclick={() => desk.keep(each, { value: desk.of(each.key, 'value') })}
                                                >keep<span class="visually-hidden"> {each.label}</span></button
                                            >{/if}</span
                                    >
                                    <KeepProblem {desk} measure={each} />
                                {/if}
                            </td>
                            <td class="py-1.5 pr-3">{@render value(each.last, each.unit)}</td>
                            <td class="py-1.5"
                                >{@render value(each.first, each.unit)}{#if !each.comparable}<span
                                        class="block text-[0.8125rem] font-semibold text-ochre">other conditions</span
                                    >{/if}</td
                            >
                        </tr>
                    {/each}
                </tbody>
            </table></Wide
        >
        <Choices {desk} />
    </div>
</div>

<style>
    input::placeholder {
        color: var(--muted);
        font-weight: 400;
        font-size: 0.8125rem;
    }
</style>
