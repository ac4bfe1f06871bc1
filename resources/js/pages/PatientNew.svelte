<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button, Input, Select } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import DateSlot from '../components/DateSlot.svelte';
    import Field from '../components/Field.svelte';
    import FromFile from '../components/record/FromFile.svelte';
    import Room from '../components/Room.svelte';
    import { keeping } from '../lib/keeping';
    import type { PatientNewProps } from '../types/props';

    let { time_zones, time_zone }: PatientNewProps = $props();

    const form = useForm(
        untrack(() => ({
            name: '',
            birth_date: '',
            time_zone,
            day_start: '04:00',
            contact: '',
            minutes_a_day: '',
            is_other: false,
        })),
    );
    const same = $derived((form.errors as Record<string, string>).same);
    const zones = $derived(time_zones.map((zone) => ({ value: zone, name: zone.replaceAll('_', ' ') })));

    const kept = keeping('patient-new');
    onMount(() => Object.assign(form, kept.read<object>() ?? {}));
    $effect(() => kept.write(form.data()));

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/patients', { onSuccess: () => kept.forget() });
    }
</script>

<Room title="Add a patient">
    <form onsubmit={submit} novalidate class="grid max-w-[56rem] gap-x-10 gap-y-5 pt-6 md:grid-cols-2">
        <h1 class="text-[1.45rem] md:col-span-2">Add a patient</h1>
        <Field id="name" label="Name" error={form.errors.name}>
            {#snippet children(attributes)}<Input
                    size="lg"
                    autocomplete="off"
                    bind:value={form.name}
                    {...attributes}
                />{/snippet}
        </Field>
        <Field id="birth_date" label="Date of birth" error={form.errors.birth_date}>
            {#snippet children(attributes)}<DateSlot
                    of="Date of birth"
                    size="lg"
                    bind:value={form.birth_date}
                    {...attributes}
                />{/snippet}
        </Field>
        <Field
            id="time_zone"
            label="Time zone"
            hint="Where the patient lives: days and anchors follow it."
            error={form.errors.time_zone}
        >
            {#snippet children(attributes)}<Select
                    size="lg"
                    items={zones}
                    placeholder=""
                    bind:value={form.time_zone}
                    {...attributes}
                />{/snippet}
        </Field>
        <Field
            id="day_start"
            label="The patient’s day starts at"
            hint="04:00 for most; 14:00 may suit a night worker."
            error={form.errors.day_start}
        >
            {#snippet children(attributes)}<Input
                    size="lg"
                    inputmode="numeric"
                    maxlength={5}
                    bind:value={form.day_start}
                    {...attributes}
                />{/snippet}
        </Field>
        <Field
            id="minutes_a_day"
            label="Minutes a day the patient has (optional)"
            hint="Asked plainly: how many minutes a day are really free for this?"
            error={form.errors.minutes_a_day}
        >
            {#snippet children(attributes)}<Input
                    size="lg"
                    inputmode="numeric"
                    bind:value={form.minutes_a_day}
                    {...attributes}
                />{/snippet}
        </Field>
        <Field
            id="contact"
            label="Contact (optional)"
            hint="Stored encrypted. Telephone, e-mail or both."
            error={form.errors.contact}
        >
            {#snippet children(attributes)}<Input
                    size="lg"
                    autocomplete="off"
                    bind:value={form.contact}
                    {...attributes}
                />{/snippet}
        </Field>
        <div class="md:col-span-2">
            {#if form.errors.is_other}
                <div role="alert" class="mb-4 border-l-4 border-ochre bg-card px-5 py-3">
                    <p class="font-semibold">{form.errors.is_other}</p>
                    <p class="mt-1 flex gap-5">
                        <Link class="linklike" href="/patients/{same}/record">Open that record</Link>
                        <button
                            type="button"
                            class="linklike"
                            onclick={() => {
                                form.is_other = true;
                                form.post('/patients', {
                                    onSuccess: () => kept.forget(),
                                    onFinish: () => {
                                        form.is_other = false;
                                    },
                                });
                            }}>This is someone else: add anyway</button
                        >
                    </p>
                </div>
            {/if}
            <Button type="submit" size="lg" disabled={form.processing}>Add and go to screening</Button>
        </div>
    </form>
    <FromFile />
</Room>
