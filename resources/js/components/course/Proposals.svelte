<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import Proposal from './Proposal.svelte';
    import type { Choice, CourseProposal } from '../../types/course';

    let { proposals, patientId, outcomes }: { proposals: CourseProposal[]; patientId: string; outcomes: Choice[] } =
        $props();

    const asking = $derived(proposals.filter((each) => each.asks));
    const others = $derived(proposals.filter((each) => !each.asks));
</script>

{#each asking as proposal (proposal.lineage)}<Proposal {proposal} {patientId} {outcomes} />{/each}
{#each others as proposal (proposal.lineage)}
    <p class="border-t border-rule py-1.5 text-[0.925rem]">
        <strong>{proposal.exercise}: {proposal.label.toLowerCase()}.</strong>
        {proposal.because}
    </p>
{/each}
{#if proposals.length === 0}<p class="text-muted">Nothing is proposed for what is used as needed.</p>{/if}
<p class="mt-1 text-[0.8125rem] text-muted print:hidden">
    Nothing is changed by itself. <Link href="/patients/{patientId}/bench" class="linklike">Take to the Bench</Link>
</p>
