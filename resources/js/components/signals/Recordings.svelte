<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import type { RecordingLine } from '../../types/signals';
    import type { Desk } from '../measure/desk.svelte';
    import KeepProblem from '../measure/KeepProblem.svelte';
    import Paces from './Paces.svelte';
    import type { Signals } from './signals.svelte';

    /** What was recorded, what it says, and what of it is kept. */
    let { signals, desk, patientId }: { signals: Signals; desk: Desk; patientId: string } = $props();

    let trouble = $state.raw<string | null>(null);

    async function keep(recording: RecordingLine, measure: string): Promise<void> {
        const of = desk.shown.measures.find((each) => each.key === measure);
        trouble = recording.uuid;
        if (!of) return;
        desk.position = recording.position ?? 'seated';
        if (await desk.keep(of, { recording: recording.uuid })) await signals.refresh();
    }
</script>

<h2 class="mb-1 text-[1.15rem]">Recorded</h2>
{#each signals.shown.recordings as recording (recording.uuid)}
    <section class="border-t border-rule py-2.5" aria-label="{recording.label}, {recording.on}">
        <p class="flex flex-wrap items-baseline gap-x-3">
            <strong class="font-serif">{recording.label}{recording.about ? `: ${recording.about}` : ''}</strong>
            <span class="text-[0.875rem] text-muted"
                >{recording.on}{recording.position ? `, ${recording.position}` : ''}</span
            >
        </p>
        {#each recording.lines as line (line)}<p>{line}</p>{:else}<p class="text-muted">Not read yet.</p>{/each}
        {#if recording.paces.length > 0}<Paces paces={recording.paces} />
            <Link class="linklike" href="/patients/{patientId}/bench">To the Bench, to fit an exercise to it</Link>{/if}
        {#if recording.keep.length > 0}
            <p class="mt-1 flex flex-wrap gap-x-5 gap-y-1">
                {#each recording.keep as value (value.measure)}
                    {#if value.kept}<span class="text-muted">{value.label} {value.value}: kept</span>
                    {:else}<button type="button" class="linklike" onclick={() => keep(recording, value.measure)}
                            >Keep {value.value} as {value.label}</button
                        >{/if}
                {/each}
            </p>
            {#if trouble === recording.uuid}
                {#each recording.keep as value (value.measure)}
                    {@const measure = desk.shown.measures.find((each) => each.key === value.measure)}
                    {#if measure}<KeepProblem {desk} {measure} onkept={() => void signals.refresh()} />{/if}
                {/each}
            {/if}
        {/if}
        <p class="mt-0.5 flex flex-wrap items-baseline gap-x-4 text-[0.875rem] text-muted">
            <span
                >{recording.samples}{recording.outside > 0
                    ? `; ${recording.outside} that were measured before or after it were left out`
                    : ''}</span
            >
            {#if recording.has_samples}
                <a class="linklike" href="{signals.url}/{recording.uuid}/trace.edf">EDF+</a>
                <a class="linklike" href="{signals.url}/{recording.uuid}/trace.csv">CSV</a>
                <button type="button" class="linklike" onclick={() => signals.forget(recording.uuid)}
                    >Remove the samples</button
                >
            {/if}
        </p>
    </section>
{:else}
    <p class="text-muted">Nothing was recorded yet.</p>
{/each}
