<script lang="ts">
    import type { DayAxis } from '../../lib/axis';
    import { feltInWords } from '../../lib/courseDay';
    import { percent } from '../../shared/format';
    import type { CourseFelt } from '../../types/course';

    /** How much of what was led was breathed, where a device measured it; below the dashes it keeps the step. */
    let { felt, axis, left, width }: { felt: CourseFelt[]; axis: DayAxis; left: number; width: number } = $props();

    const HEIGHT = 54;
    /** Room for the last value, above its mark. */
    const TOP = 16;
    const LEAST = 0.6;
    const y = (share: number): number => TOP + (1 - share) * (HEIGHT - TOP - 4);
    const points = $derived(felt.map((each) => ({ ...each, x: axis.x(each.day) - left + axis.dayWidth / 2 })));
    const last = $derived(points.at(-1));
</script>

<svg
    class="overflow-visible"
    {width}
    height={HEIGHT}
    role="img"
    aria-label={felt.map((each) => `${each.day}: ${feltInWords(each)}`).join('; ')}
>
    <path d="M0 {y(LEAST)}H{width}" stroke="var(--muted)" stroke-dasharray="2 5" />
    {#each points as point (point.day)}
        <path
            d="M{point.x} {y(0)}V{y(point.share)}"
            stroke={point.share < LEAST ? 'var(--clay)' : 'var(--ink)'}
            stroke-width="1.5"
        />
        <path
            d="M{point.x - 4} {y(point.share)}h8"
            stroke={point.share < LEAST ? 'var(--clay)' : 'var(--ink)'}
            stroke-width="3"
        />
    {/each}
    {#if last}<text
            x={Math.min(last.x + 6, width)}
            y={y(last.share) - 6}
            font-size="12.5"
            fill="var(--ink)"
            text-anchor="end">{percent(last.share)}</text
        >{/if}
</svg>
