<script lang="ts">
    import type { DayAxis } from '../../lib/axis';
    import type { CourseProgramme } from '../../types/course';

    /** The rated symptom before and after each practice, or the medians of each week. */
    let {
        programme,
        axis,
        left,
        width,
        height = 84,
    }: { programme: CourseProgramme; axis: DayAxis; left: number; width: number; height?: number } = $props();

    const y = (value: number): number => height - 8 - (value / 10) * (height - 16);
    const marks = $derived.by(() => {
        const perDay: Record<string, number> = {};
        const unit = axis.dayWidth * (programme.by_week ? 7 : 1);
        return programme.ratings.map((rating) => {
            const nth = (perDay[rating.day] = (perDay[rating.day] ?? 0) + 1);
            return { ...rating, x: axis.x(rating.day) - left + Math.min(unit * 0.92, nth * Math.min(6, unit / 4)) };
        });
    });
</script>

<svg
    class="overflow-visible"
    {width}
    {height}
    role="img"
    aria-label="{programme.symptom}, 0 to 10, before and after {programme.by_week
        ? 'practice, week by week'
        : `${marks.length} practices`}."
>
    {#each [0, 5, 10] as level (level)}<path d="M0 {y(level)}H{width}" stroke="var(--rule)" /><text
            x="-6"
            y={y(level) + 4}
            font-size="11"
            text-anchor="end"
            fill="var(--muted)">{level}</text
        >{/each}
    {#each marks as mark, index (index)}
        {#if mark.before !== null && mark.after !== null}<path
                d="M{mark.x} {y(mark.before)}V{y(mark.after)}"
                stroke="var(--ink)"
                stroke-width="1.1"
            />{/if}
        {#if mark.before !== null}<circle
                cx={mark.x}
                cy={y(mark.before)}
                r="2.3"
                fill="var(--paper)"
                stroke="var(--ink)"
            />{/if}
        {#if mark.after !== null}<circle cx={mark.x} cy={y(mark.after)} r="2.3" fill="var(--heather)" />{/if}
    {/each}
</svg>
