<script lang="ts" module>
    import type { PracticeLog } from '../types';

    export interface Ratings {
        after: number | null;
        effort: number | null;
        smooth: 'yes' | 'partly' | 'no' | null;
        slight_symptom: boolean | null;
        remark: string | null;
        self_checks: Record<string, string> | null;
        pace_taps: PracticeLog['pace_taps'];
    }
</script>

<script lang="ts">
    import { onMount } from 'svelte';
    import Rating from './Rating.svelte';
    import TapPace from './TapPace.svelte';
    import { t } from '../words';
    import Felt from '../feel/Felt.svelte';
    import type { Playable, TodayItem } from '../types';

    interface Props {
        symptom: string;
        /** What is asked besides. */
        checks: TodayItem['checks'];
        /** Tapped before it began; without it, there is nothing to compare. */
        tapsBefore: number[] | null;
        /** What the phone felt, if it did. */
        felt: { uuid: string; played: Playable } | null;
        onchange: (ratings: Ratings) => void;
        onfinished: (ratings: Ratings) => void;
    }

    let { symptom, checks, tapsBefore, felt, onchange, onfinished }: Props = $props();

    let ratings = $state<Ratings>({
        after: null,
        effort: null,
        smooth: null,
        slight_symptom: null,
        remark: null,
        self_checks: null,
        pace_taps: null,
    });
    let heading: HTMLHeadingElement | undefined = $state();
    onMount(() => {
        heading?.focus();
        scrollTo(0, 0);
    });

    function tapped(taps: number[] | null): void {
        ratings.pace_taps = taps === null ? null : { before: tapsBefore, after: taps };
    }

    const SMOOTH = ['yes', 'partly', 'no'] as const;

    const said = (): Ratings => ({
        ...$state.snapshot(ratings),
        remark: ratings.remark?.trim() ? ratings.remark.trim().slice(0, 1000) : null,
    });
    // What is rated is kept as it is tapped, so that a closed tab does not lose it.
    $effect(() => onchange(said()));
</script>

<main>
    <h1 bind:this={heading} tabindex="-1">{t('patient.practice.done')}</h1>
    {#if felt}<Felt {...felt} />{/if}
    <Rating
        title={t('patient.practice.after', { symptom })}
        value={ratings.after}
        onrated={(value) => {
            ratings.after = value;
        }}
    />
    <Rating
        title={t('patient.practice.effort')}
        hint={t('patient.practice.effort-hint')}
        value={ratings.effort}
        onrated={(value) => {
            ratings.effort = value;
        }}
    />
    <div class="stack" role="group" aria-labelledby="smooth">
        <h2 id="smooth">{t('patient.practice.smooth')}</h2>
        <div class="row">
            {#each SMOOTH as answer (answer)}
                <button
                    type="button"
                    class="button second"
                    class:chosen={ratings.smooth === answer}
                    aria-pressed={ratings.smooth === answer}
                    onclick={() => {
                        ratings.smooth = answer;
                    }}>{t(`patient.practice.${answer}`)}</button
                >
            {/each}
        </div>
    </div>
    {#if tapsBefore !== null}<TapPace title={t('patient.pace.after')} ontaps={tapped} />{/if}
    {#each checks.filter((check) => check.key !== 'pace') as check (check.key)}
        <div class="stack" role="group" aria-labelledby="check-{check.key}">
            <h2 id="check-{check.key}">{check.question}</h2>
            <div class="row">
                {#each check.answers as answer (answer.value)}
                    <button
                        type="button"
                        class="button second"
                        class:chosen={ratings.self_checks?.[check.key] === answer.value}
                        aria-pressed={ratings.self_checks?.[check.key] === answer.value}
                        onclick={() => {
                            ratings.self_checks = { ...ratings.self_checks, [check.key]: answer.value };
                        }}>{answer.label}</button
                    >
                {/each}
            </div>
        </div>
    {/each}
    <label class="row slight"
        ><span>{t('patient.practice.slight')}</span><input
            type="checkbox"
            onchange={(event) => {
                ratings.slight_symptom = event.currentTarget.checked;
            }}
        /></label
    >
    <div class="stack">
        <label for="remark">{t('patient.practice.remark')}</label>
        <textarea id="remark" class="input" rows="2" maxlength="1000" bind:value={ratings.remark}></textarea>
        <p class="small muted">{t('patient.practice.remark-hint')}</p>
    </div>
    <button type="button" class="button" onclick={() => onfinished(said())}>{t('patient.practice.keep')}</button>
</main>

<style>
    .chosen {
        background: var(--ink);
        border-color: var(--ink);
        color: var(--paper);
    }
    .slight {
        font-weight: 400;
        border-top: 1px solid var(--rule);
        padding-top: 0.75rem;
    }
    .slight input {
        width: 1.6rem;
        height: 1.6rem;
        accent-color: var(--reed);
        flex: none;
    }
    h1:focus {
        outline: none;
    }
</style>
