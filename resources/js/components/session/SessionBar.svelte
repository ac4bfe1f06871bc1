<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { onMount } from 'svelte';
    import AskWhy from '../asking/AskWhy.svelte';
    import { clock } from '../../shared/format';
    import type { PatientHead } from '../../types/pages';
    import type { SessionHeadView } from '../../types/session';

    let { patient, session, note = '' }: { patient: PatientHead; session: SessionHeadView; note?: string } = $props();

    const LONGEST_MS = 4 * 3_600_000;
    let now = $state(Date.now());
    onMount(() => {
        const timer = setInterval(() => {
            now = Date.now();
        }, 1000);
        return () => clearInterval(timer);
    });
    const passed = $derived(now - new Date(session.begun_at).getTime());
    const when = $derived(
        session.closed_on
            ? `signed ${session.closed_on}`
            : passed < LONGEST_MS
              ? clock(Math.max(0, passed))
              : `begun ${session.begun_on}`,
    );
</script>

<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4 pb-2">
    <h1 class="text-[1.45rem]"><Link href="/patients/{patient.id}">{patient.name}</Link></h1>
    <span class="text-muted"
        >{patient.age}{patient.born ? `, born ${patient.born}` : ''} · session {session.number} ·
        <span class="tabular-nums">{when}</span>{note ? ` · ${note}` : ''}</span
    >
    {#each patient.flags as flag (flag)}<span class="chip">{flag}</span>{/each}
    {#if !session.closed_on}<span class="ml-auto text-[0.925rem]"
            ><AskWhy
                url="/patients/{patient.id}/sessions/{session.id}/drop"
                opener="Begun by mistake"
                title="Drop session {session.number}"
                text="The session counts no more. What was typed in it stays readable in the record; what was
                    measured stands until you strike it there."
                button="Drop the session"
            /></span
        >{/if}
</div>
<nav aria-label="Steps of the session" class="grid grid-cols-8 border-t border-ink">
    {#each session.steps as step, index (step.key)}
        <Link
            href="/patients/{patient.id}/sessions/{session.id}/{step.key}"
            class="step {step.key === session.step ? 'here' : ''} {step.has ? 'has' : ''}"
            aria-current={step.key === session.step ? 'step' : undefined}
            data-step={index + 1}
            >{step.label}{#if step.has}<span class="visually-hidden">, something is kept</span>{/if}</Link
        >
    {/each}
</nav>
{#if patient.obstacle}
    <p class="mt-2 border-l-4 border-clay bg-card px-4 py-2">
        {patient.obstacle}
        <Link href="/patients/{patient.id}/screening?session={session.id}" class="linklike">To the screening</Link>
    </p>
{/if}

<style>
    nav :global(.step) {
        padding: 0.55rem 0.25rem 0.4rem 0;
        color: var(--muted);
        border-top: 4px solid transparent;
        margin-top: -1px;
    }
    nav :global(.step.has) {
        color: var(--ink);
    }
    nav :global(.step.here) {
        color: var(--ink);
        font-weight: 650;
        border-top-color: var(--ink);
    }
</style>
