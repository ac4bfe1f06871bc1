<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input, Select, Textarea } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import Field from '../Field.svelte';
    import type { Choice } from '../../types/pages';
    import type { AppointmentKind } from '../../types/week';

    /** What patients read in an emergency, and the school of new programmes; only the lead changes them. */
    let {
        wording,
        crisis,
        school,
        schools,
        telephone,
        minutes,
        initials,
        canChange,
    }: {
        wording: string;
        crisis: string | null;
        school: string;
        schools: Choice[];
        telephone: string | null;
        minutes: AppointmentKind[];
        initials: boolean;
        canChange: boolean;
    } = $props();

    const form = useForm(
        untrack(() => ({
            emergency_wording: wording,
            crisis_number: crisis ?? '',
            school,
            telephone: telephone ?? '',
            calendar_initials: initials,
            minutes: Object.fromEntries(minutes.map((each) => [each.value, String(each.minutes)])),
        })),
    );

    const errors = $derived(form.errors as Record<string, string | undefined>);

    function keep(event: SubmitEvent): void {
        event.preventDefault();
        form.put('/clinic/settings', { preserveScroll: true });
    }
</script>

{#if canChange}
    <form onsubmit={keep} class="flex flex-col items-start gap-3" novalidate>
        <div class="w-full">
            <Field
                id="emergency-wording"
                label="In an emergency, patients read"
                hint="Whom to call and when, by the rules where you practise."
                error={form.errors.emergency_wording}
            >
                {#snippet children(attributes)}<Textarea
                        rows={3}
                        class="w-full"
                        bind:value={form.emergency_wording}
                        {...attributes}
                    />{/snippet}
            </Field>
        </div>
        <div class="w-full">
            <Field
                id="crisis-number"
                label="With thoughts of suicide, patients are told to call"
                hint="The number and whose it is. Nobody is screened before it is here."
                error={form.errors.crisis_number}
            >
                {#snippet children(attributes)}<Input
                        class="w-full"
                        bind:value={form.crisis_number}
                        {...attributes}
                    />{/snippet}
            </Field>
        </div>
        <div class="w-full">
            <Field
                id="telephone"
                label="Patients reach the clinic by"
                hint="A number to tap, on Today and wherever practice was stopped."
                error={form.errors.telephone}
            >
                {#snippet children(attributes)}<Input
                        type="tel"
                        class="w-full"
                        bind:value={form.telephone}
                        {...attributes}
                    />{/snippet}
            </Field>
        </div>
        <div class="w-full">
            <Field
                id="school"
                label="A new programme begins with the school"
                hint="It can be changed for each."
                error={form.errors.school}
            >
                {#snippet children(attributes)}<Select
                        class="w-full"
                        items={schools.map((each) => ({ value: each.value, name: each.label }))}
                        bind:value={form.school}
                        placeholder=""
                        {...attributes}
                    />{/snippet}
            </Field>
        </div>
        <fieldset>
            <legend class="font-semibold">An appointment takes, in minutes</legend>
            {#each minutes as each (each.value)}
                {@const error = errors[`minutes.${each.value}`]}
                <label class="mr-4 inline-block"
                    >{each.label}
                    <input
                        class="slot small w-[3.5rem]"
                        inputmode="numeric"
                        bind:value={form.minutes[each.value]}
                        aria-invalid={error ? 'true' : undefined}
                        aria-describedby={error ? `minutes-${each.value}` : undefined}
                    /></label
                >
                {#if error}<p id="minutes-{each.value}" class="text-sm font-semibold text-clay">
                        {each.label}: {error}
                    </p>{/if}
            {/each}
        </fieldset>
        <label
            ><input
                type="checkbox"
                class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                bind:checked={form.calendar_initials}
            />Practitioners’ own calendars show patients’ initials; otherwise only “Appointment”</label
        >
        <Button type="submit" size="sm" outline disabled={form.processing}>Keep these</Button>
    </form>
{:else}
    <h2 class="mb-1 text-[1.15rem]">In an emergency, patients read</h2>
    <p class="border-l-4 border-clay bg-card px-4 py-2">{wording}</p>
    <p class="mt-2 text-[0.925rem]">With thoughts of suicide: {crisis ?? 'no number yet'}</p>
    <p class="mt-2 text-[0.925rem]">Patients reach the clinic by: {telephone ?? 'no number yet'}</p>
    <p class="mt-2 text-[0.925rem]">
        An appointment takes {minutes.map((each) => `${each.minutes} minutes (${each.label})`).join(', ')}.
    </p>
    <p class="mt-2 text-[0.925rem]">
        A new programme begins with the school <strong>{schools.find((each) => each.value === school)?.label}</strong>.
    </p>
{/if}
