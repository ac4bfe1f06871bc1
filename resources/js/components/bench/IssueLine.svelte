<script lang="ts" module>
    import type { GoalFields } from '../../types/pages';

    /** What a version says besides its exercises. */
    export interface Rest {
        weeks: string;
        starts_on: string;
        review_on: string;
        rated_symptom: string;
        reason: string;
        based_on: number;
        goal: GoalFields;
    }
</script>

<script lang="ts">
    import { Button, Input } from 'flowbite-svelte';
    import type { ComponentProps } from 'svelte';
    import DateSlot from '../DateSlot.svelte';
    import WeekMinutes from './WeekMinutes.svelte';

    type Key = 'weeks' | 'starts_on' | 'review_on' | 'rated_symptom' | 'reason';

    interface Props {
        /** Minutes of each weekday, and what the patient has. */
        minutes: ComponentProps<typeof WeekMinutes>['minutes'];
        has: number | null;
        rest: Rest;
        errors: Record<string, string>;
        isFirst: boolean;
        isMaintenance: boolean;
        /** Number of the version that is issued. */
        next: number;
        isOff: boolean;
    }

    let { minutes, has, rest = $bindable(), errors, isFirst, isMaintenance, next, isOff }: Props = $props();
</script>

{#snippet field(key: Key, label: string, width: string, isDate = false)}
    <div class="field {width}">
        <label for={key}>{label}</label>
        {#if isDate}<DateSlot
                id={key}
                of={label}
                size="sm"
                bind:value={rest[key]}
                aria-invalid={errors[key] ? 'true' : undefined}
            />{:else}<Input
                id={key}
                size="sm"
                inputmode={key === 'weeks' ? 'numeric' : undefined}
                bind:value={rest[key]}
                aria-invalid={errors[key] ? 'true' : undefined}
            />{/if}
    </div>
{/snippet}

<div class="issue-bar">
    <WeekMinutes {minutes} {has} />
    <div class="issue">
        <div class="flex flex-wrap items-end justify-end gap-x-4 gap-y-2 text-[0.9rem]">
            {#if isMaintenance}<p class="pb-1.5 text-muted">Kept up, without an end</p>
            {:else}{@render field('weeks', 'Weeks', 'w-[4rem]')}{/if}
            {#if isFirst}{@render field('starts_on', 'Starts on', 'w-[9.5rem]', true)}{/if}
            {@render field('review_on', 'Review on', 'w-[9.5rem]', true)}
            {@render field('rated_symptom', 'Rated each time', 'w-[9.5rem]')}
            {#if !isFirst}{@render field('reason', 'Why it changes', 'w-[12rem]')}{/if}
            <Button type="submit" class="whitespace-nowrap" disabled={isOff}>Issue version {next}</Button>
        </div>
    </div>
</div>

<style>
    /* Issuing stays in view, and nothing that has the focus is under it. */
    .issue-bar {
        display: flex;
        flex-wrap: wrap;
        align-items: start;
        gap: 0.5rem 1.75rem;
        padding: 0.6rem 0;
    }
    .issue {
        margin-left: auto;
    }
    @media (min-width: 48rem) and (min-height: 40rem) {
        .issue-bar,
        .issue {
            background: var(--paper);
        }
        .issue-bar {
            display: contents;
        }
        .issue {
            position: sticky;
            bottom: 0;
            z-index: 10;
            padding: 0.6rem 0;
            border-top: 1px solid var(--ink);
        }
        :global(html:has(.issue-bar)) {
            scroll-padding-bottom: 6rem;
        }
    }
    @media (min-width: 70rem) and (min-height: 40rem) {
        .issue-bar {
            display: flex;
            position: sticky;
            bottom: 0;
            z-index: 10;
            border-top: 1px solid var(--ink);
            margin-top: -1px;
        }
        .issue {
            position: static;
            padding: 0;
            border: 0;
        }
    }
    .field {
        display: flex;
        flex-direction: column;
        font-weight: 600;
    }
</style>
