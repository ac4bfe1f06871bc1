<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { short } from '../../shared/format';
    import type { MeasureView, Reading } from '../../types/measure';
    import type { Desk } from './desk.svelte';
    import HoldToMeasure from './HoldToMeasure.svelte';

    let { desk, measure, onkeep }: { desk: Desk; measure: MeasureView; onkeep: (reading: Reading) => void } = $props();

    const AT = ['0', '1', '2'] as const;
    const tries = $derived(
        AT.map((at) => desk.of(measure.key, at))
            .filter((each) => each !== '' && Number.isFinite(Number(each.replace(',', '.'))))
            .map((each) => Number(each.replace(',', '.'))),
    );

    /** A held try goes into the first free place; a fourth pushes the shortest out. */
    function held(seconds: number): void {
        const free = AT.find((at) => desk.of(measure.key, at) === '');
        if (free !== undefined) {
            desk.put(measure.key, free, String(seconds));
            return;
        }
        const best = [...AT.map((at) => Number(desk.of(measure.key, at))), seconds].sort((a, b) => b - a);
        for (const [index, at] of AT.entries()) desk.put(measure.key, at, String(best[index] ?? ''));
    }
</script>

<p class="text-muted">Comfortable, never a maximum: let go at the first urge. Three tries; the best counts.</p>
<div class="my-3"><HoldToMeasure label={measure.label} onmeasured={held} /></div>
<p class="flex items-baseline gap-2">
    {#each AT as at, index (at)}<input
            class="slot"
            aria-label="{measure.label}, try {index + 1}, s"
            inputmode="decimal"
            value={desk.of(measure.key, at)}
            oninput={(event) => desk.put(measure.key, at, event.currentTarget.value)}
        />{/each} s
    {#if tries.length > 0}<span class="text-muted" role="status"
            >best {short(Math.max(...tries), 1)} s, spread {short(Math.max(...tries) - Math.min(...tries), 1)} s</span
        >{/if}
</p>
<Button
    size="sm"
    class="mt-3"
    disabled={tries.length === 0}
    onclick={() => onkeep({ tries: AT.map((at) => desk.of(measure.key, at)) })}>Keep {measure.label}</Button
>
