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

    type Key = 'weeks' | 'starts_on' | 'review_on' | 'rated_symptom' | 'reason';

    interface Props {
        rest: Rest;
        errors: Record<string, string>;
        isFirst: boolean;
        isMaintenance: boolean;
        /** Number of the version that is issued. */
        next: number;
        isOff: boolean;
    }

    let { rest = $bindable(), errors, isFirst, isMaintenance, next, isOff }: Props = $props();
</script>

{#snippet field(key: Key, label: string, width: string, how: { type?: 'date'; inputmode?: 'numeric' } = {})}
    <div class="field {width}">
        <label for={key}>{label}</label><Input
            id={key}
            size="sm"
            {...how}
            bind:value={rest[key]}
            aria-invalid={errors[key] ? 'true' : undefined}
        />
    </div>
{/snippet}

<div class="ml-auto flex flex-wrap items-end justify-end gap-x-4 gap-y-2 text-[0.9rem]">
    {#if isMaintenance}<p class="pb-1.5 text-muted">Kept up, without an end</p>
    {:else}{@render field('weeks', 'Weeks', 'w-[4rem]', { inputmode: 'numeric' })}{/if}
    {#if isFirst}{@render field('starts_on', 'Starts on', 'w-[8.5rem]', { type: 'date' })}{/if}
    {@render field('review_on', 'Review on', 'w-[8.5rem]', { type: 'date' })}
    {@render field('rated_symptom', 'Rated each time', 'w-[9.5rem]')}
    {#if !isFirst}{@render field('reason', 'Why it changes', 'w-[12rem]')}{/if}
    <Button type="submit" class="whitespace-nowrap" disabled={isOff}>Issue version {next}</Button>
</div>

<style>
    .field {
        display: flex;
        flex-direction: column;
        font-weight: 600;
    }
</style>
