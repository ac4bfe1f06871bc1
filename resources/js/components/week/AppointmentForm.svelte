<script lang="ts">
    import { Link, router, useForm } from '@inertiajs/svelte';
    import { Button, Input, Select } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import { clock } from '../../lib/week';
    import type { AppointmentKind, PatientFound, Place, WeekAppointment, WeekPerson } from '../../types/week';
    import DateSlot from '../DateSlot.svelte';
    import Field from '../Field.svelte';
    import TimeSlot from '../TimeSlot.svelte';
    import PatientChoice from './PatientChoice.svelte';

    /** A new appointment, or one that stands already. */
    interface Props {
        appointment: WeekAppointment | null;
        /** Where a new one begins. */
        place: Partial<Place>;
        kinds: AppointmentKind[];
        people: WeekPerson[];
        me: number;
        done: () => void;
    }

    let { appointment, place, kinds, people, me, done }: Props = $props();

    let patient = $state<PatientFound | null>(
        untrack(
            () =>
                appointment && {
                    id: appointment.patient,
                    name: appointment.name,
                    born: appointment.born ?? '',
                    came: true,
                },
        ),
    );
    let nobody = $state(false);
    let isAsking = $state(false);
    /** A kind of one's own stays whoever is chosen, a length of one's own whatever the kind. */
    let ownKind = false;
    let ownLength = $state(untrack(() => appointment !== null));

    const form = useForm(
        untrack(() => ({
            day: appointment?.day ?? place.day ?? '',
            time: appointment?.time ?? (place.minute === undefined ? '' : clock(place.minute)),
            kind: appointment?.kind ?? 'review',
            minutes: String(appointment?.minutes ?? kinds.find((each) => each.value === 'review')?.minutes ?? ''),
            with: String(appointment?.practitioner ?? place.practitioner ?? me),
            repeated: false,
            every: '1',
            times: '6',
            later: false,
        })),
    );

    const at = $derived(`/patients/${patient?.id ?? ''}/appointments`);

    function kindChanged(): void {
        ownKind = true;
        lengthOfKind();
    }

    function lengthOfKind(): void {
        const usual = kinds.find((each) => each.value === form.kind)?.minutes;
        if (!ownLength && usual !== undefined) form.minutes = String(usual);
    }

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        nobody = patient === null;
        if (nobody) {
            document.getElementById('patient-of')?.focus();
            return;
        }
        const options = { preserveScroll: true, onSuccess: done };
        form.transform(({ repeated, every, times, ...rest }) => (repeated ? { ...rest, every, times } : rest));
        if (appointment) form.put(`${at}/${appointment.id}`, options);
        else form.post(at, options);
    }

    function takeBack(): void {
        if (!appointment) return;
        router.delete(`${at}/${appointment.id}`, {
            data: { later: form.later },
            preserveScroll: true,
            onSuccess: done,
        });
    }
</script>

{#if appointment?.is_over}
    <p class="mt-2">
        {appointment.time}, {appointment.minutes} minutes, {appointment.kind}, with {people.find(
            (each) => each.id === appointment.practitioner,
        )?.name}. It is over.
    </p>
    <p class="mt-4 flex gap-5">
        <Link class="linklike" href="/patients/{appointment.patient}">Open the Course</Link>
        <button type="button" class="linklike" onclick={done}>Close</button>
    </p>
{:else}
    <form onsubmit={submit} class="mt-3 grid gap-3" novalidate>
        {#if !appointment}<PatientChoice
                bind:chosen={patient}
                onchosen={() => {
                    if (ownKind || !patient) return;
                    form.kind = patient.came ? 'review' : 'first';
                    lengthOfKind();
                }}
                error={nobody && patient === null ? 'Choose who comes.' : undefined}
            />{/if}
        <div class="grid grid-cols-1 gap-3 sm:grid-cols-2">
            <Field id="appointment-day" label="Day" error={form.errors.day}
                >{#snippet children(attributes)}<DateSlot
                        of="Day"
                        bind:value={form.day}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field id="appointment-time" label="Time" error={form.errors.time}
                >{#snippet children(attributes)}<TimeSlot bind:value={form.time} {...attributes} />{/snippet}</Field
            >
            <Field id="appointment-kind" label="Kind" error={form.errors.kind}
                >{#snippet children(attributes)}<Select
                        items={kinds.map((each) => ({ value: each.value, name: each.label }))}
                        placeholder=""
                        bind:value={form.kind}
                        onchange={kindChanged}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field id="appointment-minutes" label="Minutes" error={form.errors.minutes}
                >{#snippet children(attributes)}<Input
                        inputmode="numeric"
                        bind:value={form.minutes}
                        oninput={() => {
                            ownLength = true;
                        }}
                        {...attributes}
                    />{/snippet}</Field
            >
            <Field id="appointment-with" label="With" error={form.errors.with}
                >{#snippet children(attributes)}<Select
                        items={people
                            .filter((each) => each.works)
                            .map((each) => ({ value: String(each.id), name: each.name }))}
                        placeholder=""
                        bind:value={form.with}
                        {...attributes}
                    />{/snippet}</Field
            >
        </div>
        {#if !appointment}
            <label
                ><input
                    type="checkbox"
                    class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                    bind:checked={form.repeated}
                />Several, at the same time of the same weekday</label
            >
            {#if form.repeated}<div class="grid grid-cols-2 gap-3">
                    <Field id="appointment-every" label="Every so many weeks" error={form.errors.every}
                        >{#snippet children(attributes)}<Input
                                inputmode="numeric"
                                bind:value={form.every}
                                {...attributes}
                            />{/snippet}</Field
                    >
                    <Field id="appointment-times" label="How many in all" error={form.errors.times}
                        >{#snippet children(attributes)}<Input
                                inputmode="numeric"
                                bind:value={form.times}
                                {...attributes}
                            />{/snippet}</Field
                    >
                </div>{:else if form.errors.times}<p role="alert" class="font-semibold text-clay">
                    {form.errors.times}
                </p>{/if}
        {:else if appointment.in_series}
            <label
                ><input
                    type="checkbox"
                    class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                    bind:checked={form.later}
                />The later ones of this series as well</label
            >
        {/if}
        <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
            <Button type="submit" size="sm" disabled={form.processing}>Keep</Button>
            <button type="button" class="linklike" onclick={done}>Leave it as it is</button>
            {#if appointment}
                <Link class="linklike" href="/patients/{appointment.patient}">Open the Course</Link>
                {#if isAsking}<span
                        >{form.later ? 'This one and the later ones?' : 'Is it off?'}
                        <button type="button" class="linklike text-clay" onclick={takeBack}>Yes, take it back</button
                        ></span
                    >{:else}<button
                        type="button"
                        class="linklike text-clay"
                        onclick={() => {
                            isAsking = true;
                        }}>Take it back</button
                    >{/if}
            {/if}
        </div>
    </form>
{/if}
