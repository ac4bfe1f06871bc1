<script lang="ts">
    import { POINTS } from '../feel/ink';
    import Ridge from '../../shared/Ridge.svelte';
    import { toneOf } from '../../shared/ridge';
    import type { Moment } from '../../player/engine';
    import { phrase, type Stage } from '../../player/stage';
    import { ridgeWords, t } from '../words';
    import type { TodayItem } from '../types';

    interface Props {
        item: TodayItem;
        moment: Moment | null;
        stage: Stage;
        /** A step of a routine, while it is taught before it is led. */
        taught: TodayItem['taught'][number] | null;
        /** Paused by the patient, or by itself because the sound stopped. */
        waiting: 'paused' | 'waited' | null;
        /** The patient's own breath so far, where a phone feels it and can be seen. */
        own: number[] | null;
    }

    let { item, moment, stage, taught, waiting, own }: Props = $props();

    const cue = $derived(moment?.cue ?? null);
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
    const shown = $derived(stage.wordKey === null ? stage.number : t(stage.wordKey));
    const tone = $derived(cue ? toneOf(cue.kind) : 'rest');
</script>

<div class="pace">
    <p class="word {tone}" class:taught={taught !== null} data-cue={cue?.kind ?? ''} style:opacity={stage.sight}>
        {waiting === null ? word : t(`patient.practice.${waiting}`)}
    </p>
    <p
        class="number"
        class:none={taught !== null}
        class:long={shown.length > 5}
        aria-hidden="true"
        style:opacity={stage.sight}
    >
        {waiting === null ? shown : ''}
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
            {own}
            ownOf={POINTS}
            label={t(item.name)}
        />
    </div>
</div>

<style>
    .pace {
        display: flex;
        flex-direction: column;
        gap: 1rem;
    }
    .ridge {
        min-width: 0;
    }
    .ridge.hidden {
        display: none;
    }
    .word {
        font-family: var(--serif);
        font-size: 2rem;
        line-height: 1.2;
        min-height: 2.4em;
        display: flex;
        align-items: end;
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
    .word.taught {
        font-size: 1.5rem;
        align-items: start;
    }
    .after {
        margin: 0;
        padding-left: 1.1rem;
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
    @media (max-height: 600px) {
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
