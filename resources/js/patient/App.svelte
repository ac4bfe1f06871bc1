<script lang="ts">
    import { onMount } from 'svelte';
    import { Refusal } from '../lib/http';
    import { api } from './api';
    import Consent from './Consent.svelte';
    import Diary from './Diary.svelte';
    import Enter from './Enter.svelte';
    import Form from './Form.svelte';
    import Pin from './Pin.svelte';
    import Practice from './practice/Practice.svelte';
    import { keepTrying, recoverUnfinished } from './queue';
    import Today from './Today.svelte';
    import { t } from './words';
    import type { DeviceState, TodayData, TodayItem, TodaySlot } from './types';

    let device = $state.raw<DeviceState | null>(null);
    let today = $state.raw<TodayData | null>(null);
    let trouble = $state('');
    let isStale = $state(false);
    let answering = $state.raw<string | null>(null);
    let inDiary = $state(false);
    let practising = $state.raw<{ item: TodayItem; slot: TodaySlot | null } | null>(null);

    const token = location.pathname === '/enter' ? location.hash.slice(1) : '';
    const isEntering = location.pathname === '/enter';

    onMount(() => {
        recoverUnfinished();
        const stop = keepTrying();
        void look();
        window.addEventListener('popstate', onBack);
        return () => { stop(); window.removeEventListener('popstate', onBack); };
    });

    async function look(): Promise<void> {
        trouble = '';
        try {
            arrive(await api.me());
        } catch {
            trouble = t('patient.trouble.network');
        }
    }

    function arrive(state: DeviceState): void {
        device = state;
        if (state.state !== 'unknown' && !(isEntering && token)) history.replaceState(null, '', '/my');
        if (state.state === 'ready') void load();
    }

    /** A link was confirmed: from here on this is the patient's own page. */
    function entered(state: DeviceState): void {
        history.replaceState(null, '', '/my');
        device = state;
    }

    async function load(): Promise<void> {
        try {
            today = await api.today();
            isStale = false;
        } catch (problem) {
            if (problem instanceof Refusal && (problem.status === 423 || problem.status === 401)) {
                today = null;
                await look();
            } else {
                isStale = true;
                if (!today) trouble = problem instanceof Refusal ? t('patient.trouble.server') : t('patient.trouble.network');
            }
        }
    }

    function begin(item: TodayItem, slot: TodaySlot | null): void {
        practising = { item, slot };
        history.pushState(null, '', '/my/practice');
        scrollTo(0, 0);
    }

    function open(form: string): void {
        answering = form;
        history.pushState(null, '', '/my/questions');
        scrollTo(0, 0);
    }

    function openDiary(): void {
        inDiary = true;
        history.pushState(null, '', '/my/diary');
        scrollTo(0, 0);
    }

    function leave(): void {
        if (location.pathname === '/my/practice' || location.pathname === '/my/questions' || location.pathname === '/my/diary') history.back();
        else onBack();
    }

    /** The Back button ends a practice as far as it got. */
    function onBack(): void {
        practising = null;
        answering = null;
        inDiary = false;
        if (device?.state === 'ready') void load();
    }
</script>

<svelte:head><title>{practising ? t(practising.item.name) : t('patient.today.tab')} · Ivory Pace</title></svelte:head>

{#if isEntering && device && (token || device.state === 'unknown') && location.pathname === '/enter'}
    <Enter {token} onentered={entered} />
{:else if practising && today}
    <Practice item={practising.item} slot={practising.slot} {today} onleave={leave} />
{:else if inDiary && device?.state === 'ready'}
    <Diary onleave={leave} />
{:else if answering && today && device?.state === 'ready'}
    <Form id={answering} emergency={today.emergency} onleave={leave} />
{:else if device?.state === 'unknown'}
    <Enter token="" onentered={entered} />
{:else if device?.state === 'consent'}
    <Consent {device} onaccepted={arrive} />
{:else if device?.state === 'pin'}
    <Pin mode="choose" onopen={arrive} />
{:else if device?.state === 'locked' || device?.state === 'locked-out'}
    <Pin mode="unlock" isLockedOut={device.state === 'locked-out'} onopen={arrive} />
{:else if today}
    <Today {today} {isStale} onbegin={begin} onform={open} ondiary={openDiary} onchange={load} onlock={async () => { arrive(await api.lock()); today = null; }} />
{:else}
    <main>
        {#if trouble}
            <p class="error" role="alert">{trouble}</p>
            <button type="button" class="button second" onclick={look}>{t('patient.practice.go-on')}</button>
        {:else}
            <p class="muted" role="status">{t('patient.trouble.loading')}</p>
        {/if}
    </main>
{/if}
