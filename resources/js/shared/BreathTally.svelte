<script lang="ts">
    /** Breaths of a set counted in fives: four strokes and one across. */
    interface Props {
        done: number;
        of: number;
        label: string;
    }

    let { done, of, label }: Props = $props();

    const HEIGHT = 30;
    const groups = $derived(Array.from({ length: Math.ceil(of / 5) }, (_, group) => Math.min(5, of - group * 5)));
    const perRow = 6;
    const rows = $derived(Math.ceil(groups.length / perRow));
    const width = $derived(Math.min(groups.length, perRow) * 58);
</script>

<svg
    class="tally"
    {width}
    height={rows * (HEIGHT + 8)}
    viewBox="0 0 {width} {rows * (HEIGHT + 8)}"
    role="img"
    aria-label={label}
    style:max-width="100%"
    style:min-width="0"
>
    {#each groups as strokes, group (group)}
        {@const x = (group % perRow) * 58}
        {@const y = Math.floor(group / perRow) * (HEIGHT + 8)}
        {#each Array.from({ length: Math.min(strokes, 4) }).keys() as n (n)}
            <line
                class={group * 5 + n < done ? '' : 'ahead'}
                x1={x + 5 + n * 11}
                y1={y + 2}
                x2={x + 3 + n * 11}
                y2={y + HEIGHT}
            />
        {/each}
        {#if strokes === 5}
            <line class={group * 5 + 4 < done ? '' : 'ahead'} x1={x} y1={y + HEIGHT - 5} x2={x + 45} y2={y + 6} />
        {/if}
    {/each}
</svg>
