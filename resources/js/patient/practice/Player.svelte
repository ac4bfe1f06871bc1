<script lang="ts" module>
    export interface Progress {
        breathsDone: number;
        exerciseMs: number;
        steps: StepDone[];
        openMs: number[];
        enoughStep: number | null;
        /** What goes on as long as it helps was ended by the patient. */
        enough: boolean;
        tempo: number | null;
        interruptions: number;
        recoveredAfterS: number | null;
    }
</script>

<script lang="ts">
    import { onMount, untrack } from 'svelte';
    import { buzz } from '../../player/buzz';
    import { PlayerEngine, type Moment } from '../../player/engine';
    import type { StepDone } from '../../player/progress';
    import type { Voice } from '../../player/speaking';
    import { stageOf } from '../../player/stage';
    import { keepAwake } from '../../player/wake';
    import type { Cue } from '../../shared/timeline';
    import { t, told } from '../words';
    import type { Settings } from '../keeping/settings';
    import type { Feel } from '../feel/feel';
    import { Led } from '../feel/led';
    import Lying from '../feel/Lying.svelte';
    import Easing, { type Helped } from './Easing.svelte';
    import Always from './Always.svelte';
    import Pacer from './Pacer.svelte';
    import Done from './Done.svelte';
    import Foot, { type Onward } from './Foot.svelte';
    import type { Help, Playable, Rules, TodayItem } from '../types';

    interface Props {
        item: TodayItem;
        played: Playable;
        /** What it hangs on, in words. */
        anchor: string | null;
        context: AudioContext;
        settings: Settings;
        voice: Voice | null;
        /** A phone that lies on the belly, or is held to the chest. */
        feel: Feel | null;
        /** Length of the patient's own breath, when it begins with that. */
        joinedSeconds: number | null;
        help: Help;
        /** When it is asked whether it is easing, and when the wording for an emergency shows by itself. */
        seconds: Rules['seconds'];
        onprogress: (done: Progress) => void;
        onend: () => void;
        onstop: () => void;
    }

    let {
        item,
        played,
        anchor,
        context,
        settings,
        voice,
        feel,
        joinedSeconds,
        help,
        seconds,
        onprogress,
        onend,
        onstop,
    }: Props = $props();

    const engine = untrack(
        () =>
            new PlayerEngine(played.timeline, context, {
                levels: settings,
                joining: item.joining && joinedSeconds !== null ? { ...item.joining, seconds: joinedSeconds } : null,
            }),
    );
    const led = untrack(() => new Led(feel, engine));
    let isPaused = $state(false);
    /** Nobody sees the screen: it is dark, and a long press stops. */
    const isLying = $derived(feel !== null && item.phone === 'belly');
    /** Then nothing is drawn either, frame by frame, for nobody. */
    const isDark = $derived(isLying && !isPaused);
    const isCounted = $derived(played.breaths !== null);
    const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;

    let moment = $state.raw<Moment | null>(null);
    let own = $state.raw<number[] | null>(null);
    let hasSound = $state(true);
    let heading: HTMLHeadingElement | undefined = $state();
    /** How much was reported last: breaths, or stretches of five seconds. */
    let reported = -1;
    let isOver = false;
    let begunAt = 0;
    let interruptions = 0;
    let recoveredAfterS: number | null = null;
    let hasWaited = $state(false);
    const canBeHeard = $derived(hasSound && settings.cues + settings.voice > 0);

    const cue = $derived(moment?.cue ?? null);
    const stage = $derived(stageOf(moment, played.timeline, played.ridge, isStill));
    const isOpen = $derived(cue !== null && cue.greatest !== null);
    /** A step of a routine, while it is taught before it is led. */
    const taught = $derived(
        moment?.segment.role === 'teach'
            ? (item.taught.find((each) => each.step === moment?.cue.place.step) ?? null)
            : null,
    );
    /** Which exercise of a routine it is, from 1; 0 where there is only one. */
    const stepAt = $derived(item.taught.findIndex((each) => each.step === cue?.place.step) + 1);
    /** What right looks like, of the present step. */
    const criterion = $derived(
        item.taught.find((each) => each.step === cue?.place.step)?.told.at(-1)?.text ?? told(item, 'right')[0] ?? '',
    );
    const isExercise = $derived(moment?.segment.role === 'exercise');
    /** Breaths to come, fewer when the patient has said that it is enough. */
    let breaths = $state(untrack(() => played.breaths ?? 0));
    let hasHelped = $state(false);
    /** Only the number, on black: for a dark room. */
    let isDim = $state(false);
    const canBeEnough = $derived(moment !== null && moment.segment.enough === true && breaths === played.breaths);

    const HALF_FRAME_S = 1 / 120;
    const LONGEST_FRAME_S = 0.1;

    /** For recovery: whether help was asked for or offered. */
    let helped = $state<Helped>('no');

    onMount(() => {
        const letSleep = keepAwake();
        heading?.focus();
        engine.onEnd = () => {
            isOver = true;
            report();
            onend();
        };
        engine.onTick = reportSteps;
        engine.onInterrupted = interrupted;
        engine.setVoice(voice);
        engine.start();
        begunAt = performance.now();
        let buzzed: Cue | null = null;
        // What is drawn now is seen until the next frame: half a frame ahead is right in the middle.
        let drawnAt = 0;
        let half = HALF_FRAME_S;
        let frame = requestAnimationFrame(function draw(at: number) {
            if (drawnAt > 0) half += (Math.min(LONGEST_FRAME_S, (at - drawnAt) / 1000) / 2 - half) * 0.1;
            drawnAt = at;
            const present = engine.now(half);
            if (!isDark || present?.breathsDone !== moment?.breathsDone) moment = present;
            led.note();
            // With reduced motion it is seen afterwards only.
            if (item.phone === 'chest' && !isStill && !isPaused) own = led.own();
            if (settings.vibration && !isPaused && present && present.cue !== buzzed) {
                buzzed = present.cue;
                buzz(present.cue.kind);
            }
            frame = requestAnimationFrame(draw);
        });
        return () => {
            cancelAnimationFrame(frame);
            // Left by the Back button: what was done since the last report is not lost.
            if (!isOver) report();
            led.end();
            engine.stop();
            letSleep();
        };
    });

    function progress(): Progress {
        return {
            ...engine.progress(),
            openMs: engine.openMs,
            enoughStep: engine.enoughStep,
            enough: hasHelped,
            tempo: engine.tempo === 1 ? null : engine.tempo,
            interruptions,
            recoveredAfterS,
        };
    }

    function report(): void {
        onprogress(progress());
    }

    /** Keeps how far it got, breath by breath. */
    function reportSteps(): void {
        led.note();
        const done = progress();
        const steps = isCounted ? done.breathsDone : Math.floor(done.exerciseMs / 5000);
        if (steps === reported) return;
        reported = steps;
        onprogress(done);
    }

    async function pause(): Promise<void> {
        hasWaited = false;
        led.broken();
        if (isPaused) await engine.resume();
        else engine.pause();
        isPaused = engine.isPaused;
    }

    /** A call, a locked screen: the sound stopped, so it waits and says so. */
    function interrupted(): void {
        led.broken();
        interruptions++;
        isPaused = true;
        hasWaited = true;
        report();
    }

    /** Out of sight it goes on by ear; without sound nobody can follow. */
    function hidden(): void {
        if (document.visibilityState === 'hidden' && !canBeHeard) engine.interrupt();
    }

    /** Breath has come back: how long it took is what counts here. */
    function breathBack(): void {
        isOver = true;
        recoveredAfterS = Math.round((performance.now() - begunAt) / 1000);
        engine.stop();
        report();
        onend();
    }

    function sound(): void {
        hasSound = !hasSound;
        engine.setSound(hasSound);
    }

    function stop(): void {
        isOver = true;
        engine.stop();
        report();
        onstop();
    }

    /** It has helped: that is the whole of what goes on as long as it helps. */
    function helpedEnough(): void {
        isOver = true;
        hasHelped = true;
        engine.stop();
        report();
        onend();
    }

    function enough(): void {
        engine.enough();
        breaths = engine.breaths;
        reported = -1;
    }

    /** What takes the practice on from here. */
    const onward = $derived<Onward[]>([
        ...(item.as_needed?.way === 'open' && isExercise ? [{ words: 'helped', run: helpedEnough }] : []),
        ...(canBeEnough ? [{ words: 'enough', run: enough }] : []),
        ...(taught ? [{ words: 'skip-teaching', run: () => engine.skip() }] : []),
        ...(isOpen ? [{ words: 'tap', run: () => engine.tap(), keys: 'Space' }] : []),
    ]);

    function key(event: KeyboardEvent): void {
        if (event.key === 'Escape') {
            event.preventDefault();
            stop();
        }
        // On a button the space bar is that button's: above all on Stop.
        if (event.key === ' ' && isOpen && !(event.target instanceof HTMLButtonElement)) {
            event.preventDefault();
            engine.tap();
        }
    }
</script>

<svelte:document onvisibilitychange={hidden} />
<svelte:window
    onkeydown={key}
    onpagehide={() => {
        if (!isOver) report();
        led.end();
    }}
/>

{#if isDark}<Lying name={t(item.name)} done={moment?.breathsDone ?? 0} of={breaths} onstop={stop} />
{:else}
    <main class="player" class:dim={isDim}>
        <div class="row">
            <h1 class="name" tabindex="-1" bind:this={heading}>{t(item.name)}</h1>
            {#if item.recovery && helped !== 'shown'}<button
                    type="button"
                    class="button second urgent"
                    onclick={() => {
                        helped = 'shown';
                    }}>{t('patient.practice.get-help')}</button
                >
            {:else}<span class="muted"
                    >{stepAt > 0
                        ? t('patient.practice.nth', { n: stepAt, all: item.taught.length })
                        : anchor
                          ? anchor.toLowerCase()
                          : ''}</span
                >{/if}
        </div>
        {#if item.recovery}<Easing {help} {seconds} bind:helped />{/if}
        {#if played.breaths !== null}<Done
                done={moment?.breathsDone ?? 0}
                of={breaths}
                cue={isExercise ? cue : null}
            />{/if}
        <Pacer {item} {moment} {stage} {taught} {own} waiting={isPaused ? (hasWaited ? 'waited' : 'paused') : null} />
        <p class="small muted hint">
            {taught ? '' : criterion}
            {cue?.kind === 'hold' ? t('patient.practice.holds') : isCounted ? t('patient.practice.lost-nothing') : ''}
        </p>
        <Foot
            {onward}
            {isPaused}
            {hasSound}
            bind:isDim
            tempo={item.tempo}
            onpause={pause}
            onsound={sound}
            onpace={(factor) => engine.setTempo(factor)}
        />
        <Always onback={item.recovery ? breathBack : null} onstop={stop} />
    </main>
{/if}

<style>
    .player {
        min-height: 100dvh;
        padding-bottom: 0;
        min-width: 0;
    }
    .row {
        flex-wrap: wrap;
        min-width: 0;
    }
    .name {
        font-size: 1.25rem;
        flex: 1 1 8rem;
    }
    .name:focus {
        outline: none;
    }
    .hint {
        min-height: 2.8em;
    }
    /* For a dark room: the word and its number, and what stops it. */
    .dim .hint,
    .dim :global(.tally),
    .dim :global(.ridge) {
        visibility: hidden;
    }
    .dim .name {
        opacity: 0;
    }
    .player > .row .urgent {
        flex: 0 1 auto;
        padding-block: 0.5rem;
    }
    .row .button {
        max-width: 100%;
    }
    .urgent {
        border-color: var(--clay);
        color: var(--clay);
    }
    @media (max-height: 600px) {
        .player {
            gap: 0.5rem;
            padding-top: 0.5rem;
        }
        .hint {
            min-height: 0;
        }
    }
</style>
