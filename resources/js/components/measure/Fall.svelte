<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import type { MeasureView, Reading } from '../../types/measure';
    import type { Desk } from './desk.svelte';

    let { desk, measure, onkeep }: { desk: Desk; measure: MeasureView; onkeep: (reading: Reading) => void } = $props();

    const FIELDS = [
        ['from', 'Before the hold', '%'],
        ['lowest', 'Lowest', '%'],
        ['seconds', 'Low for', 's'],
    ] as const;
    const of = (field: string): string => desk.of(measure.key, field).trim();
    const isComplete = $derived(FIELDS.every(([field]) => of(field) !== ''));
</script>

<p class="text-muted">
    Watched on the finger during the retention or the longest hold of the exercise. It never counts as a value at rest.
</p>
<p class="mt-2 flex flex-wrap gap-x-5 gap-y-1">
    {#each FIELDS as [field, label, unit] (field)}<label
            >{label}
            <input
                class="slot small"
                inputmode="decimal"
                value={desk.of(measure.key, field)}
                oninput={(event) => desk.put(measure.key, field, event.currentTarget.value)}
            />
            {unit}</label
        >{/each}
</p>
<Button
    size="sm"
    class="mt-2"
    disabled={!isComplete}
    onclick={() => onkeep({ from: of('from'), lowest: of('lowest'), seconds: of('seconds') })}>Keep the fall</Button
>
