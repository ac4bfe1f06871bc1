<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import type { KeepingShown } from '../../types/clinic';
    import Field from '../Field.svelte';
    import YourPassword from '../account/YourPassword.svelte';

    /** How long records are kept after they were archived, and those that have been kept long enough. */
    let { keeping }: { keeping: KeepingShown } = $props();

    const terms = useForm(untrack(() => ({ keep_years: keeping.years, keep_minors_until: keeping.minors_until })));
    const form = useForm<{ patients: string[]; your_password: string }>({ patients: [], your_password: '' });

    function keep(event: SubmitEvent): void {
        event.preventDefault();
        terms.put('/clinic/keeping', { preserveScroll: true });
    }

    function erase(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/clinic/erasures', { preserveScroll: true, onSuccess: () => form.reset() });
    }
</script>

<p class="mb-2 text-[0.925rem] text-muted">
    The law of your place says how long a record must be kept, and how long it may. Counted from the day on which it was
    archived; nothing is erased by itself.
</p>
<form onsubmit={keep} novalidate class="flex flex-wrap items-start gap-x-6 gap-y-3">
    <Field id="keep-years" label="Kept for, years" error={terms.errors.keep_years}>
        {#snippet children(attributes)}<Input
                class="w-24"
                inputmode="numeric"
                bind:value={terms.keep_years}
                {...attributes}
            />{/snippet}
    </Field>
    <Field id="keep-minors" label="Of minors at least up to the age of" error={terms.errors.keep_minors_until}>
        {#snippet children(attributes)}<Input
                class="w-24"
                inputmode="numeric"
                bind:value={terms.keep_minors_until}
                {...attributes}
            />{/snippet}
    </Field>
    <div class="sm:mt-7"><Button type="submit" size="sm" outline disabled={terms.processing}>Keep</Button></div>
</form>
{#if keeping.due.length > 0}
    <form onsubmit={erase} novalidate class="mt-3 grid gap-2 border-t border-rule pt-2">
        <fieldset class="grid gap-1">
            <legend class="font-semibold">Kept long enough</legend>
            {#each keeping.due as each (each.id)}<label class="flex items-baseline gap-2"
                    ><input
                        type="checkbox"
                        value={each.id}
                        checked={form.patients.includes(each.id)}
                        onchange={(event) => {
                            form.patients = event.currentTarget.checked
                                ? [...form.patients, each.id]
                                : form.patients.filter((id) => id !== each.id);
                        }}
                    /><span
                        >{each.name}, born {each.born}
                        <span class="text-muted">archived {each.archived}, may go since {each.since}</span></span
                    ></label
                >{/each}
        </fieldset>
        {#if form.errors.patients}<p role="alert" class="font-semibold text-clay">{form.errors.patients}</p>{/if}
        <YourPassword id="keeping-password" bind:value={form.your_password} error={form.errors.your_password} />
        <div>
            <Button type="submit" size="sm" color="red" disabled={form.processing}
                >Erase the ticked ones for good</Button
            >
        </div>
    </form>
{:else if keeping.years !== ''}<p class="mt-2 text-[0.925rem] text-muted">Nothing has been kept long enough.</p>{/if}
{#if keeping.past.length > 0}
    <details class="mt-2">
        <summary class="linklike w-fit cursor-pointer">erased so far</summary>
        <ul>
            {#each keeping.past as line, index (index)}<li class="border-t border-rule py-1 text-[0.925rem]">
                    A record, {line}
                </li>{/each}
        </ul>
    </details>
{/if}
