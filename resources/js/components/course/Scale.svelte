<script lang="ts">
    import type { DayAxis } from '../../lib/axis';
    import { plusDays } from '../../lib/axis';
    import { dayMonth } from '../../shared/format';

    let { axis, from, left, edge }: { axis: DayAxis; from: string; left: number; edge: number } = $props();

    /** So much room a label needs. */
    const LABEL = 92;
    const weeks = $derived(
        Array.from({ length: Math.ceil(axis.days / 7) }, (_, week) => ({
            number: week + 1,
            x: left + week * 7 * axis.dayWidth,
            date: plusDays(from, week * 7),
        })),
    );
    const every = $derived(Math.max(1, Math.ceil(LABEL / (7 * axis.dayWidth))));
    const labelled = $derived(
        weeks.filter(
            (week) => (week.number - 1) % every === 0 && week.x + (7 * axis.dayWidth < LABEL ? 50 : LABEL + 8) < edge,
        ),
    );
    const ticks = $derived(
        axis.days > 120
            ? weeks.map((week) => ({ x: week.x, long: true }))
            : Array.from({ length: axis.days + 1 }, (_, day) => ({
                  x: left + day * axis.dayWidth,
                  long: day % 7 === 0,
              })),
    );
</script>

<svg width={edge} height="30" aria-hidden="true">
    {#each labelled as week (week.number)}<text x={week.x + 4} y="13" font-size="13" fill="var(--muted)"
            >{7 * axis.dayWidth < LABEL ? dayMonth(week.date) : `week ${week.number} · ${dayMonth(week.date)}`}</text
        >{/each}
    <path d="M{left} 20H{edge}" stroke="var(--ink)" />
    {#each ticks as tick, index (index)}<path d="M{tick.x} 20v{tick.long ? 9 : 4}" stroke="var(--ink)" />{/each}
</svg>
