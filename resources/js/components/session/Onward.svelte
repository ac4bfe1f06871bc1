<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import type { PatientHead } from '../../types/pages';
    import type { SessionHeadView } from '../../types/session';

    /** On to the next step; any but the screening may be skipped. */
    let { patient, session }: { patient: PatientHead; session: SessionHeadView } = $props();

    const at = $derived(session.steps.findIndex((step) => step.key === session.step));
    const next = $derived(session.steps.slice(at + 1));
    const url = (key: string): string => `/patients/${patient.id}/sessions/${session.id}/${key}`;
</script>

{#if next[0]}
    <p class="mt-5 flex gap-3">
        <Button href={url(next[0].key)}>{next[0].label}</Button>
        {#if next[1]}<Button outline href={url(next[1].key)}>Skip to {next[1].label.toLowerCase()}</Button>{/if}
    </p>
{/if}
