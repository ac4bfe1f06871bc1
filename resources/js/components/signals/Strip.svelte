<script lang="ts">
    import { SHOWN_S } from './live.svelte';
    import { led, line, type Landscape } from './strip';

    /** What the belts measure, as it comes, over the breaths that are led. The newest is at the right. */
    interface Props {
        belly: readonly [number, number][];
        chest: readonly [number, number][];
        breaths: readonly Landscape[];
        /** s */
        at: number;
        /** s, when a breath was breathed to compare the belts by */
        calibration: number | null;
    }
    let { belly, chest, breaths, at, calibration }: Props = $props();

    const WIDTH = 640;
    const HEIGHT = 120;
    /** Some room for the breath that is being led. */
    const AHEAD_S = 4;
    const of = $derived({ from: at + AHEAD_S - SHOWN_S, seconds: SHOWN_S, width: WIDTH, height: HEIGHT });
    const place = (second: number): number => ((second - of.from) / of.seconds) * WIDTH;
    const ticks = $derived(
        Array.from({ length: Math.ceil(SHOWN_S / 5) + 1 }, (_, n) => Math.ceil(of.from / 5) * 5 + n * 5).filter(
            (second) => second >= 0 && place(second) >= 0 && place(second) <= WIDTH - 12,
        ),
    );
</script>

<svg
    class="block w-full"
    viewBox="0 -20 {WIDTH} {HEIGHT + 44}"
    role="img"
    aria-label="The last half minute: {belly.length > 1 ? 'belly' : ''}{belly.length > 1 && chest.length > 1
        ? ' and '
        : ''}{chest.length > 1 ? 'chest' : ''}{belly.length < 2 && chest.length < 2 ? 'nothing yet' : ''}"
>
    <path d={led(breaths, of)} fill="var(--rule)" fill-opacity=".55" stroke="var(--muted)" stroke-dasharray="2 4" />
    <path d="M{place(at)} -4V{HEIGHT}" stroke="var(--muted)" stroke-dasharray="1 4" />
    {#if calibration !== null && place(calibration) > 0}<path
            d="M{place(calibration)} -19V{HEIGHT}"
            stroke="var(--ochre)"
            stroke-width="2"
        /><text x={place(calibration) + 4} y="-9" font-size="12" fill="var(--ochre)">to compare by</text>{/if}
    <path d={line(belly, of)} fill="none" stroke="var(--ink)" stroke-width="2" stroke-linejoin="round" />
    <path
        d={line(chest, of)}
        fill="none"
        stroke="var(--heather)"
        stroke-width="2"
        stroke-dasharray="6 3"
        stroke-linejoin="round"
    />
    <path d="M0 {HEIGHT + 4}H{WIDTH}" stroke="var(--ink)" />
    {#each ticks as second (second)}<path d="M{place(second)} {HEIGHT + 4}v5" stroke="var(--ink)" /><text
            x={place(second)}
            y={HEIGHT + 21}
            font-size="12"
            text-anchor="middle"
            fill="var(--muted)">{second}</text
        >{/each}
</svg>
<p class="flex gap-5 text-[0.875rem] text-muted">
    {#if belly.length > 1}<span><span class="key belly" aria-hidden="true"></span>belly</span>{/if}
    {#if chest.length > 1}<span><span class="key chest" aria-hidden="true"></span>chest</span>{/if}
    {#if breaths.length > 0}<span><span class="key led" aria-hidden="true"></span>what is led</span>{/if}
    <span class="ml-auto">s since the start; each belt over its own range</span>
</p>

<style>
    .key {
        display: inline-block;
        width: 1.6rem;
        margin-right: 0.4rem;
        vertical-align: middle;
        border-top: 2px solid var(--ink);
    }
    .chest {
        border-top: 2px dashed var(--heather);
    }
    .led {
        height: 0.7rem;
        border: 1px dashed var(--muted);
        background: var(--rule);
    }
</style>
