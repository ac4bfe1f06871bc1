<script lang="ts">
    import { short } from '../../shared/format';
    import type { PaceLine } from '../../types/signals';

    /** How far the heart swung at each pace: the middle, and the span that is as good as sure. */
    let { paces }: { paces: PaceLine[] } = $props();

    const WIDTH = 420;
    const ROW = 22;
    const LEFT = 64;
    const most = $derived(Math.max(1, ...paces.map((each) => each.to)));
    const x = (value: number): number => LEFT + (Math.max(0, value) / most) * (WIDTH - LEFT - 44);
    const best = $derived(Math.max(...paces.map((each) => each.swing)));
</script>

<svg
    class="mt-1 block max-w-full"
    width={WIDTH}
    viewBox="0 0 {WIDTH} {paces.length * ROW + 4}"
    role="img"
    aria-label={paces
        .map((each) => `${each.pace} a minute: ${short(each.swing, 1)}, ${short(each.from, 1)} to ${short(each.to, 1)}`)
        .join('; ')}
>
    {#each paces as each, n (each.pace)}
        {@const y = n * ROW + 12}
        <text x="0" y={y + 4} font-size="13" fill="var(--ink)" font-weight={each.swing === best ? 700 : 400}
            >{each.pace} a min</text
        >
        <path d="M{x(each.from)} {y}H{x(each.to)}" stroke="var(--ink)" stroke-width="1.5" />
        <path d="M{x(each.from)} {y - 4}v8M{x(each.to)} {y - 4}v8" stroke="var(--ink)" stroke-width="1.5" />
        <path d="M{x(each.swing)} {y - 7}v14" stroke="var(--reed)" stroke-width="4" />
        <text x={x(each.to) + 8} y={y + 4} font-size="13" fill="var(--ink)">{short(each.swing, 1)}</text>
    {/each}
</svg>
<p class="text-[0.875rem] text-muted">
    By how many beats a minute the heart rate swings with each breath: the middle, and how sure it is.
</p>
