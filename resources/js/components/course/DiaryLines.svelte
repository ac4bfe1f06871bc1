<script lang="ts">
    import { type DayAxis, unbroken } from '../../lib/axis';
    import type { CourseProgramme } from '../../types/course';

    /** What the diary says, 0 to 10: each line with a dash of its own, the goal as a band. */
    let {
        programme,
        axis,
        left,
        width,
        height = 108,
    }: { programme: CourseProgramme; axis: DayAxis; left: number; width: number; height?: number } = $props();

    const DASHES = ['', '5 3', '1.5 3', '9 3 2 3', '2 2', '12 4'];
    const INKS = ['var(--ink)', 'var(--heather)', 'var(--ochre)', 'var(--reed)', 'var(--clay)', 'var(--moss)'];
    /** Where nothing was written for longer than this, the line breaks off. */
    const GAP_DAYS = 7;
    const y = (value: number): number => height - 9 - (value / 10) * (height - 18);
    const middle = (day: string): number => axis.x(day) - left + axis.dayWidth / 2;
    const goal = $derived(
        programme.goal &&
            programme.goal.target <= 10 &&
            programme.diary.some((line) => line.name.toLowerCase() === programme.goal?.measure.toLowerCase())
            ? programme.goal
            : null,
    );
    const ends = $derived.by(() => {
        // The names stand at the right end, apart from each other.
        const at = programme.diary
            .map((line, index) => ({ index, y: y(line.days.at(-1)?.[1] ?? 0) }))
            .sort((a, b) => a.y - b.y);
        for (let index = 1; index < at.length; index++) {
            const above = at[index - 1];
            const here = at[index];
            if (above && here) here.y = Math.max(here.y, above.y + 13);
        }
        return new Map(at.map((each) => [each.index, each.y]));
    });
</script>

<svg
    class="overflow-visible"
    {width}
    {height}
    role="img"
    aria-label="Diary, 0 to 10: {programme.diary
        .map(
            (line) =>
                `${line.name}, ${line.days.length} days, ${line.days[0]?.[1]} at first, ${line.days.at(-1)?.[1]} last`,
        )
        .join('; ')}"
>
    {#if goal}
        {@const from = goal.at_most ? y(goal.target) : y(10)}{@const to = goal.at_most ? y(0) : y(goal.target)}
        <rect x="0" y={from} {width} height={to - from} fill="var(--moss)" fill-opacity="0.1" />
        <text x="6" y={to - 4} font-size="11.5" fill="var(--moss)"
            >goal: {goal.measure} {goal.target} or {goal.at_most ? 'less' : 'more'}</text
        >
    {/if}
    {#each [0, 5, 10] as level (level)}<path d="M0 {y(level)}H{width}" stroke="var(--rule)" /><text
            x="-6"
            y={y(level) + 4}
            font-size="11"
            text-anchor="end"
            fill="var(--muted)">{level}</text
        >{/each}
    {#each programme.diary as line, index (index)}
        {#each unbroken(line.days, GAP_DAYS) as part (part[0]?.[0])}
            <polyline
                points={part.map(([day, value]) => `${middle(day)},${y(value)}`).join(' ')}
                fill="none"
                stroke={INKS[index % INKS.length]}
                stroke-width="1.7"
                stroke-dasharray={DASHES[index % DASHES.length]}
            />
            {#if part.length === 1}{#each part as [day, value] (day)}<circle
                        cx={middle(day)}
                        cy={y(value)}
                        r="2.5"
                        fill={INKS[index % INKS.length]}
                    />{/each}{/if}
        {/each}
    {/each}
    {#each programme.diary as line, index (index)}
        {@const end = line.days.at(-1)}
        {#if end}<text
                x={Math.min(middle(end[0]) + 6, width - 4)}
                y={(ends.get(index) ?? 0) + 4}
                font-size="12"
                font-weight="600"
                text-anchor={middle(end[0]) + 80 > width ? 'end' : 'start'}
                fill={INKS[index % INKS.length]}
                stroke="var(--paper)"
                stroke-width="3"
                paint-order="stroke">{line.name}</text
            >{/if}
    {/each}
</svg>
