<script lang="ts">
    import { onMount } from 'svelte';
    import { rateOf } from '../player/taps';
    import * as outbox from './keeping/outbox';
    import { t, tn } from './words';

    let { onleave }: { onleave: () => void } = $props();

    const MINUTE_MS = 60_000;
    const LEAST = 4;
    let shown = $state<'ready' | 'tapping' | 'done' | 'too-few'>('ready');
    let taps = $state<number[]>([]);
    let left = $state(60);
    let start = 0;
    let takenAt = '';
    let timer: ReturnType<typeof setInterval> | undefined;
    let main: HTMLButtonElement | undefined = $state();

    onMount(() => () => clearInterval(timer));
    $effect(() => {
        void shown;
        main?.focus();
    });

    const rate = $derived(rateOf(taps) ?? 0);

    function begin(): void {
        taps = [];
        start = performance.now();
        takenAt = new Date().toISOString();
        left = 60;
        shown = 'tapping';
        timer = setInterval(() => {
            const past = performance.now() - start;
            left = Math.max(0, Math.ceil((MINUTE_MS - past) / 1000));
            if (past >= MINUTE_MS) finish();
        }, 200);
    }

    function tap(event: PointerEvent | KeyboardEvent): void {
        const at = Math.round(event.timeStamp - start);
        if (at > (taps[taps.length - 1] ?? -1)) taps = [...taps, at];
    }

    function finish(): void {
        clearInterval(timer);
        if (taps.length < LEAST) {
            shown = 'too-few';
            return;
        }
        const uuid = outbox.newId();
        void outbox.enqueue('home-check', uuid, { uuid, taken_at: takenAt, taps: $state.snapshot(taps) });
        shown = 'done';
    }
</script>

<main>
    <div class="row">
        <h1>{t('patient.check.title')}</h1>
        <button type="button" class="button plain" onclick={onleave}
            >{t(shown === 'done' ? 'patient.practice.back' : 'patient.check.leave')}</button
        >
    </div>
    {#if shown === 'ready'}
        <p>{t('patient.check.intro')}</p>
        <button type="button" class="button" bind:this={main} onclick={begin}>{t('patient.check.begin')}</button>
    {:else if shown === 'tapping'}
        <p class="left" aria-hidden="true">{left}</p>
        <p class="muted">{tn('patient.check.taps', taps.length)}</p>
        <button
            type="button"
            class="button tap"
            bind:this={main}
            onpointerdown={tap}
            onkeydown={(event) => {
                if ((event.key === ' ' || event.key === 'Enter') && !event.repeat) {
                    event.preventDefault();
                    tap(event);
                }
            }}>{t('patient.check.tap')}</button
        >
    {:else if shown === 'done'}
        <p role="status">{t('patient.check.done', { rate: rate.toFixed(0) })} {t('patient.check.kept')}</p>
        <button type="button" class="button" bind:this={main} onclick={onleave}>{t('patient.stopped.to-today')}</button>
    {:else}
        <p class="error" role="alert">{t('patient.check.too-few')}</p>
        <button type="button" class="button" bind:this={main} onclick={begin}>{t('patient.check.again')}</button>
    {/if}
</main>

<style>
    .left {
        font-family: var(--serif);
        font-size: 5rem;
        line-height: 1;
    }
    .tap {
        min-height: 14rem;
        font-size: 1.35rem;
        touch-action: manipulation;
    }
</style>
