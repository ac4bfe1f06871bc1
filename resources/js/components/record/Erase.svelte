<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import Field from '../Field.svelte';
    import YourPassword from '../account/YourPassword.svelte';
    import Ask from '../asking/Ask.svelte';
    import AskWhy from '../asking/AskWhy.svelte';
    import type { RecordProps } from '../../types/record';

    /** A patient asks to be forgotten. Only the lead does it, or says why it is not done. */
    let {
        patientId,
        name,
        refusals,
        isLead,
    }: { patientId: string; name: string; refusals: RecordProps['refusals']; isLead: boolean } = $props();

    let open = $state(false);
    const form = useForm({ name: '', your_password: '' });

    function erase(event: SubmitEvent): void {
        event.preventDefault();
        form.post(`/patients/${patientId}/erasure`, { preserveScroll: true });
    }
</script>

<section aria-labelledby="erase" class="print:hidden">
    <h2 id="erase" class="mb-1 text-[1.15rem]">A wish to be forgotten</h2>
    <div class="grid gap-1 border-t border-rule pt-2">
        {#each refusals as refusal, index (index)}<p>
                Refused on {refusal.on}{refusal.by ? ` by ${refusal.by}` : ''}: {refusal.reason}
            </p>{/each}
        {#if isLead}
            <p class="flex flex-wrap gap-x-5 gap-y-1">
                <button
                    type="button"
                    class="linklike"
                    aria-haspopup="dialog"
                    onclick={() => {
                        open = true;
                    }}>Erase everything of {name}</button
                >
                <AskWhy
                    url="/patients/{patientId}/erasure/refusal"
                    opener="Refuse to erase it"
                    title="{name} asked to be forgotten, and the record stays"
                    text="Say why, as you tell the patient: a duty to keep it, until when, or a claim that
                        it is needed for. It is kept with today’s date."
                    button="Record the refusal"
                />
            </p>
        {:else if refusals.length === 0}<p class="text-muted">The clinic’s lead erases a record.</p>{/if}
    </div>
</section>

<Ask bind:open title="Erase everything of {name}">
    <form onsubmit={erase} novalidate class="mt-2 grid gap-3 text-left">
        <p>
            Screenings, programmes, practice, notes, letters, the diary, messages, and the lines of who opened what go
            for good, here and in every backup that is brought back. Nobody can undo it. What stays says that a record
            was erased, when and by you, without a name.
        </p>
        <p class="text-muted">Whether you may, or have to keep it longer, the law of your place says.</p>
        <Field
            id="erase-name"
            label="The patient’s name"
            hint="Type it, so that it is the right one."
            error={form.errors.name}
            >{#snippet children(attributes)}<Input
                    class="w-full max-w-96"
                    autocomplete="off"
                    bind:value={form.name}
                    {...attributes}
                />{/snippet}</Field
        >
        <YourPassword id="erase-password" bind:value={form.your_password} error={form.errors.your_password} />
        <div class="flex items-center gap-5">
            <Button type="submit" size="sm" color="red" disabled={form.processing}>Erase it for good</Button>
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    open = false;
                }}>Leave it as it is</button
            >
        </div>
    </form>
</Ask>
