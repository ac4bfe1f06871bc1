<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import type { HandoverLine, Person } from '../../types/record';

    let {
        patientId,
        responsible,
        sharedWith,
        handovers,
        colleagues,
    }: {
        patientId: string;
        responsible: Person;
        sharedWith: Person[];
        handovers: HandoverLine[];
        colleagues: Person[];
    } = $props();

    const form = useForm({ kind: 'share', to: '', reason: '' });
    const KINDS = [
        ['share', 'share with'],
        ['move', 'move to'],
        ['end-share', 'no longer share with'],
    ] as const;
    const problem = $derived(Object.values(form.errors)[0]);

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post(`/patients/${patientId}/handovers`, { preserveScroll: true, onSuccess: () => form.reset() });
    }
</script>

<section aria-labelledby="responsible">
    <h2 id="responsible" class="mb-1 text-[1.15rem]">Who is responsible</h2>
    <p class="border-t border-rule pt-2">
        <strong>{responsible.name}</strong>{sharedWith.length > 0
            ? `, shared with ${sharedWith.map((each) => each.name).join(', ')}`
            : ''}
    </p>
    <form onsubmit={submit} novalidate class="mt-1 leading-9">
        <select class="slot small" aria-label="What happens" bind:value={form.kind}
            >{#each KINDS as [value, label] (value)}<option {value}>{label}</option>{/each}</select
        >
        <select class="slot small" aria-label="Colleague" bind:value={form.to}
            ><option value="">a colleague…</option>{#each colleagues as each (each.id)}<option value={String(each.id)}
                    >{each.name}</option
                >{/each}</select
        >
        because <input class="slot small w-44 !text-left" aria-label="Why" bind:value={form.reason} />
        <Button type="submit" size="xs" outline disabled={form.processing}>Record it</Button>
    </form>
    {#if problem}<p role="alert" class="font-semibold text-clay">{problem}</p>{/if}
    <ul>
        {#each handovers as each, index (index)}<li class="border-t border-rule py-1 text-[0.925rem]">
                {each.on}: {each.text} by {each.by}. <span class="text-muted">{each.reason}</span>
            </li>{/each}
    </ul>
</section>
