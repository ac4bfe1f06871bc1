<script lang="ts">
    import type { GoalFields, GoalMeasure } from '../../types/pages';

    let {
        goal = $bindable(),
        errors,
        measures,
    }: { goal: GoalFields; errors: Record<string, string>; measures: GoalMeasure[] } = $props();

    const unit = $derived(
        measures.find((measure) => measure.name.toLowerCase() === goal.measure.trim().toLowerCase())?.unit ?? '',
    );
</script>

<p class="text-[0.925rem] leading-8">
    In the patient’s words <input
        class="slot small !text-left"
        aria-label="Goal in the patient’s words"
        maxlength="250"
        bind:value={goal.words}
    />; measured as
    <input class="slot small !text-left" aria-label="What is measured" list="goal-measures" bind:value={goal.measure} />
    <datalist id="goal-measures">
        {#each measures as measure (measure.name)}<option value={measure.name}>{measure.unit}</option>{/each}
    </datalist>
    <select class="slot small" aria-label="Direction" bind:value={goal.direction}
        ><option value="at-most">at most</option><option value="at-least">at least</option></select
    >
    <input class="slot small" aria-label="Target" inputmode="decimal" bind:value={goal.target} />{unit
        ? ` ${unit}`
        : ''}.
</p>
{#each ['words', 'measure', 'target', 'direction'] as field (field)}{#if errors[`goal.${field}`]}<p
            class="font-semibold text-clay"
        >
            {errors[`goal.${field}`]}
        </p>{/if}{/each}
