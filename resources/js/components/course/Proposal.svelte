<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import Field from '../Field.svelte';
    import CloseProgramme from './CloseProgramme.svelte';
    import type { Choice, CourseProposal } from '../../types/course';

    let { proposal, patientId, outcomes }: { proposal: CourseProposal; patientId: string; outcomes: Choice[] } =
        $props();

    const form = useForm(
        untrack(() => ({
            lineage: proposal.lineage,
            kind: proposal.kind,
            based_on: proposal.based_on,
            answer: 'accept',
            reason: '',
        })),
    );
    const errors = $derived(form.errors as Partial<Record<'proposal' | 'reason', string>>);
    let isDeclining = $state(false);

    function send(answer: 'accept' | 'decline'): void {
        form.kind = proposal.kind;
        form.based_on = proposal.based_on;
        form.answer = answer;
        form.post(`/patients/${patientId}/proposals`, {
            preserveScroll: true,
            onSuccess: () => {
                isDeclining = false;
                form.reason = '';
            },
        });
    }
</script>

<section class="border-t border-ink py-2.5" aria-label="Proposal for {proposal.exercise}" title={proposal.rule}>
    <h3 class="text-[1.05rem]">
        {proposal.exercise}:
        <em class="not-italic underline decoration-2 underline-offset-4">{proposal.label.toLowerCase()}</em>
    </h3>
    <p class="text-[0.925rem]">{proposal.because}</p>
    <p class="text-[0.925rem]">
        {#if proposal.accepted}Now {proposal.now}; then
            <strong>{proposal.accepted}</strong>.
        {:else if proposal.measures}Now {proposal.now}.
        {:else if !proposal.finishes}Now {proposal.now}. What it becomes has to be chosen.{/if}
    </p>
    {#if errors.proposal}<p class="mt-1 font-semibold text-clay" role="alert">{errors.proposal}</p>{/if}
    {#if proposal.decided}
        <p class="mt-1 text-[0.925rem]">
            Decided on {proposal.decided.on}: {proposal.decided.what}{proposal.decided.reason
                ? `, “${proposal.decided.reason}”`
                : ''}.
        </p>
    {:else if isDeclining}
        <form
            class="mt-2 flex flex-col items-start gap-2"
            novalidate
            onsubmit={(event) => {
                event.preventDefault();
                send('decline');
            }}
        >
            <div class="w-full">
                <Field id="decline-{proposal.lineage}" label="Why not" hint="" error={errors.reason}
                    >{#snippet children(attributes)}<Input
                            class="w-full"
                            bind:value={form.reason}
                            {...attributes}
                        />{/snippet}</Field
                >
            </div>
            <div class="flex gap-3">
                <Button type="submit" outline disabled={form.processing}>Decline</Button><button
                    type="button"
                    class="linklike"
                    onclick={() => {
                        isDeclining = false;
                    }}>Not yet</button
                >
            </div>
        </form>
    {:else}
        <div class="mt-2 flex flex-wrap items-center gap-3 print:hidden">
            {#if proposal.accepted}<Button onclick={() => send('accept')} disabled={form.processing}>Accept</Button
                >{/if}
            {#if proposal.measures}<Link href="/patients/{patientId}/measure" class="linklike">Measure again</Link>{/if}
            <Link href="/patients/{patientId}/bench" class="linklike"
                >{proposal.accepted ? 'Change it on the Bench' : 'Choose on the Bench'}</Link
            >
            <Button
                outline
                onclick={() => {
                    isDeclining = true;
                }}>Decline</Button
            >
        </div>
        {#if proposal.finishes}<CloseProgramme
                {patientId}
                {outcomes}
                id="finish-{proposal.lineage}"
                outcome="goal-reached"
            />{/if}
    {/if}
</section>
