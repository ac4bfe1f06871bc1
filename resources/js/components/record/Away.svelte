<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import AskWhy from '../asking/AskWhy.svelte';
    import type { RecordProps } from '../../types/record';

    /** Records that are put away, and records that are one person's. */
    let {
        patientId,
        name,
        archived,
        joins,
    }: { patientId: string; name: string; archived: RecordProps['archived']; joins: RecordProps['joins'] } = $props();

    const form = useForm({});
</script>

<section aria-labelledby="away">
    <h2 id="away" class="mb-1 text-[1.15rem]">Archive and doubles</h2>
    <div class="grid gap-1 border-t border-rule pt-2">
        {#if archived}
            <p>
                Archived on {archived.on}: {archived.reason}
                <button
                    type="button"
                    class="linklike ml-2"
                    disabled={form.processing}
                    onclick={() => form.delete(`/patients/${patientId}/archive`)}>Bring {name} back</button
                >
            </p>
        {:else}
            <p>
                <AskWhy
                    url="/patients/{patientId}/archive"
                    opener="Archive {name}"
                    title="Archive {name}"
                    text="The record stays and is found by the search; it leaves the Caseload until you bring the
                        patient back. Nothing is deleted."
                    button="Archive"
                />
            </p>
        {/if}
        <p><Link class="linklike" href="/patients/{patientId}/join">Is this person here twice?</Link></p>
        {#each joins as join, index (index)}<p class="text-[0.925rem]">
                {join.on}: another record of {name} was joined to this one by {join.by}.
                <span class="text-muted">{join.reason}</span>
            </p>{/each}
    </div>
</section>
