<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input, Select } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import Field from './Field.svelte';

    interface Props {
        patientId: string;
        id: string;
        /** What is paused; without it, it is chosen. */
        lineage?: string;
        exercises?: { lineage: string; name: string }[];
        reason?: string;
    }

    let { patientId, id, lineage = '', exercises = [], reason = '' }: Props = $props();

    const form = useForm(untrack(() => ({ lineage, reason })));
    const choices = $derived([
        { value: '', name: 'Every exercise but recovery' },
        ...exercises.map((each) => ({ value: each.lineage, name: each.name })),
    ]);

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post(`/patients/${patientId}/pauses`, { preserveScroll: true });
    }
</script>

<form onsubmit={submit} class="flex max-w-[28rem] flex-col items-start gap-2.5" novalidate>
    {#if exercises.length > 0}
        <div class="w-full">
            <Field id="{id}-what" label="What is paused" error={form.errors.lineage}>
                {#snippet children(attributes)}<Select
                        class="w-full"
                        items={choices}
                        bind:value={form.lineage}
                        placeholder=""
                        {...attributes}
                    />{/snippet}
            </Field>
        </div>
    {:else if form.errors.lineage}<p role="alert" class="font-semibold text-clay">{form.errors.lineage}</p>{/if}
    <div class="w-full">
        <Field id="{id}-reason" label="Why, as the patient reads it" error={form.errors.reason}>
            {#snippet children(attributes)}<Input class="w-full" bind:value={form.reason} {...attributes} />{/snippet}
        </Field>
    </div>
    <Button type="submit" size="sm" outline disabled={form.processing}>Pause it now</Button>
</form>
