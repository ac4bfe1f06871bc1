<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Textarea } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import { keeping } from '../lib/keeping';
    import type { PatientHead } from '../types/pages';
    import type { PausedExercise, RedFlagAnswer } from '../types/screening';
    import Field from './Field.svelte';

    /** What was done about a red flag, and whether practice may go on: what waits stays paused. */
    let { patient, flag, exercises }: { patient: PatientHead; flag: RedFlagAnswer; exercises: PausedExercise[] } =
        $props();

    const form = useForm(untrack(() => ({ line: '', outcome: '', lineages: exercises.map((each) => each.lineage) })));
    const kept = keeping(untrack(() => `/patients/${patient.id}/red-flags/${flag.id}`));
    onMount(() => {
        form.line = kept.read<string>() ?? '';
    });
    $effect(() => kept.write(form.line));

    const goesOn = $derived(form.outcome === 'may-go-on');
    const isAll = $derived(form.lineages.length === exercises.length);

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.transform((data) => ({
            line: data.line,
            outcome: data.outcome,
            ...(goesOn && flag.pauses && !isAll ? { lineages: data.lineages } : {}),
        }));
        form.post(`/patients/${patient.id}/red-flags/${flag.id}/actions`, {
            preserveScroll: true,
            onSuccess: () => {
                form.reset();
                kept.forget();
            },
        });
    }
</script>

<form onsubmit={submit} class="mt-2 flex flex-col items-start gap-2.5" novalidate>
    <div class="w-full">
        <Field id="action-{flag.id}" label="What was done about it" error={form.errors.line}>
            {#snippet children(attributes)}<Textarea
                    rows={2}
                    class="w-full"
                    bind:value={form.line}
                    {...attributes}
                />{/snippet}
        </Field>
    </div>
    <fieldset class="text-[0.925rem]" aria-describedby={form.errors.outcome ? `outcome-${flag.id}-error` : undefined}>
        <legend class="font-semibold">{flag.pauses ? 'And practice' : 'And a programme'}</legend>
        <label class="mr-5 inline-flex items-center gap-1.5"
            ><input
                type="radio"
                name="outcome-{flag.id}"
                class="border-gray-300 text-primary-700"
                value="waiting"
                bind:group={form.outcome}
            />waits, for example for an answer from hospital</label
        >
        <label class="inline-flex items-center gap-1.5"
            ><input
                type="radio"
                name="outcome-{flag.id}"
                class="border-gray-300 text-primary-700"
                value="may-go-on"
                bind:group={form.outcome}
            />may go on</label
        >
        {#if form.errors.outcome}<p id="outcome-{flag.id}-error" class="font-semibold text-clay" role="alert">
                {form.errors.outcome}
            </p>{/if}
    </fieldset>
    {#if goesOn && flag.pauses && exercises.length > 1}
        <fieldset class="text-[0.925rem]">
            <legend class="font-semibold">Which of them</legend>
            {#each exercises as each (each.lineage)}<label class="mr-5 inline-flex items-center gap-1.5"
                    ><input
                        type="checkbox"
                        class="size-4 rounded-sm border-gray-300 text-primary-700"
                        value={each.lineage}
                        bind:group={form.lineages}
                    />{each.name}</label
                >{/each}
            {#if form.errors.lineages}<p class="font-semibold text-clay" role="alert">{form.errors.lineages}</p>
            {:else if !isAll}<p class="text-muted">
                    What is left out stays paused, to be looked at in the Course.
                </p>{/if}
        </fieldset>
    {/if}
    <Button type="submit" outline disabled={form.processing}>Record this action</Button>
</form>
