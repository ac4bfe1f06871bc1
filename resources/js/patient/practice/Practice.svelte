<script lang="ts">
    import { endSound } from '../../shared/quiet';
    import { onDestroy, onMount, untrack } from 'svelte';
    import { enqueue, forgetUnfinished, keepUnfinished, newId, recoverUnfinished } from '../keeping/outbox';
    import { endingAtNight, isAtNight } from '../../player/night';
    import type { Voice } from '../../player/speaking';
    import { fileSecondLook, fileStop, openStops, type OpenStop } from '../keeping/openStops';
    import { settings } from '../keeping/settings';
    import { unclaimed } from '../keeping/unclaimed';
    import { voiceFor } from '../voice';
    import { askToFeel, canFeel, Feel } from '../feel/feel';
    import Lay from '../feel/Lay.svelte';
    import After, { type Ratings } from './After.svelte';
    import Asleep from './Asleep.svelte';
    import GetReady from './GetReady.svelte';
    import Player, { type Progress } from './Player.svelte';
    import Stopped from './Stopped.svelte';
    import { anchorOf, t } from '../words';
    import type { Playable, PracticeLog, PracticeOf, TodayItem, TodaySlot } from '../types';

    interface Props {
        item: TodayItem;
        played: Playable;
        isShort: boolean;
        slot: TodaySlot | null;
        of: PracticeOf;
        onrecover?: (() => void) | undefined;
        onleave: () => void;
        /** Something is asked that Back does not leave. */
        onasking: (isAsking: boolean) => void;
    }

    let { item, played: whole, isShort, slot, of, onrecover, onleave, onasking }: Props = $props();

    const atNight = untrack(
        () => whole.night !== null && isAtNight(of.rules.night, slot?.anchor ?? null, new Date().getHours()),
    );
    const played = $derived(atNight && whole.night !== null ? endingAtNight(whole, whole.night) : whole);
    /** Falling asleep is welcome: afterwards the screen is dark. */
    const endsInSleep = $derived(whole.quiet && (atNight || whole.night === null));

    const LEAST_S = 5;

    let step = $state<'ready' | 'lay' | 'play' | 'asleep' | 'stopped' | 'after'>('ready');
    let context = $state.raw<AudioContext | null>(null);
    let log: PracticeLog = untrack(() => ({
        uuid: newId(),
        version_id: of.version_id,
        lineage: item.lineage,
        anchor: slot?.anchor ?? null,
        started_at: '',
        ended_at: '',
        breaths_done: 0,
        seconds_done: 0,
        short: isShort,
        joined_ms: null,
        recovered_after_s: null,
        interruptions: 0,
        open_ms: null,
        self_checks: null,
        pace_taps: null,
        steps_done: null,
        enough_step: null,
        enough: false,
        tempo: null,
        before: null,
        after: null,
        effort: null,
        smooth: null,
        slight_symptom: null,
        remark: null,
        stop_class: null,
        stop_symptom: null,
    }));

    /** The breath, tapped before it began. */
    let tapsBefore = $state.raw<number[] | null>(null);
    let voice = $state.raw<Voice | null>(null);
    let joinedSeconds = $state<number | null>(null);
    let feel = $state.raw<Feel | null>(null);

    /** The phone is to feel the breath: asked within the tap, where a system wants that. */
    async function phone(before: number | null): Promise<boolean> {
        if (!(await askToFeel())) return false;
        log.before = before;
        feel = new Feel(log.uuid);
        step = 'lay';
        return true;
    }

    function withoutPhone(): void {
        feel?.leave();
        feel = null;
        step = 'ready';
    }

    async function start(joined: number | null, before: number | null = null, sound?: AudioContext): Promise<void> {
        // Pressed twice, it starts once.
        if (context) return;
        log.before = before;
        joinedSeconds = joined;
        log.joined_ms = joined === null ? null : Math.round(joined * 1000);
        // The click that starts is what lets the browser make sound.
        context = sound ?? new AudioContext({ latencyHint: 'interactive' });
        void context.resume();
        const level = settings().voice;
        voice = level > 0 ? await voiceFor(context, item, level).catch(() => null) : null;
        log.started_at = new Date().toISOString();
        step = 'play';
    }

    function progressed(done: Progress): void {
        log.breaths_done = done.breathsDone;
        log.seconds_done = Math.floor(done.exerciseMs / 1000);
        log.steps_done =
            item.taught.length > 0
                ? done.steps.map((each) => ({
                      step: each.step,
                      breaths: each.breaths,
                      seconds: Math.floor(each.ms / 1000),
                  }))
                : null;
        log.enough_step = done.enoughStep;
        log.enough = done.enough;
        log.tempo = done.tempo;
        log.open_ms = done.openMs.length > 0 ? [...done.openMs] : null;
        log.interruptions = done.interruptions;
        log.recovered_after_s = done.recoveredAfterS;
        log.ended_at = new Date().toISOString();
        // Left in the first breath, or in the first seconds, it has not begun.
        if (log.breaths_done > 0 || (played.breaths === null && log.seconds_done >= LEAST_S))
            keepSoFar({ ...log, stop_class: 'no-symptom' });
    }

    function ended(): void {
        endSound(context);
        keepSoFar(log);
        if (endsInSleep) step = 'asleep';
        else afterwards();
    }

    function stopped(): void {
        endSound(context);
        step = 'stopped';
        if (of.credit === 'mine') openStops.ask(asStop());
        onasking(true);
    }

    function told(stopClass: PracticeLog['stop_class'], symptom: string | null): void {
        log.stop_class = stopClass;
        log.stop_symptom = symptom;
        onasking(false);
        openStops.answered(log.uuid);
        if (stopClass === 'no-symptom') {
            keepSoFar(log);
            afterwards();
        } else if (of.credit === 'mine') {
            fileStop(asStop());
            forgetUnfinished();
        } else put(log);
    }

    const asStop = (): OpenStop => ({ log: { ...log }, owner: of.owner, exercise: item.name });

    function looked(settled: boolean): void {
        if (of.credit === 'mine') fileSecondLook(log.uuid, settled);
    }

    /** What nobody has said to be theirs is not rated. */
    function afterwards(): void {
        if (of.credit === 'mine') {
            step = 'after';
            return;
        }
        put(log);
        onleave();
    }

    function finished(ratings: Ratings): void {
        put({ ...log, ...ratings });
        onleave();
    }

    function put(whole: PracticeLog): void {
        if (of.credit === 'mine') void enqueue('practice', whole.uuid, { ...whole });
        else if (of.credit === 'ask') unclaimed.keep({ ...whole });
        forgetUnfinished();
    }

    /** Kept as far as it has got, whoever's it is. */
    function keepSoFar(whole: PracticeLog): void {
        if (of.credit === 'mine') keepUnfinished(whole);
        else if (of.credit === 'ask') unclaimed.keep({ ...whole });
    }

    // What is needed now plays first and asks afterwards.
    const isAtOnce = $derived(item.as_needed !== null || item.recovery);
    onMount(() => {
        if (isAtOnce) void start(null);
    });

    onDestroy(() => {
        onasking(false);
        // Left while it was being laid down: nothing was felt.
        if (step === 'lay') feel?.leave();
        endSound(context);
        // Left without a word, by the Back button: it counts as far as it got, once the player has told how far.
        queueMicrotask(() => void recoverUnfinished(openStops.has));
    });
</script>

{#if step === 'ready' && !isAtOnce}
    <GetReady
        {item}
        symptom={of.rated_symptom}
        {played}
        {isShort}
        ontaps={(taps) => {
            tapsBefore = taps;
        }}
        onstart={start}
        onback={onleave}
        onphone={of.credit === 'mine' && canFeel() ? phone : null}
    />
{:else if step === 'lay' && feel && item.phone}
    <Lay
        place={item.phone}
        {feel}
        settings={settings()}
        onready={(sound) => void start(null, log.before, sound)}
        onwithout={withoutPhone}
    />
{:else if step === 'ready'}
    <main><p class="muted" role="status">{t('patient.trouble.loading')}</p></main>
{:else if step === 'play' && context}
    <Player
        {item}
        {played}
        {joinedSeconds}
        settings={settings()}
        {voice}
        {feel}
        anchor={slot ? anchorOf(slot) : null}
        {context}
        help={of.help}
        seconds={of.rules.seconds}
        onprogress={progressed}
        onend={ended}
        onstop={stopped}
    />
{:else if step === 'asleep'}
    <Asleep onwake={afterwards} />
{:else if step === 'stopped'}
    <Stopped
        help={of.help}
        rules={of.rules}
        ontold={told}
        onlooked={looked}
        onrecover={item.recovery ? undefined : onrecover}
        {onleave}
    />
{:else}
    <After
        symptom={of.rated_symptom}
        checks={item.checks}
        {tapsBefore}
        felt={feel ? { uuid: log.uuid, played } : null}
        onchange={(ratings) => keepUnfinished({ ...log, ...ratings })}
        onfinished={finished}
    />
{/if}
