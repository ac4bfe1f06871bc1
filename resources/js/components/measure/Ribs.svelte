<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import type { MeasureView, Reading } from '../../types/measure';
    import type { Desk } from './desk.svelte';

    let { desk, measure, onkeep }: { desk: Desk; measure: MeasureView; onkeep: (reading: Reading) => void } = $props();

    const TRIES = [0, 1, 2];
    const LEVELS = ['lower ribs', 'breastbone', 'armpits'] as const;
    const pairs = $derived(TRIES.map((at) => [desk.of(measure.key, `out${at}`), desk.of(measure.key, `in${at}`)]));
    const isTyped = $derived(pairs.some(([out, inn]) => out !== '' && inn !== ''));
</script>

<p class="text-muted">
    A tape round the
    <select
        class="slot small"
        aria-label="Where the tape lies"
        value={desk.of(measure.key, 'level') || LEVELS[0]}
        onchange={(event) => desk.put(measure.key, 'level', event.currentTarget.value)}
        >{#each LEVELS as level (level)}<option value={level}>{level}</option>{/each}</select
    >. Read it at the end of a quiet exhale and of a full, unforced inhale.
</p>
<table class="mt-2">
    <thead class="text-[0.8125rem] text-muted"
        ><tr
            ><th scope="col"><span class="visually-hidden">Try</span></th><th scope="col" class="px-3 font-normal"
                >end of exhale, cm</th
            ><th scope="col" class="px-3 font-normal">end of inhale, cm</th></tr
        ></thead
    >
    <tbody
        >{#each TRIES as at (at)}<tr
                ><th scope="row" class="pr-3 font-normal text-muted">{at + 1}</th>
                {#each [['out', 'end of exhale'], ['in', 'end of inhale']] as const as [field, label] (field)}<td
                        class="px-3 text-center"
                        ><input
                            class="slot"
                            aria-label="Try {at + 1}, {label}, cm"
                            inputmode="decimal"
                            value={desk.of(measure.key, `${field}${at}`)}
                            oninput={(event) => desk.put(measure.key, `${field}${at}`, event.currentTarget.value)}
                        /></td
                    >{/each}</tr
            >{/each}</tbody
    >
</table>
<Button
    size="sm"
    class="mt-3"
    disabled={!isTyped}
    onclick={() => onkeep({ pairs, level: desk.of(measure.key, 'level') || LEVELS[0] })}>Keep the rib expansion</Button
>
