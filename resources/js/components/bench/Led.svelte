<script lang="ts">
    import type { BenchChoices, Choice, TechniqueChoice } from '../../types/pages';
    import type { Bench } from './bench.svelte';

    interface Props {
        bench: Bench;
        choices: BenchChoices;
        technique: TechniqueChoice;
    }

    let { bench, choices, technique }: Props = $props();

    const PHASES = [
        ['inhale', 'inhale'],
        ['hold', 'hold'],
        ['exhale', 'exhale'],
        ['rest', 'rest'],
    ] as const;
    const school = $derived(choices.schools.find((each) => each.value === bench.school));
    const changed = (): void => bench.typed();
</script>

{#snippet options(items: Choice[])}{#each items as item (item.value)}<option value={item.value}>{item.label}</option
        >{/each}{/snippet}

<div class="text-[0.925rem]">
    <div class="mt-1 leading-8">
        In the school of <select class="slot small" aria-label="School" bind:value={bench.school} onchange={changed}
            >{@render options(choices.schools)}</select
        >
        <button type="button" class="linklike" onclick={() => bench.takeDefaults(technique)}>take its defaults</button>;
        {#if technique.has_ratio}
            counted
            {#each PHASES as [phase, label] (phase)}
                <select
                    class="slot small"
                    aria-label="Counting of the {label}"
                    bind:value={bench.fields.counting[phase]}
                    onchange={changed}>{@render options(choices.countings)}</select
                >
                on the {label},
            {/each}
            <label class="whitespace-nowrap"
                ><input
                    type="checkbox"
                    class="mr-1 size-4 rounded-sm border-gray-300 text-primary-700 focus:ring-primary-500"
                    bind:checked={bench.fields.cue_word}
                    onchange={changed}
                />a word in place of “one”</label
            >;
        {/if}
        <select class="slot small" aria-label="Fading" bind:value={bench.fields.fade} onchange={changed}
            >{@render options(choices.fades)}</select
        >;
        {#if technique.has_ratio}
            the patient may go from <input
                class="slot small"
                aria-label="Fastest, times the length"
                inputmode="decimal"
                bind:value={bench.fields.fastest}
                oninput={changed}
            />
            to
            <input
                class="slot small"
                aria-label="Slowest, times the length"
                inputmode="decimal"
                bind:value={bench.fields.slowest}
                oninput={changed}
            /> times the length;
        {/if}
        {#if technique.starts.length > 1}
            it begins <select
                class="slot small"
                aria-label="It begins"
                bind:value={bench.fields.start}
                onchange={changed}>{@render options(technique.starts)}</select
            >;
        {/if}
        <input
            class="slot small"
            aria-label="Bells before it"
            inputmode="numeric"
            bind:value={bench.fields.bells_first}
            oninput={changed}
        />
        bells before it; it ends
        <select
            class="slot small"
            aria-label="It ends"
            bind:value={
                () => bench.fields.ending ?? '',
                (value) => {
                    bench.fields.ending = value === '' ? null : value;
                }
            }
            onchange={changed}>{@render options(choices.endings)}</select
        >,
        <input
            class="slot small"
            aria-label="Bells at the end"
            inputmode="numeric"
            bind:value={bench.fields.bells_last}
            oninput={changed}
        /> bells at the end.
    </div>
    {#if school}
        <p class="text-[0.8125rem] leading-snug text-muted">
            {school.label} assumes: {Object.entries(school.assumes)
                .map(([question, answer]) => `${question.toLowerCase()} ${answer}`)
                .join('; ')}.
        </p>
    {/if}
</div>
