<script lang="ts">
    import { endSound } from '../shared/quiet';
    import { Button } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import { closesOnEscape } from '../lib/escape';
    import { clock } from '../shared/format';
    import { toneOf } from '../shared/ridge';
    import { PlayerEngine, type Moment } from '../player/engine';
    import { phrase, stageOf } from '../player/stage';
    import { keepAwake } from '../player/wake';
    import type { RoomPlay } from '../types/exercises';
    import Ridge from '../shared/Ridge.svelte';

    interface Props {
        play: RoomPlay;
        context: AudioContext;
        endsWhenEnough?: boolean;
        /** What is led at this moment. */
        onmoment?: (moment: Moment | null) => void;
        onleave: (end: { enoughStep: number | null; isOver: boolean }) => void;
    }

    let { play, context, endsWhenEnough = false, onmoment, onleave }: Props = $props();

    const leave = (): void => onleave({ enoughStep: engine.enoughStep, isOver });

    function enough(): void {
        engine.enough();
        if (endsWhenEnough) leave();
    }

    const engine = untrack(() => new PlayerEngine(play.timeline, context));
    const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;

    let moment = $state.raw<Moment | null>(null);
    let isPaused = $state(false);
    let isOver = $state(false);
    let stopButton: HTMLElement | undefined = $state();

    const say = (key: string): string => play.words[key] ?? key;
    const cue = $derived(moment?.cue ?? null);
    const stage = $derived(stageOf(moment, play.timeline, play.ridge, isStill));
    const isOpen = $derived(cue !== null && cue.greatest !== null);
    const isTeaching = $derived(moment?.segment.role === 'teach');
    const word = $derived(
        isOver
            ? 'over'
            : cue && isTeaching
              ? say(`${cue.place.step}:${cue.instruction}`)
              : cue
                ? phrase(cue, say)
                : say('cue.lead-in'),
    );

    onMount(() => {
        const letSleep = keepAwake();
        const letGo = closesOnEscape(() => leave());
        engine.onEnd = () => {
            isOver = true;
        };
        engine.onInterrupted = () => {
            isPaused = true;
        };
        engine.start();
        stopButton?.querySelector('button')?.focus();
        let frame = requestAnimationFrame(function draw() {
            moment = engine.now();
            if (!isPaused && !isOver) onmoment?.(moment);
            frame = requestAnimationFrame(draw);
        });
        return () => {
            cancelAnimationFrame(frame);
            engine.stop();
            letSleep();
            letGo();
            endSound(context);
        };
    });

    async function pause(): Promise<void> {
        if (isPaused) await engine.resume();
        else engine.pause();
        isPaused = engine.isPaused;
    }

    function key(event: KeyboardEvent): void {
        if (event.key === ' ' && isOpen && !(event.target instanceof HTMLButtonElement)) {
            event.preventDefault();
            engine.tap();
        }
    }
</script>

<svelte:window onkeydown={key} />

<section class="border border-ink bg-card px-6 py-4" aria-label="Playing {play.name}">
    <div class="flex items-baseline justify-between gap-4">
        <p class="word {cue ? toneOf(cue.kind) : 'rest'}" data-cue={isOver ? 'over' : (cue?.kind ?? '')}>
            {isPaused ? 'paused' : word}
        </p>
        <p class="text-muted">
            {moment && cue && cue.place.of > 0
                ? `breath ${cue.place.breath} of ${cue.place.of}`
                : clock(play.timeline.total_ms)}{cue && cue.place.round > 0 && play.timeline.rounds > 1
                ? `, round ${cue.place.round}`
                : ''}
        </p>
    </div>
    <p class="count" aria-hidden="true" style:opacity={stage.sight}>
        {isPaused || isOver ? '' : stage.wordKey === null ? stage.number : say(stage.wordKey)}
    </p>
    <Ridge shape={stage.shape} width={640} height={92} inked={stage.inked} label={play.name} />
    <div class="mt-3 flex flex-wrap gap-3" bind:this={stopButton}>
        <Button color="alternative" onclick={leave} aria-keyshortcuts="Escape">{isOver ? 'Close' : 'Stop'}</Button>
        {#if !isOver}<Button color="alternative" onclick={pause}>{isPaused ? 'Go on' : 'Pause'}</Button>{/if}
        {#if isTeaching && !isOver}<Button onclick={() => engine.skip()}>Go on to the exercise</Button>{/if}
        {#if isOpen && !isOver}<Button onclick={() => engine.tap()}>It has ended</Button>{/if}
        {#if moment?.segment.enough && engine.enoughStep === null && !isOver}<Button onclick={enough}
                >Long enough</Button
            >{/if}
    </div>
</section>

<style>
    .word {
        font-family: var(--serif);
        font-size: 1.75rem;
        line-height: 1.2;
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
    .count {
        font-family: var(--serif);
        font-size: 5.5rem;
        line-height: 1;
        min-height: 1em;
        font-variant-numeric: lining-nums tabular-nums;
    }
</style>
