<script lang="ts">
    import { asRows } from '../../lib/told';
    import type { ItemAnswer } from '../../types/pages';
    import ToldRows from '../ToldRows.svelte';

    let { mine }: { mine: ItemAnswer } = $props();

    const rows = $derived([
        ...asRows(mine.told),
        ...mine.taught.map((text, index) => ({ label: `Before exercise ${index + 1}`, texts: [text] })),
        { label: 'Heard first', texts: [`“${mine.heard}”`] },
    ]);
</script>

<section aria-label="As the patient reads it">
    <h2 class="text-[1.15rem]">As the patient reads it</h2>
    {#if mine.told.length > 0}
        <ToldRows {rows} scrolls />
        <p class="mt-1 text-[0.8125rem] text-muted">Word for word what stands on the phone and on the sheet.</p>
    {:else}<p class="text-[0.9rem] text-muted">As soon as it can be read.</p>{/if}
</section>
