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

<div class="ml-auto flex items-end gap-x-4 text-[0.9rem]">
    {#if isMaintenance}<p class="pb-1.5 text-muted">Kept up, without an end</p>{:else}<div class="field w-[4rem]">
            <label for="weeks">Weeks</label><Input
                id="weeks"
                size="sm"
                inputmode="numeric"
                bind:value={rest.weeks}
                aria-invalid={errors.weeks ? 'true' : undefined}
            />
        </div>{/if}
    {#if isFirst}
        <div class="field w-[8.5rem]">
            <label for="starts_on">Starts on</label><Input
                id="starts_on"
                size="sm"
                type="date"
                bind:value={rest.starts_on}
                aria-invalid={errors.starts_on ? 'true' : undefined}
            />
        </div>
    {/if}
    <div class="field w-[8.5rem]">
        <label for="review_on">Review on</label><Input
            id="review_on"
            size="sm"
            type="date"
            bind:value={rest.review_on}
            aria-invalid={errors.review_on ? 'true' : undefined}
        />
    </div>
    <div class="field w-[9.5rem]">
        <label for="rated_symptom">Rated each time</label><Input
            id="rated_symptom"
            size="sm"
            bind:value={rest.rated_symptom}
            aria-invalid={errors.rated_symptom ? 'true' : undefined}
        />
    </div>
    {#if !isFirst}
        <div class="field w-[12rem]">
            <label for="reason">Why it changes</label><Input
                id="reason"
                size="sm"
                bind:value={rest.reason}
                aria-invalid={errors.reason ? 'true' : undefined}
            />
        </div>
    {/if}
    <Button type="submit" class="whitespace-nowrap" disabled={isOff}>Issue version {next}</Button>
</div>

<style>
    .field {
        display: flex;
        flex-direction: column;
        font-weight: 600;
    }
</style>
