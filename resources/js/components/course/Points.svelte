<script lang="ts">
    import type { DayAxis } from '../../lib/axis';

    /** Single values at their days, in words: one that would stand on the one before it moves down. */
    interface Point {
        day: string;
        text: string;
        mark: 'session' | 'value';
    }
    let { points, axis, left, width }: { points: Point[]; axis: DayAxis; left: number; width: number } = $props();

    const GLYPH = 6.6;
    const ROW = 17;
    const placed = $derived.by(() => {
        const ends: number[] = [];
        return points.map((point) => {
            const middle = axis.x(point.day) - left + axis.dayWidth / 2;
            const long = 14 + point.text.length * GLYPH;
            // Near the edge the words stand before the mark.
            const isBefore = middle + long > width;
            const start = isBefore ? middle - long : middle;
            let row = ends.findIndex((end) => end <= start);
            if (row < 0) row = ends.length;
            ends[row] = isBefore ? middle + 8 : middle + long;
            return { ...point, x: middle, y: row * ROW + 12, isBefore };
        });
    });
    const height = $derived(Math.max(ROW + 3, ...placed.map((point) => point.y + 8)));
</script>

<svg
    class="overflow-visible"
    {width}
    {height}
    role="img"
    aria-label={points.map((point) => `${point.day}: ${point.text}`).join('; ')}
>
    {#each placed as point, index (index)}
        {#if point.mark === 'session'}<path
                d="M{point.x} {point.y - 9}l5 5l-5 5l-5 -5z"
                fill="var(--ink)"
            />{:else}<circle cx={point.x} cy={point.y - 4} r="3" fill="var(--ink)" />{/if}
        <text
            x={point.isBefore ? point.x - 9 : point.x + 9}
            y={point.y}
            font-size="12.5"
            fill="var(--ink)"
            stroke="var(--paper)"
            stroke-width="3"
            paint-order="stroke"
            text-anchor={point.isBefore ? 'end' : 'start'}>{point.text}</text
        >
    {/each}
</svg>
