<script lang="ts">
    import { onMount } from 'svelte';
    import { Refusal } from '../shared/http';
    import { api } from './keeping/api';
    import Check from './Check.svelte';
    import Consent from './Consent.svelte';
    import Enter from './Enter.svelte';
    import Form from './Form.svelte';
    import { clockOffset, fetchAhead, fetchPage, keptPage, whenLocked } from './keeping/kept';
    import { whileOpen } from './keeping/awake';
    import { presentDay } from './keeping/day';
    import * as outbox from './keeping/outbox';
    import Pin from './Pin.svelte';
    import { canOpen, isMarkedOpen, markOpen, remember, tryPin } from './keeping/pinHere';
    import Practice from './practice/Practice.svelte';
    import { secondLooks } from './keeping/secondLooks';
    import { store } from './keeping/store';
    import Pages from './Pages.svelte';
    import { TABS, type Tab } from './Tabs.svelte';
    import { practiceOf, recoveryOf } from './keeping/practiceOf';
    import { titleOf, viewOf } from './titles';
    import { takeTurns, tell, whenLockedElsewhere } from './keeping/turns';
    import { openStops, type OpenStop } from './keeping/openStops';
    import StopLeft from './practice/StopLeft.svelte';
    import { isAtNight } from '../player/night';
    import { atLightsOut } from '../shared/nightPaper';
    import { t } from './words';
    import type { Bundle, DeviceState, NeededData, Playable, PracticeOf, TodayItem, TodaySlot } from './types';

    type Practising = { item: TodayItem; played: Playable; isShort: boolean; slot: TodaySlot | null; of: PracticeOf };

    let device = $state.raw<DeviceState | null>(null);
    let bundle = $state.raw<Bundle | null>(null);
    let needed = $state.raw<NeededData | null>(null);
    let offset = $state(0);
    let now = $state(Date.now());
    let trouble = $state('');
    let isOffline = $state(false);
    let view = $state(viewOf(location.pathname));
    let answering = $state.raw<Bundle['asked'][number] | null>(null);
    let practising = $state.raw<Practising | null>(null);
    /** Typed in this tab: opens the screen on the server when the network comes back. */
    let typedPin = '';
    /** Whenever the screen opens or closes: an answer to what was asked before that says nothing about it any more. */
    let turn = 0;

    const token = location.pathname === '/enter' ? location.hash.slice(1) : '';
    const isEntering = location.pathname === '/enter';
    const today = $derived(bundle ? presentDay(bundle, now + offset) : null);
    const title = $derived(titleOf(practising?.item.name ?? null, device?.state, view));
    /** What Back does not leave. */
    let isAsking = false;
    let isLeaving = false;
    /** Stopped, and left before it was said why: asked before anything else. */
    let leftStop = $state.raw<OpenStop | null>(null);
    $effect(() => {
        if (bundle) leftStop ??= practising ? null : openStops.of(bundle.owner);
    });
    $effect(() => {
        const slot = practising?.slot ?? null;
        const rule = practising?.of.rules.night;
        atLightsOut(rule !== undefined && slot !== null && isAtNight(rule, slot.anchor, new Date().getHours()));
    });

    onMount(() => {
        const stop: (() => void)[] = [];
        void begin(stop);
        stop.push(
            whileOpen({
                onback: onBack,
                onawake: () => {
                    now = Date.now();
                    if (document.visibilityState === 'visible' && device?.state === 'ready' && !practising) void load();
                },
                ontick: () => {
                    now = Date.now();
                },
            }),
        );
        return () => {
            for (const each of stop) each();
        };
    });

    async function begin(stop: (() => void)[]): Promise<void> {
        const kept = (await keptPage('today')) ?? (await keptPage('needed'));
        if (kept) outbox.belongTo(kept.owner);
        offset = await clockOffset();
        await outbox.open();
        await outbox.recoverUnfinished(openStops.has);
        stop.push(
            outbox.keepTrying(),
            outbox.onChange((delivered) => {
                if (!delivered || practising) return;
                if (device?.state === 'ready') void load(true);
                else if (device?.state === 'locked') void atHand();
            }),
        );
        whenLocked(() => void lockedMeanwhile());
        stop.push(whenLockedElsewhere(lockedElsewhere));
        if (location.pathname === '/my/practice') history.replaceState(null, '', '/my');
        // What this tab had open is shown at once, and then as the server has it.
        if (!isEntering && isMarkedOpen() && (await canOpen())) await openKept();
        await look();
    }

    async function look(): Promise<void> {
        trouble = '';
        const mine = ++turn;
        try {
            const state = await api.me();
            isOffline = false;
            if (mine === turn) await arrive(state);
        } catch (problem) {
            if (problem instanceof Refusal) trouble = t('patient.trouble.server');
            else await withoutNetwork();
        }
    }

    /** What is kept opens with the PIN, or at once when this tab had it open. */
    async function withoutNetwork(): Promise<void> {
        isOffline = true;
        needed = await keptPage('needed');
        if (!(await canOpen())) {
            trouble = t(needed ? 'patient.pin.offline-none' : 'patient.trouble.network');
            return;
        }
        if (isMarkedOpen()) await openKept();
        else device = { state: 'locked' };
    }

    async function openKept(): Promise<void> {
        bundle = await keptPage('today');
        needed ??= await keptPage('needed');
        if (bundle) device = { state: 'ready' };
        else trouble = t('patient.trouble.network');
    }

    async function arrive(state: DeviceState): Promise<void> {
        device = state;
        if (state.state === 'unknown') {
            await store.forgetKept();
            await outbox.forgetDelivered(outbox.delivered());
        }
        if (state.state === 'ready') {
            markOpen(true);
            needed ??= await keptPage('needed');
            await load();
        }
        if (state.state === 'locked' || state.state === 'locked-out') await atHand();
    }

    /** Help for breathlessness is at hand before the PIN. */
    async function atHand(): Promise<void> {
        try {
            await fetchPage('needed', (fresh) => {
                needed = fresh;
                outbox.belongTo(fresh.owner);
            });
        } catch {
            needed = await keptPage('needed');
        }
    }

    /** A link was confirmed: from now on this is the patient's own page, opened anew so that the worker is its own. */
    async function entered(): Promise<void> {
        await takeTurns();
    }

    async function opened(state: DeviceState, pin: string): Promise<void> {
        turn++;
        typedPin = pin;
        markOpen(true);
        void remember(pin);
        await arrive(state);
    }

    async function tryHere(pin: string): Promise<true | number> {
        const result = await tryPin(pin);
        if (result === true) {
            turn++;
            typedPin = pin;
            await openKept();
        }
        return result;
    }

    async function load(hasChanged = false): Promise<void> {
        const mine = turn;
        try {
            await fetchPage('today', (fresh) => {
                if (mine !== turn) return;
                outbox.belongTo(fresh.owner);
                now = Date.now();
                bundle = fresh;
                isOffline = false;
                trouble = '';
            });
            offset = await clockOffset();
            if (mine === turn)
                void fetchAhead(hasChanged).then(async () => {
                    needed ??= await keptPage('needed');
                });
        } catch (problem) {
            if (problem instanceof Refusal && (problem.status === 423 || problem.status === 401))
                return mine === turn ? lockedMeanwhile() : undefined;
            isOffline = true;
            bundle ??= await keptPage('today');
            if (!bundle) trouble = t(problem instanceof Refusal ? 'patient.trouble.server' : 'patient.trouble.network');
        }
    }

    /** The server has closed the screen; what was typed in this tab opens it again. */
    async function lockedMeanwhile(): Promise<void> {
        const pin = typedPin;
        typedPin = '';
        turn++;
        try {
            if (pin === '') throw new Error('nothing typed here');
            await api.unlock(pin);
            typedPin = pin;
            await load();
        } catch {
            bundle = null;
            markOpen(false);
            await look();
        }
    }

    function close(): void {
        markOpen(false);
        typedPin = '';
        bundle = null;
    }

    /** In another tab: what is open here closes as well. */
    function lockedElsewhere(): void {
        turn++;
        close();
        practising = null;
        device = { state: 'locked' };
        void look();
    }

    async function lock(): Promise<void> {
        turn++;
        close();
        go('today');
        try {
            const state = await api.lock();
            tell();
            await arrive(state);
        } catch {
            tell();
            device = { state: 'locked' };
            await atHand();
        }
    }

    function go(to: string): void {
        view = to;
        history.pushState(null, '', to === 'today' ? '/my' : `/my/${to}`);
        scrollTo(0, 0);
    }

    function practise(item: TodayItem, slot: TodaySlot | null, isShort: boolean, of: PracticeOf): void {
        const isAlready = practising !== null;
        practising = { item, slot, isShort, played: isShort && item.short ? item.short : item, of };
        if (!isAlready) go('practice');
    }

    function beginToday(item: TodayItem, slot: TodaySlot | null, isShort = false): void {
        if (today) practise(item, slot, isShort, practiceOf(today, today.day.version_id ?? 0));
    }

    /** The recovery that was agreed; where none was, or without a PIN yet, the one that is the same for everyone. */
    const onrecover = $derived.by((): (() => void) | undefined => {
        const page = device?.state === 'ready' ? today : null;
        const agreed = page?.recovery;
        if (page && agreed) return () => practise(agreed.item, null, false, practiceOf(page, agreed.version_id));
        if (!needed) return undefined;
        const everyones = needed;
        return () => practise(everyones.item, null, false, recoveryOf(everyones, page ? 'nobody' : 'ask'));
    });

    const leave = (): void => {
        if (TABS.includes(view as Tab)) onBack();
        else if (!isLeaving) {
            // Twice is once: a second tap while the first is under way leaves nothing more.
            isLeaving = true;
            history.back();
        }
    };

    /** The Back button ends a practice as far as it got. */
    function onBack(): void {
        isLeaving = false;
        if (practising && isAsking) {
            history.pushState(null, '', '/my/practice');
            return;
        }
        practising = null;
        view = viewOf(location.pathname);
        if (device?.state === 'ready') void load();
        else if (device?.state === 'locked') void atHand();
    }

    async function signedOut(): Promise<void> {
        markOpen(false);
        secondLooks.forget(outbox.whose());
        openStops.forget(outbox.whose());
        tell();
        await outbox.forgetAll();
        await store.forgetKept();
        location.assign('/my');
    }
</script>

<svelte:head><title>{title} · Ivory Pace</title></svelte:head>

{#if isEntering && device}
    <Enter {token} isKnown={device.state !== 'unknown'} others={device.others ?? []} onentered={entered} />
{:else if practising}
    {#key practising}<Practice
            item={practising.item}
            played={practising.played}
            isShort={practising.isShort}
            slot={practising.slot}
            of={practising.of}
            {onrecover}
            onleave={leave}
            onasking={(is) => {
                isAsking = is;
            }}
        />{/key}
{:else if device?.state === 'unknown'}
    <Enter token="" isKnown={false} others={device.others ?? []} onentered={entered} />
{:else if device?.state === 'consent'}
    <Consent {device} onaccepted={arrive} />
{:else if device?.state === 'pin'}
    <Pin mode="choose" onopen={opened} />
{:else if device?.state === 'locked' || device?.state === 'locked-out'}
    <Pin
        mode="unlock"
        isLockedOut={device.state === 'locked-out'}
        {isOffline}
        {onrecover}
        telephone={device.telephone}
        others={device.others ?? []}
        onopen={opened}
        ontry={tryHere}
    />
{:else if today && device?.state === 'ready' && leftStop}
    <StopLeft
        stop={leftStop}
        help={today}
        rules={today.rules}
        {onrecover}
        onleave={() => {
            leftStop = null;
        }}
    />
{:else if today && device?.state === 'ready'}
    {#if view === 'questions' && answering}
        <Form form={answering} help={today} onleave={leave} />
    {:else if view === 'check'}
        <Check onleave={leave} />
    {:else}
        <Pages
            {view}
            {today}
            {isOffline}
            {offset}
            {onrecover}
            ongo={go}
            onbegin={beginToday}
            onform={(form) => {
                answering = form;
                go('questions');
            }}
            onlock={lock}
            onsignedout={signedOut}
        />
    {/if}
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
