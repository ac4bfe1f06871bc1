<script lang="ts">
    import { onDestroy, onMount } from 'svelte';
    import { Tones } from '../../player/tones';
    import { t } from '../words';
    import type { Cue } from '../../shared/timeline';
    import type { Settings } from '../keeping/settings';
    import type { Feel } from './feel';

    interface Props {
        place: 'belly' | 'chest';
        feel: Feel;
        settings: Settings;
        /** It lies there and felt the breath that was asked for. */
        onready: (context: AudioContext) => void;
        onwithout: () => void;
    }

    let { place, feel, settings, onready, onwithout }: Props = $props();

    const STILL_MS = 4000;
    const IN_MS = 3500;
    const OUT_MS = 4500;

    let step = $state<'place' | 'still' | 'in' | 'out' | 'silent'>('place');
    let context: AudioContext | null = null;
    let isGiven = false;
    let heading: HTMLHeadingElement | undefined = $state();
    let timer: ReturnType<typeof setTimeout> | undefined;
    onMount(() => heading?.focus());
    onDestroy(() => {
        clearTimeout(timer);
        if (!isGiven) void context?.close();
    });

    /** On the belly nobody sees it: without a sound nobody is led. */
    const isSilent = $derived(place === 'belly' && settings.cues + settings.voice <= 0);

    const wait = (ms: number): Promise<void> =>
        new Promise((resolve) => {
            timer = setTimeout(resolve, ms);
        });

    async function lies(): Promise<void> {
        if (context) return;
        // The tap is what lets the browser make sound.
        const sound = new AudioContext({ latencyHint: 'interactive' });
        context = sound;
        void sound.resume();
        const tones = new Tones(sound, settings);
        const tone = (kind: Cue['kind']): void =>
            tones.cue({ kind, side: 'none', last: false } as Cue, sound.currentTime + 0.02);
        const came = feel.begin();
        step = 'still';
        if (!(await came)) {
            step = 'silent';
            return;
        }
        await wait(STILL_MS);
        step = 'in';
        tone('inhale');
        feel.inhale();
        await wait(IN_MS);
        step = 'out';
        feel.ink.exhale();
        tone('exhale');
        await wait(OUT_MS);
        isGiven = true;
        onready(sound);
    }

    const SAID = {
        still: 'felt.phone.still',
        in: 'felt.phone.breathe-in',
        out: 'felt.phone.breathe-out',
    } as const;
</script>

<main>
    <h1 tabindex="-1" bind:this={heading}>{t(`felt.phone.${place}`)}</h1>
    {#if step === 'place'}
        <p>{t(`felt.phone.place-${place}`)}</p>
        {#if place === 'belly'}<p>{t(isSilent ? 'felt.phone.silent' : 'felt.phone.ear')}</p>{/if}
        {#if !isSilent}<button type="button" class="button" onclick={lies}
                >{t(place === 'belly' ? 'felt.phone.ready' : 'felt.phone.ready-chest')}</button
            >{/if}
    {:else if step === 'silent'}
        <p role="alert">{t('felt.phone.no-sense')}</p>
    {:else}
        <p class="said" role="status">
            {step === 'still' && place === 'chest' ? t('felt.phone.still-chest') : t(SAID[step])}
        </p>
    {/if}
    <button type="button" class="button" class:second={step !== 'silent'} onclick={onwithout}
        >{t('felt.phone.without')}</button
    >
</main>

<style>
    h1:focus {
        outline: none;
    }
    .said {
        font-family: var(--serif);
        font-size: 2rem;
        min-height: 4rem;
    }
</style>
