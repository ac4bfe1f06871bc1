<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import type { Appointments } from '../../types/pages';

    /** Today's appointments on a ruler of the day; those that would stand on each other move a row down. */
    let { appointments, me, whose }: { appointments: Appointments; me: number; whose: 'mine' | 'clinic' } = $props();

    const WIDTH = 1208;
    const BOX = 134;
    const ROW = 46;
    const all = $derived(appointments.all.filter((each) => whose === 'clinic' || each.practitioner === me));
    const from = $derived(Math.min(8, ...all.map((each) => Math.floor(each.minute / 60))));
    const to = $derived(Math.max(17, ...all.map((each) => Math.ceil((each.minute + 60) / 60))));
    const x = (minute: number): number => ((minute - from * 60) / ((to - from) * 60)) * WIDTH;
    const placed = $derived.by(() => {
        const ends: number[] = [];
        return all.map((each) => {
            const left = Math.min(x(each.minute), WIDTH - BOX);
            let row = ends.findIndex((end) => end <= left);
            if (row < 0) row = ends.length;
            ends[row] = left + BOX + 6;
            return { ...each, left, row };
        });
    });
    const rows = $derived(Math.max(1, ...placed.map((each) => each.row + 1)));

    const BOX_STYLE = 'block overflow-hidden border border-ink bg-card px-2 py-0.5 leading-tight whitespace-nowrap';
</script>

{#if all.length > 0}
    <section class="strip" aria-label="Today’s appointments" style:height="{rows * ROW + 28}px">
        <ul>
            {#each placed as each (`${each.patient}${each.minute}`)}
                <li style:left="{each.left}px" style:bottom="{28 + each.row * ROW}px" style:width="{BOX}px">
                    <Link href="/patients/{each.patient}" class={BOX_STYLE}
                        ><strong class="block truncate font-serif text-[0.95rem]">{each.name}</strong><span
                            class="text-[0.8125rem] text-muted"
                            >{each.at}{each.practitioner === me ? '' : `, ${each.with.split(' ')[0]}`}</span
                        ></Link
                    >
                </li>
            {/each}
        </ul>
        <svg width={WIDTH} height="26" aria-hidden="true">
            <path d="M0 0.5H{WIDTH}" stroke="var(--ink)" />
            {#each Array.from({ length: (to - from) * 4 + 1 }).keys() as quarter (quarter)}<path
                    d="M{Math.min(WIDTH - 0.5, x(from * 60 + quarter * 15) + 0.5)} 0v{quarter % 4 === 0 ? 10 : 5}"
                    stroke="var(--ink)"
                />{/each}
            {#each Array.from({ length: to - from }).keys() as hour (hour)}<text
                    x={x((from + hour) * 60) + 4}
                    y="20"
                    font-size="12"
                    fill="var(--muted)">{from + hour}</text
                >{/each}
        </svg>
        {#if appointments.now > from * 60 && appointments.now < to * 60}<svg
                class="now"
                style:left="{x(appointments.now)}px"
                width="2"
                height={rows * ROW + 14}
                aria-hidden="true"><path d="M1 0v999" stroke="var(--clay)" stroke-width="1.5" /></svg
            >{/if}
    </section>
{/if}

<style>
    .strip {
        position: relative;
        overflow-x: auto;
        overflow-y: hidden;
        margin-top: 0.75rem;
    }
    .strip > svg:not(.now) {
        position: absolute;
        left: 0;
        bottom: 0;
    }
    .now {
        position: absolute;
        bottom: 14px;
    }
    li {
        position: absolute;
    }
</style>
