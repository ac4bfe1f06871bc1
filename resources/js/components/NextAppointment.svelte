<script lang="ts">
    import { Link, router, useForm } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import DateSlot from './DateSlot.svelte';
    import Field from './Field.svelte';
    import TimeSlot from './TimeSlot.svelte';
    import type { Appointment } from '../types/pages';

    let { appointment, patientId }: { appointment: Appointment | null; patientId: string } = $props();

    const form = useForm(untrack(() => ({ day: appointment?.day ?? '', time: appointment?.time ?? '' })));
    let isOpen = $state(false);
    let opener: HTMLButtonElement | undefined = $state();

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        const options = {
            preserveScroll: true,
            onSuccess: () => {
                isOpen = false;
                opener?.focus();
            },
        };
        const all = `/patients/${patientId}/appointments`;
        if (appointment) form.put(`${all}/${appointment.id}`, options);
        else form.post(all, options);
    }
</script>

<div class="text-[0.925rem] print:hidden">
    <span class="text-muted">Next appointment</span> <strong>{appointment?.words ?? 'none'}</strong>
    {#if appointment && appointment.more > 0}<span class="text-muted">and {appointment.more} later</span>{/if}
    <button
        type="button"
        class="linklike ml-2"
        bind:this={opener}
        aria-expanded={isOpen}
        onclick={() => {
            isOpen = !isOpen;
        }}>{appointment ? 'Move' : 'Set one'}</button
    >
    {#if appointment}<button
            type="button"
            class="linklike ml-2"
            onclick={() =>
                router.delete(`/patients/${patientId}/appointments/${appointment.id}`, { preserveScroll: true })}
            >Take it back</button
        ><Link class="linklike ml-2" href="/week?of={appointment.day}">Its week</Link>{/if}
    {#if isOpen}
        <form onsubmit={submit} class="mt-2 flex flex-wrap items-end gap-3" novalidate>
            <Field id="appointment-day" label="Day" hint="" error={form.errors.day}
                >{#snippet children(attributes)}<DateSlot
                        of="Day"
                        bind:value={form.day}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field id="appointment-time" label="Time" hint="" error={form.errors.time}
                >{#snippet children(attributes)}<TimeSlot bind:value={form.time} {...attributes} />{/snippet}</Field
            >
            <Button type="submit" outline disabled={form.processing}>Keep</Button>
        </form>
    {/if}
</div>
