<script lang="ts">
    import type { Signals } from './signals.svelte';

    /** Whether the patient agrees that traces stay, and a recording from a file. */
    let { signals, agreement }: { signals: Signals; agreement: string } = $props();

    let input: HTMLInputElement | undefined = $state();

    async function read(): Promise<void> {
        const file = input?.files?.[0];
        if (file) await signals.read(file);
        if (input) input.value = '';
    }
</script>

<section class="mt-5 text-[0.95rem]" aria-label="Traces">
    <h2 class="text-[1.05rem]">May traces stay?</h2>
    <p class="text-muted">“{agreement}”</p>
    <p class="mt-1 flex flex-wrap gap-x-4">
        <span class="font-semibold"
            >{signals.shown.agreed === null
                ? 'Nobody has asked yet: they go when they are read.'
                : signals.shown.agreed
                  ? 'The patient agrees: they stay for 90 days.'
                  : 'The patient does not agree: they go when they are read.'}</span
        >
        {#if signals.shown.agreed !== true}<button type="button" class="linklike" onclick={() => signals.agree(true)}
                >The patient agrees</button
            >{/if}
        {#if signals.shown.agreed !== false}<button type="button" class="linklike" onclick={() => signals.agree(false)}
                >The patient does not agree</button
            >{/if}
    </p>
    <p class="mt-3">
        <label for="trace-file">A trace from a file (EDF, EDF+, CSV)</label>
        <input id="trace-file" type="file" accept=".edf,.csv" class="slot w-full" bind:this={input} onchange={read} />
    </p>
</section>
