<script lang="ts" module>
    export interface Progress {
        breathsDone: number;
        exerciseMs: number;
        steps: StepDone[];
        openMs: number[];
        enoughStep: number | null;
        tempo: number | null;
        interruptions: number;
        recoveredAfterS: number | null;
    }
</script>

<script lang="ts">
    import { onMount, untrack } from 'svelte';
    import BreathTally from '../../shared/BreathTally.svelte';
    import Ridge from '../../shared/Ridge.svelte';
    import { toneOf } from '../../shared/ridge';
    import { buzz } from '../../player/buzz';
    import { PlayerEngine, type Moment } from '../../player/engine';
    import type { StepDone } from '../../player/progress';
    import type { Voice } from '../../player/speaking';
    import { phrase, stageOf } from '../../player/stage';
    import { keepAwake } from '../../player/wake';
    import type { Cue } from '../../shared/timeline';
    import { ridgeWords, t, told } from '../words';
    import type { Settings } from '../keeping/settings';
    import HelpCard from '../HelpCard.svelte';
    import type { Help, Playable, Rules, TodayItem } from '../types';

    interface Props {
        item: TodayItem;
        played: Playable;
        /** What it hangs on, in words. */
        anchor: string | null;
        context: AudioContext;
        settings: Settings;
        voice: Voice | null;
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
    const isCounted = $derived(played.breaths !== null);
    const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;

    let moment = $state.raw<Moment | null>(null);
    let isPaused = $state(false);
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
    const tone = $derived(cue ? toneOf(cue.kind) : 'rest');
    /** A step of a routine, while it is taught before it is led. */
    const taught = $derived(
        moment?.segment.role === 'teach'
            ? (item.taught.find((each) => each.step === moment?.cue.place.step) ?? null)
            : null,
    );
    /** Which exercise of a routine it is, from 1; 0 where there is only one. */
    const stepAt = $derived(item.taught.findIndex((each) => each.step === cue?.place.step) + 1);
    const taughtText = (key: string): string => taught?.told.find((each) => each.key === key)?.text ?? '';
    /** What is still to come before the step is led. */
    const stillTaught = $derived(
        taught && moment && cue
            ? moment.segment.cues
                  .map((each) => each.instruction)
                  .slice(moment.segment.cues.findIndex((each) => each.instruction === cue.instruction) + 1)
            : [],
    );
    const word = $derived(taught && cue ? taughtText(cue.instruction) : cue ? phrase(cue, t) : t('cue.lead-in'));
    /** What right looks like, of the present step. */
    const criterion = $derived(
        item.taught.find((each) => each.step === cue?.place.step)?.told.at(-1)?.text ?? told(item, 'right')[0] ?? '',
    );
    const isExercise = $derived(moment?.segment.role === 'exercise');
    const shown = $derived(stage.wordKey === null ? stage.number : t(stage.wordKey));
    /** Breaths to come, fewer when the patient has said that it is enough. */
    let breaths = $state(untrack(() => played.breaths ?? 0));
    const canBeEnough = $derived(moment !== null && moment.segment.enough === true && breaths === played.breaths);

    const HALF_FRAME_S = 1 / 120;
    const LONGEST_FRAME_S = 0.1;

    /** For recovery: how long it has gone on, and what was said of it. */
    let helped = $state<'no' | 'asked' | 'easing' | 'shown'>('no');
    function watchRecovery(): () => void {
        if (!item.recovery) return () => undefined;
        const ask = setTimeout(() => {
            if (helped === 'no') helped = 'asked';
        }, seconds.ask_after * 1000);
        const show = setTimeout(() => {
            helped = 'shown';
        }, seconds.help_after * 1000);
        return () => {
            clearTimeout(ask);
            clearTimeout(show);
        };
    }

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
        const watched = watchRecovery();
        let buzzed: Cue | null = null;
        // What is drawn now is seen until the next frame: half a frame ahead is right in the middle.
        let drawnAt = 0;
        let half = HALF_FRAME_S;
        let frame = requestAnimationFrame(function draw(at: number) {
            if (drawnAt > 0) half += (Math.min(LONGEST_FRAME_S, (at - drawnAt) / 1000) / 2 - half) * 0.1;
            drawnAt = at;
            moment = engine.now(half);
            if (settings.vibration && !isPaused && moment && moment.cue !== buzzed) {
                buzzed = moment.cue;
                buzz(moment.cue.kind);
            }
            frame = requestAnimationFrame(draw);
        });
        return () => {
            cancelAnimationFrame(frame);
            // Left by the Back button: what was done since the last report is not lost.
            if (!isOver) report();
            watched();
            engine.stop();
            letSleep();
        };
    });

    function progress(): Progress {
        return {
            ...engine.progress(),
            openMs: engine.openMs,
            enoughStep: engine.enoughStep,
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
        const done = progress();
        const steps = isCounted ? done.breathsDone : Math.floor(done.exerciseMs / 5000);
        if (steps === reported) return;
        reported = steps;
        onprogress(done);
    }

    async function pause(): Promise<void> {
        hasWaited = false;
        if (isPaused) await engine.resume();
        else engine.pause();
        isPaused = engine.isPaused;
    }

    /** A call, a locked screen: the sound stopped, so it waits and says so. */
    function interrupted(): void {
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

    /** A step slower or faster, within what was prescribed, from the next breath on. */
    const STEP = 0.05;
    let tempo = $state(1);
    function pace(by: number): void {
        if (!item.tempo) return;
        tempo = Math.max(item.tempo.fastest, Math.min(item.tempo.slowest, Math.round((tempo + by) * 100) / 100));
        engine.setTempo(tempo);
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

    function enough(): void {
        engine.enough();
        breaths = engine.breaths;
        reported = -1;
    }

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
    }}
/>

<main class="player">
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
    {#if item.recovery}
        {#if helped === 'shown'}<HelpCard {help} />
        {:else}
            <p class="small">{help.emergency} {t('patient.practice.reliever')}</p>
            {#if helped === 'asked'}
                <div class="row easing" role="alert">
                    <p>{t('patient.practice.not-easing')}</p>
                    <button
                        type="button"
                        class="button second"
                        onclick={() => {
                            helped = 'easing';
                        }}>{t('patient.practice.easing')}</button
                    >
                    <button
                        type="button"
                        class="button second urgent"
                        onclick={() => {
                            helped = 'shown';
                        }}>{t('patient.practice.not-easing-now')}</button
                    >
                </div>
            {/if}
        {/if}
    {/if}
    {#if played.breaths !== null}
        <div class="row tally">
            <BreathTally
                done={moment ? moment.breathsDone : 0}
                of={breaths}
                label="{moment?.breathsDone ?? 0} / {breaths}"
            />
            <span class="muted"
                >{isExercise && cue && cue.place.of > 0
                    ? cue.place.breath === breaths
                        ? t('patient.practice.last')
                        : t('patient.practice.nth', { n: cue.place.breath, all: breaths })
                    : ''}</span
            >
        </div>
    {/if}
    <div class="pace">
        <p class="word {tone}" class:taught={taught !== null} data-cue={cue?.kind ?? ''} style:opacity={stage.sight}>
            {isPaused ? t(hasWaited ? 'patient.practice.waited' : 'patient.practice.paused') : word}
        </p>
        <p
            class="number"
            class:none={taught !== null}
            class:long={shown.length > 5}
            aria-hidden="true"
            style:opacity={stage.sight}
        >
            {isPaused ? '' : shown}
        </p>
        {#if stillTaught.length > 0}
            <ul class="after small muted">
                {#each stillTaught as key (key)}<li>{taughtText(key)}</li>{/each}
            </ul>
        {/if}
        <!-- The ridge of a routine is of one of its breaths: in the others it would be the wrong one. -->
        <div
            class="ridge"
            class:hidden={item.taught.length > 0 && !(cue && cue.place.breath > 0)}
            style:opacity={stage.sight}
        >
            <Ridge
                words={ridgeWords()}
                shape={stage.shape}
                width={350}
                height={108}
                inked={stage.inked}
                label={t(item.name)}
            />
        </div>
    </div>
    <p class="small muted hint">
        {taught ? '' : criterion}
        {cue?.kind === 'hold' ? t('patient.practice.holds') : isCounted ? t('patient.practice.lost-nothing') : ''}
    </p>
    <div class="foot stack">
        {#if canBeEnough}<button type="button" class="button second" onclick={enough}
                >{t('patient.practice.enough')}</button
            >{/if}
        {#if taught}<button type="button" class="button second" onclick={() => engine.skip()}
                >{t('patient.practice.skip-teaching')}</button
            >{/if}
        {#if isOpen}<button type="button" class="button second" onclick={() => engine.tap()} aria-keyshortcuts="Space"
                >{t('patient.practice.tap')}</button
            >{/if}
        <div class="row">
            <button type="button" class="button plain" onclick={pause}
                >{t(isPaused ? 'patient.practice.go-on' : 'patient.practice.pause')}</button
            >
            <button type="button" class="button plain" aria-pressed={hasSound} onclick={sound}
                >{t(hasSound ? 'patient.practice.sound' : 'patient.practice.no-sound')}</button
            >
        </div>
        {#if item.tempo}
            <div class="row">
                <button
                    type="button"
                    class="button plain"
                    disabled={tempo >= item.tempo.slowest}
                    onclick={() => pace(STEP)}>{t('patient.practice.slower')}</button
                >
                <span class="small muted" role="status"
                    >{tempo === 1
                        ? t('patient.practice.as-prescribed')
                        : t('patient.practice.from-next', { percent: Math.round(tempo * 100) })}</span
                >
                <button
                    type="button"
                    class="button plain"
                    disabled={tempo <= item.tempo.fastest}
                    onclick={() => pace(-STEP)}>{t('patient.practice.faster')}</button
                >
            </div>
        {/if}
    </div>
    <div class="always">
        {#if item.recovery}<button type="button" class="button back" onclick={breathBack}
                >{t('patient.practice.breath-back')}</button
            >{/if}
        <button type="button" class="button stop" onclick={stop} aria-keyshortcuts="Escape"
            >{t('patient.practice.stop')}</button
        >
    </div>
</main>

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
    .ridge {
        min-width: 0;
    }
    .name {
        font-size: 1.25rem;
        flex: 1 1 8rem;
    }
    .name:focus {
        outline: none;
    }
    .word {
        font-family: var(--serif);
        font-size: 2rem;
        line-height: 1.2;
        min-height: 2.4em;
        display: flex;
        align-items: end;
    }
    .word.taught {
        font-size: 1.5rem;
        min-height: 2.4em;
        align-items: start;
    }
    .after {
        margin: 0;
        padding-left: 1.1rem;
    }
    .ridge.hidden {
        display: none;
    }
    .word.inhale {
        color: var(--reed);
    }
    .word.hold {
        color: var(--ochre);
    }
    .word.exhale {
        color: var(--heather);
    }
    .number {
        font-family: var(--serif);
        font-size: clamp(5rem, 26vw, 8.5rem);
        line-height: 1;
        min-height: 1em;
        font-variant-numeric: lining-nums tabular-nums;
    }
    .number.none {
        display: none;
    }
    .number.long {
        font-size: clamp(3.5rem, 18vw, 6rem);
    }
    .pace {
        display: flex;
        flex-direction: column;
        gap: 1rem;
    }
    .hint {
        min-height: 2.8em;
    }
    .player > .row:not(.easing) .urgent {
        flex: 0 1 auto;
        padding-block: 0.5rem;
    }
    .row .button {
        max-width: 100%;
    }
    .easing {
        flex-wrap: wrap;
    }
    .urgent {
        border-color: var(--clay);
        color: var(--clay);
    }
    /* Stop is in view wherever the page stands, on the smallest screen and with the largest text. */
    .always {
        position: sticky;
        bottom: 0;
        z-index: 2;
        background: var(--paper);
        margin-inline: -1.25rem;
        padding: 0.5rem 1.25rem 1rem;
        display: flex;
        flex-wrap: wrap;
        gap: 0.5rem;
    }
    .always .back {
        flex: 1 1 100%;
    }
    @media (max-height: 600px) {
        .player {
            gap: 0.5rem;
            padding-top: 0.5rem;
        }
        .pace {
            gap: 0.25rem;
        }
        .word {
            font-size: 1.5rem;
            min-height: 1.2em;
        }
        .number {
            font-size: min(5rem, 18vh);
        }
        .number.long {
            font-size: min(3.5rem, 14vh);
        }
        .hint {
            min-height: 0;
        }
        .always {
            padding-block: 0.35rem;
        }
        /* Side by side: both are in view, and the breath too. */
        .always .back,
        .always .stop {
            flex: 1 1 6rem;
            width: auto;
            min-height: 3rem;
            padding: 0.4rem;
        }
    }
    @media (max-height: 600px) and (min-aspect-ratio: 3 / 2) {
        .pace {
            display: grid;
            grid-template: auto auto / 1fr 1fr;
            align-items: center;
        }
        .ridge {
            grid-area: 1 / 2 / 3 / 3;
        }
    }
</style>
