<script lang="ts">
    import type { DayAxis } from '../../lib/axis';
    import { percent } from '../../shared/format';
    import type { CourseExercise } from '../../types/course';

    /** Over a long time: each week as far as it was practised, of what was due; a wedge where something was stopped. */
    let {
        exercise,
        axis,
        left,
        width,
        height = 22,
    }: { exercise: CourseExercise; axis: DayAxis; left: number; width: number; height?: number } = $props();

    const bars = $derived(
        exercise.weeks
            .filter((week) => week.due > 0)
            .map((week) => ({
                ...week,
                x: axis.x(week.date) - left + 1,
                high: (height - 4) * (week.credit / week.due),
            })),
    );
    const wide = $derived(Math.max(2, 7 * axis.dayWidth - 3));
</script>

<svg
    {width}
    {height}
    role="img"
    aria-label="{exercise.name}, week by week: {bars.map((week) => percent(week.credit / week.due)).join(', ') ||
        'nothing due'}"
>
    {#each bars as week (week.date)}
        <path d="M{week.x} {height - 0.5}h{wide}" stroke="var(--rule)" />
        <rect
            x={week.x}
            y={height - 1 - week.high}
            width={wide}
            height={week.high}
            fill="var(--ink)"
            fill-opacity="0.78"
        />
        {#if week.stops > 0}<path d="M{week.x + wide / 2 - 4} 0h8l-4 7z" fill="var(--clay)" />{/if}
    {/each}
</svg>
