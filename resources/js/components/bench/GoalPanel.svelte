<script lang="ts">
    import type { GoalFields } from '../../types/pages';

    let { goal = $bindable(), errors }: { goal: GoalFields; errors: Record<string, string> } = $props();
</script>

<p class="text-[0.925rem] leading-8">
    In the patient’s words <input
        class="slot small !text-left"
        aria-label="Goal in the patient’s words"
        maxlength="250"
        bind:value={goal.words}
    />; measured as <input class="slot small !text-left" aria-label="What is measured" bind:value={goal.measure} />
    <select class="slot small" aria-label="Direction" bind:value={goal.direction}
        ><option value="at-most">at most</option><option value="at-least">at least</option></select
    >
    <input class="slot small" aria-label="Target" inputmode="decimal" bind:value={goal.target} />.
</p>
{#each ['words', 'measure', 'target', 'direction'] as field (field)}{#if errors[`goal.${field}`]}<p
            class="font-semibold text-clay"
        >
            {errors[`goal.${field}`]}
        </p>{/if}{/each}
