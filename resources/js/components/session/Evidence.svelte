<script lang="ts">
    import type { EvidenceLine } from '../../types/session';

    let { lines }: { lines: EvidenceLine[] } = $props();
</script>

<ul>
    {#each lines as line, index (index)}<li class="grid grid-cols-[5rem_1fr] items-baseline gap-3 py-0.5">
            <strong class="text-right">{line.number}</strong><span>{line.text}</span>
        </li>{/each}
</ul>
