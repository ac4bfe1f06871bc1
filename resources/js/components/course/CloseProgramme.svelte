<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input, Select } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import Field from '../Field.svelte';
    import type { Choice } from '../../types/course';

    let {
        patientId,
        outcomes,
        id,
        outcome = '',
    }: { patientId: string; outcomes: Choice[]; id: string; outcome?: string } = $props();

    const form = useForm(untrack(() => ({ outcome, note: '', keep_up: false })));

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post(`/patients/${patientId}/programme/close`, { preserveScroll: true });
    }
</script>

<details class="mt-2 print:hidden">
    <summary class="linklike cursor-pointer">Close the programme</summary>
    <form onsubmit={submit} class="mt-2 flex max-w-[28rem] flex-col items-start gap-2.5" novalidate>
        <div class="w-full">
            <Field
                id="{id}-outcome"
                label="How it ended"
                hint="Home practice ends at once; what was practised stays here."
                error={form.errors.outcome}
            >
                {#snippet children(attributes)}<Select
                        class="w-full"
                        items={outcomes.map((each) => ({ value: each.value, name: each.label }))}
                        bind:value={form.outcome}
                        placeholder="Choose"
                        {...attributes}
                    />{/snippet}
            </Field>
        </div>
        <div class="w-full">
            <Field id="{id}-note" label="Note" hint="" error={form.errors.note}
                >{#snippet children(attributes)}<Input
                        class="w-full"
                        bind:value={form.note}
                        {...attributes}
                    />{/snippet}</Field
            >
        </div>
        <label
            ><input
                type="checkbox"
                class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                bind:checked={form.keep_up}
            />Keep it up: the Bench opens with fewer days and no end</label
        >
        <Button type="submit" outline disabled={form.processing}>Close it</Button>
    </form>
</details>
