<script lang="ts">
    import type { MeasureView } from '../../types/measure';
    import type { Desk } from './desk.svelte';

    /** Why a value was not kept, and what has to be said before it is. */
    let {
        desk,
        measure,
        onkept = () => undefined,
    }: { desk: Desk; measure: MeasureView; onkept?: () => void } = $props();

    const error = $derived(desk.errors[measure.key]);

    async function keep(reading: Record<string, unknown>): Promise<void> {
        if (await desk.keep(measure, reading, true)) onkept();
    }
</script>

{#if error?.text}<p role="alert" class="max-w-[24rem] font-semibold text-clay">
        {error.text}
        {#if error.asks}{@const reading = error.asks}<button
                type="button"
                class="linklike"
                onclick={() => keep(reading)}>Yes, keep it</button
            >{/if}
    </p>{/if}
{#if error?.explains}{@const reading = error.explains}
    <span class="block max-w-[24rem]"
        ><input
            class="slot !w-full !text-left"
            aria-label="What explains it: {measure.label}"
            value={desk.of(measure.key, 'explanation')}
            oninput={(event) => desk.put(measure.key, 'explanation', event.currentTarget.value)}
        />
        <button type="button" class="linklike" onclick={() => keep(reading)}>keep it with this</button></span
    >
{/if}
