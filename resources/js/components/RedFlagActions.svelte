<script lang="ts">
    import LineForm from './LineForm.svelte';
    import type { PatientHead } from '../types/pages';
    import type { RedFlagAnswer } from '../types/screening';

    let { patient, flags }: { patient: PatientHead; flags: RedFlagAnswer[] } = $props();
</script>

{#if flags.length > 0}
    <section aria-label="Red flags" class="border border-clay bg-card p-5">
        <h2 class="text-lg text-clay">Refer first</h2>
        {#each flags as flag (flag.id)}
            <div class="mt-3 border-t border-rule pt-3">
                <h3 class="text-base">{flag.label}</h3>
                <p class="text-sm text-muted">{flag.raised}</p>
                {#each flag.actions as action (action.on + action.action)}
                    <p class="mt-1 whitespace-pre-line">{action.action}</p>
                    <p class="text-sm text-muted">{action.by}, {action.on}</p>
                {/each}
                {#if flag.actions.length === 0}
                    <LineForm id="action-{flag.id}" url="/patients/{patient.id}/red-flags/{flag.id}/actions" label="What was done about it" button="Record this action" />
                {/if}
            </div>
        {/each}
    </section>
{/if}
