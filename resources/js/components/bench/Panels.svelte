<script lang="ts" module>
    export type Panel = '' | 'led' | 'ladder' | 'more' | 'fit' | 'compare' | 'start' | 'goal';
</script>

<script lang="ts">
    import { intoView } from '../../lib/intoView';
    import type { BestPace } from '../../types/props';
    import type { BenchChoices, GoalMeasure, TechniqueChoice } from '../../types/pages';
    import type { Bench } from './bench.svelte';
    import ComparePanel from './ComparePanel.svelte';
    import FitPanel from './FitPanel.svelte';
    import GoalPanel from './GoalPanel.svelte';
    import type { Rest } from './IssueLine.svelte';
    import LadderPanel from './LadderPanel.svelte';
    import Led from './Led.svelte';
    import ShortAndWhy from './ShortAndWhy.svelte';
    import StartPanel from './StartPanel.svelte';

    interface Props {
        bench: Bench;
        choices: BenchChoices;
        /** None for a routine. */
        technique: TechniqueChoice | undefined;
        measured: Record<string, number>;
        bestPace: BestPace | null;
        goals: GoalMeasure[];
        /** The breath that this exercise has now. */
        inForce: { ratio: string; count_length: number } | null;
        errors: Record<string, string>;
        panel: Panel;
        rest: Rest;
        exportUrl: string | null;
        isPlaying: boolean;
        onplay: () => void;
    }

    let {
        bench,
        choices,
        technique,
        measured,
        bestPace,
        goals,
        inForce,
        errors,
        panel = $bindable(),
        rest = $bindable(),
        exportUrl,
        isPlaying,
        onplay,
    }: Props = $props();

    const PANELS = [
        ['led', 'How it is led', 'Sound, words and signs of the pacer, and how far the patient may slow it'],
        ['ladder', 'Steps up', 'The ladder: what it becomes when it is stepped up or back'],
        ['fit', 'Fit, tap', 'Fit it to a rate or a length, or tap the patient’s own breath'],
        ['compare', 'Compare', 'Two breaths side by side'],
        [
            'more',
            'Short, asked, why',
            'The short version for a bad day, what is asked afterwards, and why it is prescribed',
        ],
        ['goal', 'Goal', 'What the whole programme is for, and how far'],
        ['start', 'Templates, files', 'Begin from a template or a file, or keep this as one'],
    ] as const;
    let opened = $state<HTMLElement>();
    const shown = $derived(
        PANELS.filter(
            ([key]) =>
                (technique !== undefined || key === 'more' || key === 'goal' || key === 'start') &&
                ((key !== 'fit' && key !== 'compare') || technique?.has_ratio === true),
        ),
    );
</script>

<div class="mt-1.5 flex flex-wrap items-baseline gap-x-3 border-t border-rule pt-1.5 text-[0.8125rem]">
    {#each shown as [each, label, opens] (each)}
        {#if each === 'goal'}<span class="border-l border-rule pl-3 text-muted">whole programme</span>{/if}
        <button
            type="button"
            title={opens}
            class="plain"
            aria-expanded={panel === each}
            onclick={() => {
                panel = panel === each ? '' : each;
                void intoView(() => opened);
            }}>{label}</button
        >
    {/each}
    <span class="ml-auto flex gap-3">
        <button type="button" class="plain" disabled={bench.mine.figures === null || isPlaying} onclick={onplay}
            >play it here</button
        >
        <button
            type="button"
            class="plain"
            disabled={!bench.canUndo}
            aria-keyshortcuts="Control+Z"
            onclick={() => bench.undo()}>undo</button
        >
        <button
            type="button"
            class="plain"
            disabled={!bench.canRedo}
            aria-keyshortcuts="Control+Shift+Z"
            onclick={() => bench.redo()}>redo</button
        >
    </span>
</div>
{#if panel !== ''}
    <div bind:this={opened} class="mt-1 mb-1.5">
        {#if panel === 'led' && technique}<Led {bench} {choices} {technique} />
        {:else if panel === 'ladder' && technique}<LadderPanel {bench} />
        {:else if panel === 'fit' && technique}<FitPanel {bench} {measured} {bestPace} />
        {:else if panel === 'compare' && technique}<ComparePanel {bench} before={inForce} />
        {:else if panel === 'more'}<ShortAndWhy {bench} {choices} {technique} />
        {:else if panel === 'start'}<StartPanel
                {bench}
                {choices}
                {exportUrl}
                ontaken={(taken) => {
                    bench.replace(taken.items, taken.school, choices.techniques);
                    if (taken.weeks !== undefined) rest.weeks = String(taken.weeks);
                    if (taken.rated_symptom) rest.rated_symptom = taken.rated_symptom;
                    if (taken.goal) rest.goal = taken.goal;
                }}
            />
        {:else if panel === 'goal'}<GoalPanel bind:goal={rest.goal} {errors} measures={goals} />{/if}
    </div>
{/if}

<style>
    button:disabled {
        color: var(--muted);
        opacity: 0.6;
        cursor: default;
    }
</style>
