<script lang="ts">
    /** A symptom over a few days, 0 at the foot and 10 at the head. Days without a rating break the line. */
    let {
        name,
        days,
        width = 92,
        height = 26,
    }: { name: string; days: (number | null)[]; width?: number; height?: number } = $props();

    const x = (index: number): number => 3 + (index * (width - 6)) / Math.max(1, days.length - 1);
    const y = (value: number): number => height - 3 - (value * (height - 6)) / 10;
    const runs = $derived.by(() => {
        const all: { x: number; y: number }[][] = [];
        let run: { x: number; y: number }[] = [];
        days.forEach((value, index) => {
            if (value !== null) run.push({ x: x(index), y: y(value) });
            else if (run.length > 0) {
                all.push(run);
                run = [];
            }
        });
        return run.length > 0 ? [...all, run] : all;
    });
    const rated = $derived(days.filter((value) => value !== null));
    const words = $derived(`${name}: ${rated.at(0)} at first, ${rated.at(-1)} last, of ${rated.length} rated days`);
</script>

<svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label={words}>
    <title>{words}</title>
    <line x1="0" x2={width} y1={height - 0.5} y2={height - 0.5} class="stroke-rule" />
    {#each runs as run, index (index)}
        {#if run.length > 1}<polyline
                points={run.map((point) => `${point.x},${point.y}`).join(' ')}
                class="fill-none stroke-ink"
                stroke-width="1.3"
            />{/if}
        {#each run as point (point.x)}<circle
                cx={point.x}
                cy={point.y}
                r={run.length === 1 ? 1.8 : 1.1}
                class="fill-ink"
            />{/each}
    {/each}
</svg>
