<script lang="ts">
    import { onDestroy, onMount, untrack } from 'svelte';
    import { enqueue, forgetUnfinished, keepUnfinished, newId, recoverUnfinished } from '../outbox';
    import type { Voice } from '../../player/engine';
    import { settings } from '../settings';
    import { voiceFor } from '../voice';
    import After, { type Ratings } from './After.svelte';
    import GetReady from './GetReady.svelte';
    import Player, { type Progress } from './Player.svelte';
    import Rating from './Rating.svelte';
    import Stopped from './Stopped.svelte';
    import { t } from '../words';
    import type { Playable, PracticeLog, PracticeOf, TodayItem, TodaySlot } from '../types';

    interface Props { item: TodayItem; played: Playable; isShort: boolean; slot: TodaySlot | null; of: PracticeOf; onleave: () => void }

    let { item, played, isShort, slot, of, onleave }: Props = $props();

    /** A stopped practice waits so long on the device, so that what the second look finds goes with it. */
    const LOOK_BACK_MS = 150_000;

    const LEAST_S = 5;

    let step = $state<'before' | 'ready' | 'play' | 'stopped' | 'after'>('before');
    let context = $state.raw<AudioContext | null>(null);
    let log: PracticeLog = untrack(() => ({
        uuid: newId(), version_id: of.version_id, lineage: item.lineage, anchor: slot?.anchor ?? null,
        started_at: '', ended_at: '', breaths_done: 0, seconds_done: 0, short: isShort, joined_ms: null, recovered_after_s: null, interruptions: 0, open_ms: null, enough_step: null, tempo: null,
        before: null, after: null, effort: null, smooth: null, slight_symptom: null, remark: null, stop_class: null, stop_symptom: null,
    }));

    function rated(before: number | null): void {
        log.before = before;
        step = 'ready';
    }

    let voice = $state.raw<Voice | null>(null);
    let joinedSeconds = $state<number | null>(null);

    async function start(joined: number | null): Promise<void> {
        joinedSeconds = joined;
        log.joined_ms = joined === null ? null : Math.round(joined * 1000);
        // The click that starts is what lets the browser make sound.
        context = new AudioContext({ latencyHint: 'interactive' });
        void context.resume();
        voice = settings().voice > 0 ? await voiceFor(context).catch(() => null) : null;
        log.started_at = new Date().toISOString();
        step = 'play';
    }

    function progressed(done: Progress): void {
        log.breaths_done = done.breathsDone;
        log.seconds_done = Math.floor(done.exerciseMs / 1000);
        log.enough_step = done.enoughStep;
        log.tempo = done.tempo;
        log.open_ms = done.openMs.length > 0 ? [...done.openMs] : null;
        log.interruptions = done.interruptions;
        log.recovered_after_s = done.recoveredAfterS;
        log.ended_at = new Date().toISOString();
        // Left in the first breath, or in the first seconds, it has not begun.
        if (log.breaths_done > 0 || (played.breaths === null && log.seconds_done >= LEAST_S)) keepUnfinished({ ...log, stop_class: 'no-symptom' });
    }

    function ended(): void {
        void context?.close();
        keepUnfinished(log);
        step = 'after';
    }

    function stopped(): void {
        void context?.close();
        step = 'stopped';
    }

    /** The symptom is kept at once; a second look may make it graver before it is sent. */
    function told(stopClass: PracticeLog['stop_class'], symptom: string | null): void {
        log.stop_class = stopClass;
        log.stop_symptom = symptom;
        if (stopClass === 'no-symptom') step = 'after';
        else put(log, stopClass === 'made-me-stop' ? Date.now() + LOOK_BACK_MS : 0);
    }

    function settled(): void {
        put(log);
        onleave();
    }

    function finished(ratings: Ratings): void {
        put({ ...log, ...ratings });
        onleave();
    }

    function put(whole: PracticeLog, notBefore = 0): void {
        void enqueue('practice', whole.uuid, { ...whole }, notBefore);
        forgetUnfinished();
    }

    // As needed it plays first and asks afterwards.
    onMount(() => { if (item.as_needed) void start(null); });

    onDestroy(() => {
        if (context?.state !== 'closed') void context?.close();
        // Left without saying anything, by the Back button: it counts as far as it got, once the player has told how far.
        queueMicrotask(() => void recoverUnfinished());
    });
</script>

{#if step === 'before' && !item.as_needed}
    <main>
        <div class="row"><p class="name">{t(item.name)}</p><button type="button" class="button plain" onclick={onleave}>{t('patient.practice.back')}</button></div>
        <Rating title={t('patient.practice.before', { symptom: of.rated_symptom })} hint={t('patient.practice.before-hint')} onrated={rated} heading="h1" canSkip />
    </main>
{:else if step === 'before'}
    <main><p class="muted" role="status">{t('patient.trouble.loading')}</p></main>
{:else if step === 'ready'}
    <GetReady {item} {played} {isShort} onstart={start} onback={onleave} />
{:else if step === 'play' && context}
    <Player {item} {played} {joinedSeconds} settings={settings()} {voice} anchor={slot?.anchor ?? null} {context} onprogress={progressed} onend={ended} onstop={stopped} />
{:else if step === 'stopped'}
    <Stopped emergency={of.emergency} ontold={told} onsettled={settled} {onleave} />
{:else}
    <After symptom={of.rated_symptom} onchange={(ratings) => keepUnfinished({ ...log, ...ratings })} onfinished={finished} />
{/if}

<style>
    .name { font-family: var(--serif); font-weight: 650; font-size: 1.25rem; }
</style>
