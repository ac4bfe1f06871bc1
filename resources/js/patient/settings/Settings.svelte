<script lang="ts">
    import { endSound } from '../../shared/quiet';
    import { onMount } from 'svelte';
    import Calendar from './Calendar.svelte';
    import Copy from './Copy.svelte';
    import DeviceName from './DeviceName.svelte';
    import Messages from './Messages.svelte';
    import Traces from './Traces.svelte';
    import PinChange from './PinChange.svelte';
    import { api } from '../keeping/api';
    import * as outbox from '../keeping/outbox';
    import { canVibrate } from '../../player/buzz';
    import { PlayerEngine } from '../../player/engine';
    import { keepSettings, settings } from '../keeping/settings';
    import { t, tn } from '../words';
    import type { MyDevice, TodayItem } from '../types';

    interface Props {
        /** An exercise whose breath can be heard. */ example: TodayItem | null;
        onsignedout: () => void;
    }

    let { example, onsignedout }: Props = $props();

    let mine = $state(settings());
    let devices = $state.raw<MyDevice[] | null>(null);
    let leaving = $state(false);
    let trouble = $state('');
    let heading: HTMLHeadingElement | undefined = $state();
    let playing: PlayerEngine | null = null;
    let context: AudioContext | null = null;

    const LEVELS = ['cues', 'counts', 'voice'] as const;
    const PAPERS = ['system', 'always', 'never'] as const;
    const TRY_MS = 12_000;

    onMount(() => {
        heading?.focus();
        void look();
        return hush;
    });

    async function look(): Promise<void> {
        try {
            devices = (await api.devices()).devices;
        } catch {
            devices = null;
        }
    }

    function keep(): void {
        keepSettings($state.snapshot(mine));
    }

    function hush(): void {
        playing?.stop();
        endSound(context);
        playing = null;
        context = null;
    }

    function hear(): void {
        hush();
        if (!example) return;
        context = new AudioContext();
        playing = new PlayerEngine(
            {
                ...example.timeline,
                segments: example.timeline.segments.filter((segment) => segment.role === 'exercise'),
            },
            context,
            { levels: $state.snapshot(mine) },
        );
        playing.start();
        setTimeout(hush, TRY_MS);
    }

    async function signOut(device: MyDevice): Promise<void> {
        trouble = '';
        if (device.here && !leaving) {
            await outbox.flush();
            leaving = true;
            return;
        }
        try {
            await api.signOut(device.id);
            if (device.here) onsignedout();
            else await look();
        } catch {
            trouble = t('patient.settings.needs-network');
        }
    }
</script>

<main>
    <h1 tabindex="-1" bind:this={heading}>{t('patient.settings.title')}</h1>
    <section class="card quiet">
        <h2>{t('patient.settings.sound')}</h2>
        {#each LEVELS as level (level)}
            <label class="stack" for={level}
                ><span class="row"
                    ><span>{t(`patient.settings.${level}`)}</span><span class="muted small percent"
                        >{tn(
                            'patient.settings.level',
                            Math.round(mine[level] * 100) === 0 ? 0 : Math.round(mine[level] * 100),
                        )}</span
                    ></span
                >
                <input
                    id={level}
                    type="range"
                    min="0"
                    max="1"
                    step="0.1"
                    bind:value={mine[level]}
                    onchange={keep}
                /></label
            >
        {/each}
        {#if example}<button type="button" class="button second" onclick={hear}>{t('patient.settings.try')}</button
            >{/if}
    </section>
    <section class="card quiet">
        <h2>{t('patient.settings.vibration')}</h2>
        {#if canVibrate()}<label class="row"
                ><span>{t('patient.settings.vibration-on')}</span><input
                    type="checkbox"
                    bind:checked={mine.vibration}
                    onchange={keep}
                /></label
            >
        {:else}<p class="small muted">{t('patient.settings.no-vibration')}</p>{/if}
    </section>
    <section class="card quiet">
        <h2>{t('patient.settings.sight')}</h2>
        <label class="row" for="paper"
            ><span
                >{t('patient.settings.night')}<span class="small muted sub">{t('patient.settings.night-why')}</span
                ></span
            ><select id="paper" class="input choice" bind:value={mine.paper} onchange={keep}
                >{#each PAPERS as paper (paper)}<option value={paper}>{t(`patient.settings.night-is.${paper}`)}</option
                    >{/each}</select
            ></label
        >
        <label class="row"
            ><span>{t('patient.settings.contrast')}</span><input
                type="checkbox"
                bind:checked={mine.contrast}
                onchange={keep}
            /></label
        >
        <label class="row"
            ><span>{t('patient.settings.large')}</span><input
                type="checkbox"
                bind:checked={mine.large}
                onchange={keep}
            /></label
        >
    </section>
    <Calendar />
    <Messages />
    <Traces />
    <Copy />
    <section class="card quiet">
        <h2>{t('patient.settings.devices')}</h2>
        {#if devices === null}<p class="small muted">{t('patient.settings.needs-network')}</p>{/if}
        <ul class="lines">
            {#each devices ?? [] as device (device.id)}
                <li>
                    <div class="row">
                        <span
                            >{device.label}{device.here ? ` (${t('patient.settings.here')})` : ''}<span
                                class="small muted sub">{t('patient.settings.since', { date: device.since })}</span
                            ></span
                        >
                        {#if !(device.here && leaving)}<button
                                type="button"
                                class="button plain"
                                aria-label={t(
                                    device.here ? 'patient.settings.sign-out-here' : 'patient.settings.sign-out-other',
                                    { label: device.label },
                                )}
                                onclick={() => signOut(device)}>{t('patient.settings.sign-out')}</button
                            >{/if}
                    </div>
                    <DeviceName
                        {device}
                        onnamed={(all) => {
                            devices = all;
                        }}
                    />
                    {#if device.here && leaving}
                        <div class="stack" role="alert">
                            <p>
                                {outbox.unsentThings().length > 0
                                    ? tn('patient.settings.waiting', outbox.unsentThings().length)
                                    : t('patient.settings.sure')}
                            </p>
                            <button
                                type="button"
                                class="button second"
                                onclick={() => {
                                    leaving = false;
                                }}>{t('patient.settings.cancel')}</button
                            >
                            <button type="button" class="button plain" onclick={() => signOut(device)}
                                >{t('patient.settings.anyway')}</button
                            >
                        </div>
                    {/if}
                </li>
            {/each}
        </ul>
        {#if trouble}<p class="error" role="alert">{trouble}</p>{/if}
        <PinChange />
        <p class="small muted">{t('patient.settings.pin')} {t('patient.settings.stored')}</p>
    </section>
</main>

<style>
    h1:focus {
        outline: none;
    }
    input[type='range'] {
        width: 100%;
        accent-color: var(--reed);
        min-height: 2rem;
    }
    input[type='checkbox'] {
        width: 1.6rem;
        height: 1.6rem;
        accent-color: var(--reed);
        flex: none;
    }
    label {
        font-weight: 400;
    }
    .percent {
        white-space: nowrap;
    }
    .choice {
        width: auto;
        max-width: 60%;
        padding: 0.5rem;
        font-size: 1rem;
    }
    .sub {
        display: block;
    }
</style>
