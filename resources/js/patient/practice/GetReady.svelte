<script lang="ts">
    import { onMount } from 'svelte';
    import Ridge from '../../shared/Ridge.svelte';
    import Told from '../Told.svelte';
    import Join from './Join.svelte';
    import TapPace from './TapPace.svelte';
    import { ridgeWords, t } from '../words';
    import type { Playable, TodayItem } from '../types';

    interface Props {
        item: TodayItem;
        played: Playable;
        isShort: boolean;
        ontaps: (taps: number[] | null) => void;
        onstart: (joinedSeconds: number | null) => void;
        onback: () => void;
    }

    let { item, played, isShort, ontaps, onstart, onback }: Props = $props();

    let button: HTMLButtonElement | undefined = $state();
    let joining = $state(false);
    onMount(() => button?.focus({ preventScroll: true }));

    /** What was agreed about days and times stands on Today and on the sheet. */
    const LATER = ['why', 'when', 'least', 'length'];
    const parts = $derived(item.told.filter((each) => !LATER.includes(each.part)));
</script>

<main>
    <div class="row">
        <h1>{t('patient.practice.get-ready')}</h1>
        <button type="button" class="button plain" onclick={onback}>{t('patient.practice.back')}</button>
    </div>
    <Ridge words={ridgeWords()} shape={played.ridge} width={350} height={80} label={t(item.name)} />
    {#if isShort}<p class="muted">{t('patient.practice.short')}</p>{/if}
    <Told {parts} />
    {#if item.checks.some((check) => check.key === 'pace')}<TapPace title={t('patient.pace.before')} {ontaps} />{/if}
    <p class="small muted">{t('patient.practice.never')}</p>
    {#if joining}<Join onready={onstart} />
    {:else if item.joining && !isShort}<button
            type="button"
            class="button second"
            onclick={() => {
                joining = true;
            }}>{t('patient.practice.join')}</button
        >{/if}
    <button type="button" class="button start" class:second={joining} bind:this={button} onclick={() => onstart(null)}
        >{t('patient.practice.start')}</button
    >
</main>

<style>
    /* In view however long there is to read. */
    .start {
        position: sticky;
        bottom: 0.75rem;
    }
</style>
