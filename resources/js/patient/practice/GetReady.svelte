<script lang="ts">
    import { onMount } from 'svelte';
    import Ridge from '../../shared/Ridge.svelte';
    import Told from '../Told.svelte';
    import Join from './Join.svelte';
    import Rating from './Rating.svelte';
    import TapPace from './TapPace.svelte';
    import { ridgeWords, t } from '../words';
    import type { Playable, TodayItem } from '../types';

    interface Props {
        item: TodayItem;
        /** What is rated before and after. */
        symptom: string;
        played: Playable;
        isShort: boolean;
        ontaps: (taps: number[] | null) => void;
        onstart: (joinedSeconds: number | null, before: number | null) => void;
        onback: () => void;
        /** The phone is to feel the breath; null where it cannot. */
        onphone: ((before: number | null) => Promise<boolean>) | null;
    }

    let { item, symptom, played, isShort, ontaps, onstart, onback, onphone }: Props = $props();

    let title: HTMLElement | undefined = $state();
    let before = $state<number | null>(null);
    let joining = $state(false);
    let isRefused = $state(false);
    onMount(() => title?.focus({ preventScroll: true }));

    /** What was agreed about days and times stands on Today and on the sheet. */
    const LATER = ['why', 'when', 'least', 'length'];
    const parts = $derived(item.told.filter((each) => !LATER.includes(each.part)));
</script>

<main>
    <div class="row">
        <h1 tabindex="-1" bind:this={title}>{t(item.name)}</h1>
        <button type="button" class="button plain" onclick={onback}>{t('patient.practice.back')}</button>
    </div>
    <Rating
        title={t('patient.practice.before', { symptom })}
        hint={t('patient.practice.before-hint')}
        value={before}
        onrated={(value) => {
            before = before === value ? null : value;
        }}
    />
    <h2>{t('patient.practice.get-ready')}</h2>
    <Ridge words={ridgeWords()} shape={played.ridge} width={350} height={80} label={t(item.name)} />
    {#if isShort}<p class="muted">{t('patient.practice.short')}</p>{/if}
    <Told {parts} />
    {#if item.checks.some((check) => check.key === 'pace')}<TapPace title={t('patient.pace.before')} {ontaps} />{/if}
    <p class="small muted">{t('patient.practice.never')}</p>
    {#if item.phone && onphone && !joining}
        {#if isRefused}<p role="alert">{t('felt.phone.not-allowed')}</p>
        {:else}<div class="stack">
                <button
                    type="button"
                    class="button second"
                    onclick={async () => {
                        isRefused = !(await onphone(before));
                    }}>{t(`felt.phone.${item.phone}`)}</button
                >
                <p class="small muted">{t('felt.phone.why')}</p>
            </div>{/if}
    {/if}
    {#if joining}<Join onready={(seconds) => onstart(seconds, before)} />
    {:else if item.joining && !isShort}<button
            type="button"
            class="button second"
            onclick={() => {
                joining = true;
            }}>{t('patient.practice.join')}</button
        >{/if}
    <button
        type="button"
        class="button start"
        class:second={joining || before === null}
        onclick={() => onstart(null, before)}
        >{t(before === null ? 'patient.practice.start-unrated' : 'patient.practice.start')}</button
    >
</main>

<style>
    h1:focus {
        outline: none;
    }
    /* In view however long there is to read. */
    .start {
        position: sticky;
        bottom: 0.75rem;
    }
</style>
