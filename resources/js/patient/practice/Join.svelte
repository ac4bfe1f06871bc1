<script lang="ts">
    import { onMount } from 'svelte';
    import { t, tn } from '../words';

    /** The patient's own breath by taps; what is told is its length in seconds. */
    let { onready }: { onready: (seconds: number) => void } = $props();

    const LEAST = 4;
    /** Only the latest breaths count: people settle while they tap. */
    const LATEST = 6;
    const SHORTEST_S = 1;
    const LONGEST_S = 30;

    let taps = $state<number[]>([]);
    let button: HTMLButtonElement | undefined = $state();
    onMount(() => button?.focus());

    const intervals = $derived(
        taps
            .slice(1)
            .map((at, index) => at - (taps[index] ?? at))
            .slice(-LATEST)
            .sort((a, b) => a - b),
    );
    const seconds = $derived(
        ((intervals[Math.floor((intervals.length - 1) / 2)] ?? 0) +
            (intervals[Math.floor(intervals.length / 2)] ?? 0)) /
            2000,
    );
    const isReady = $derived(taps.length >= LEAST && seconds >= SHORTEST_S && seconds <= LONGEST_S);

    function tap(event: PointerEvent | KeyboardEvent): void {
        taps = [...taps, event.timeStamp];
    }
</script>

<section class="card quiet stack">
    <p class="small">{t('patient.practice.join-text', { least: LEAST })}</p>
    <button
        type="button"
        class="button second tap"
        bind:this={button}
        onpointerdown={tap}
        onkeydown={(event) => {
            if ((event.key === ' ' || event.key === 'Enter') && !event.repeat) {
                event.preventDefault();
                tap(event);
            }
        }}>{t('patient.practice.join-tap')}</button
    >
    <p class="small muted" role="status">{tn('patient.check.taps', taps.length)}</p>
    <button type="button" class="button" disabled={!isReady} onclick={() => onready(seconds)}
        >{t('patient.practice.join-ready')}</button
    >
</section>

<style>
    .tap {
        min-height: 6rem;
        touch-action: manipulation;
    }
</style>
