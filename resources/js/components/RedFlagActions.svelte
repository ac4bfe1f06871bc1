<script lang="ts">
    import RedFlagOutcome from './RedFlagOutcome.svelte';
    import type { PatientHead } from '../types/pages';
    import type { PausedExercise, RedFlagAnswer } from '../types/screening';

    let { patient, flags, exercises }: { patient: PatientHead; flags: RedFlagAnswer[]; exercises: PausedExercise[] } =
        $props();
</script>

{#if flags.length > 0}
    <section aria-label="Red flags" class="border border-clay bg-card p-5">
        <h2 class="text-lg text-clay">Refer first</h2>
        {#each flags as flag (flag.id)}
            <div class="mt-3 border-t border-rule pt-3">
                <h3 class="text-base">{flag.label}</h3>
                <p class="text-sm text-muted">
                    {flag.raised}{flag.is_open && flag.pauses ? '; every exercise but recovery is paused' : ''}
                </p>
                {#each flag.actions as action, index (index)}
                    <p class="mt-1 whitespace-pre-line">{action.action}</p>
                    <p class="text-sm text-muted">
                        {action.by}, {action.on}{action.waits ? ' · it waits' : flag.pauses ? ' · may go on' : ''}
                    </p>
                {/each}
                {#if flag.is_open}<RedFlagOutcome {patient} {flag} {exercises} />{/if}
            </div>
        {/each}
    </section>
{/if}
