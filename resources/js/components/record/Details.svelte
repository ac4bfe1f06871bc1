<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input, Select } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import type { DetailFields } from '../../types/record';
    import type { Choice } from '../../types/pages';
    import DateSlot from '../DateSlot.svelte';
    import Field from '../Field.svelte';

    let {
        patientId,
        details,
        time_zones,
        languages,
        addedOn,
    }: {
        patientId: string;
        details: DetailFields;
        time_zones: string[];
        languages: Choice[];
        addedOn: string;
    } = $props();

    const form = useForm(untrack(() => ({ ...details })));
    const zones = $derived(time_zones.map((zone) => ({ value: zone, name: zone.replaceAll('_', ' ') })));
    let open = $state(false);

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.put(`/patients/${patientId}/details`, {
            preserveScroll: true,
            onSuccess: () => {
                open = false;
            },
        });
    }
</script>

<section aria-labelledby="details">
    <h2 id="details" class="mb-1 text-[1.15rem]">Details</h2>
    {#if !open}
        <dl class="grid grid-cols-[9rem_minmax(0,1fr)] gap-y-1 border-t border-rule pt-2">
            <dt class="text-muted">Born</dt>
            <dd>{details.birth_date}</dd>
            <dt class="text-muted">Time zone</dt>
            <dd>{details.time_zone.replaceAll('_', ' ')}, day starts {details.day_start}</dd>
            {#if languages.length > 1}
                <dt class="text-muted">Spoken to in</dt>
                <dd>{languages.find((each) => each.value === details.locale)?.label ?? details.locale}</dd>
            {/if}
            <dt class="text-muted">Minutes a day</dt>
            <dd>{details.minutes_a_day || 'not said'}</dd>
            <dt class="text-muted">Contact</dt>
            <dd class="[overflow-wrap:anywhere]">
                {details.contact || 'none'}{details.mails_appointments ? ', messages about appointments' : ''}
            </dd>
            <dt class="text-muted">Added</dt>
            <dd>{addedOn}</dd>
        </dl>
        <button
            type="button"
            class="linklike mt-1"
            onclick={() => {
                open = true;
            }}>Change the details</button
        >
    {:else}
        <form onsubmit={submit} novalidate class="grid gap-3 border-t border-rule pt-2">
            <Field id="name" label="Name" error={form.errors.name}
                >{#snippet children(attributes)}<Input
                        size="sm"
                        bind:value={form.name}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field
                id="birth_date"
                label="Date of birth"
                error={form.errors.birth_date ?? (form.errors as Record<string, string>).is_other}
                >{#snippet children(attributes)}<DateSlot
                        of="Date of birth"
                        size="sm"
                        bind:value={form.birth_date}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field id="time_zone" label="Time zone" error={form.errors.time_zone}
                >{#snippet children(attributes)}<Select
                        size="sm"
                        items={zones}
                        placeholder=""
                        bind:value={form.time_zone}
                        {...attributes}
                    />{/snippet}</Field
            >
            {#if languages.length > 1}
                <Field id="locale" label="Spoken to in" error={form.errors.locale}
                    >{#snippet children(attributes)}<Select
                            size="sm"
                            items={languages.map((each) => ({ value: each.value, name: each.label }))}
                            placeholder=""
                            bind:value={form.locale}
                            {...attributes}
                        />{/snippet}</Field
                >
            {/if}
            <Field id="day_start" label="Day starts at" error={form.errors.day_start}
                >{#snippet children(attributes)}<Input
                        size="sm"
                        bind:value={form.day_start}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field id="minutes_a_day" label="Minutes a day" error={form.errors.minutes_a_day}
                >{#snippet children(attributes)}<Input
                        size="sm"
                        inputmode="numeric"
                        bind:value={form.minutes_a_day}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field id="contact" label="Contact" error={form.errors.contact}
                >{#snippet children(attributes)}<Input
                        size="sm"
                        bind:value={form.contact}
                        {...attributes}
                    />{/snippet}</Field
            >
            <label
                ><input
                    type="checkbox"
                    class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                    bind:checked={form.mails_appointments}
                />Wishes messages about appointments at the e-mail address under Contact: asked and agreed</label
            >
            <div class="flex gap-3">
                <Button type="submit" size="sm" disabled={form.processing}>Keep the details</Button><button
                    type="button"
                    class="linklike"
                    onclick={() => {
                        form.reset();
                        open = false;
                    }}>Leave them</button
                >
            </div>
        </form>
    {/if}
</section>
