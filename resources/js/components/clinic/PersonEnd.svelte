<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Select } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import Field from '../Field.svelte';
    import YourPassword from '../account/YourPassword.svelte';
    import type { PersonLine } from '../../types/account';

    interface Props {
        person: PersonLine;
        others: PersonLine[];
        onDone: () => void;
    }

    /** What a lead does to somebody's account; each is grave, so each asks for the lead's own password. */
    let { person, others, onDone }: Props = $props();

    const form = useForm<{ to: string; your_password: string; person?: string }>({ to: '', your_password: '' });
    const address = untrack(() => `/clinic/people/${person.id}`);
    const options = { preserveScroll: true, onSuccess: () => onDone() };

    function end(event: SubmitEvent): void {
        event.preventDefault();
        form.post(`${address}/end`, options);
    }
</script>

<form onsubmit={end} class="mt-2 flex flex-col items-start gap-3 border-l-4 border-clay bg-card px-4 py-3" novalidate>
    {#if person.patients > 0}
        <Field
            id="takes-over"
            label="Who takes over {person.patients} {person.patients === 1 ? 'patient' : 'patients'}"
            error={form.errors.to}
        >
            {#snippet children(attributes)}<Select
                    class="w-64"
                    items={others.map((each) => ({ value: String(each.id), name: each.name }))}
                    bind:value={form.to}
                    placeholder="Choose"
                    {...attributes}
                />{/snippet}
        </Field>
    {/if}
    <YourPassword id="end-password" bind:value={form.your_password} error={form.errors.your_password} />
    {#if form.errors.person}<p role="alert" class="font-semibold text-clay">{form.errors.person}</p>{/if}
    <div class="flex flex-wrap gap-3">
        <Button type="submit" size="sm" color="red" disabled={form.processing}
            >{person.name} no longer works here</Button
        >
        {#if person.second_factor}<Button
                size="sm"
                outline
                disabled={form.processing}
                onclick={() => form.delete(`${address}/second-factor`, options)}>Take off the second factor</Button
            >{/if}
        <Button size="sm" outline onclick={onDone}>Cancel</Button>
    </div>
    <p class="text-[0.875rem] text-muted">
        Whoever no longer works here is signed out at once and signs in no more. What they wrote stays, with their name.
    </p>
</form>
