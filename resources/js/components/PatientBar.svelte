<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import type { PatientHead } from '../types/pages';

    interface Props {
        patient: PatientHead;
        here: 'course' | 'screening' | 'measure' | 'bench' | 'access' | 'version' | 'letters' | 'record';
        note?: string;
    }

    let { patient, here, note = '' }: Props = $props();

    const rooms = [
        ['course', 'Course', ''],
        ['screening', 'Screening', '/screening'],
        ['measure', 'Measure', '/measure'],
        ['bench', 'Bench', '/bench'],
        ['access', 'Access', '/access'],
        ['letters', 'Letters', '/letters'],
        ['record', 'Record', '/record'],
    ] as const;
</script>

<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pt-4 pb-2.5">
    <h1 class="text-[1.45rem]">{patient.name}</h1>
    <span class="text-muted">{patient.age}{patient.born ? `, born ${patient.born}` : ''}{note ? ` · ${note}` : ''}</span
    >
    {#each patient.flags as flag (flag)}<span class="chip">{flag}</span>{/each}
    <nav aria-label="About {patient.name}" class="ml-auto flex flex-wrap gap-x-5 print:hidden">
        {#each rooms as [key, name, path] (key)}
            <Link
                href="/patients/{patient.id}{path}"
                class={here === key ? 'border-b-2 border-ink font-semibold' : 'text-reed'}
                aria-current={here === key ? 'page' : undefined}>{name}</Link
            >
        {/each}
        {#if !patient.archived_on}<button
                type="button"
                class="plain"
                onclick={() => router.post(`/patients/${patient.id}/sessions`)}
                >{patient.open_session ? 'Go on with the session' : 'Begin a session'}</button
            >{/if}
    </nav>
</div>
{#if patient.archived_on}
    <p class="mt-3 border-l-4 border-ink bg-card px-4 py-2.5">
        Archived on {patient.archived_on}.
        <Link href="/patients/{patient.id}/record" class="linklike">Bring the patient back under Record</Link>
    </p>
{/if}
{#if patient.obstacle && here !== 'screening'}
    <p class="mt-3 border-l-4 border-clay bg-card px-4 py-2.5">
        {patient.obstacle}
        <Link href="/patients/{patient.id}/screening" class="linklike">To the screening</Link>
    </p>
{/if}
