<script lang="ts">
    import type { LiftedPause } from '../types/pages';

    /** What was paused, and what was found before it went on. */
    let { pauses }: { pauses: LiftedPause[] } = $props();
</script>

<ul>
    {#each pauses as pause, index (index)}<li class="border-t border-rule py-1.5 text-[0.925rem]">
            <strong>{pause.found}</strong>
            <span class="text-muted">{pause.by}, {pause.to}</span>
            <span class="block text-muted">{pause.text} Since {pause.from}.</span>
        </li>{/each}
</ul>
