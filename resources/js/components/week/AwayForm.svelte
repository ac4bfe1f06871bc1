<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input, Select } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import type { WeekPerson } from '../../types/week';
    import DateSlot from '../DateSlot.svelte';
    import Field from '../Field.svelte';
    import TimeSlot from '../TimeSlot.svelte';

    /** From when until when somebody is away. */
    let { people, me, day, done }: { people: WeekPerson[]; me: number; day: string; done: () => void } = $props();

    const form = useForm(
        untrack(() => ({ who: String(me), from_day: day, from_time: '', to_day: day, to_time: '', reason: '' })),
    );

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/absences', { preserveScroll: true, onSuccess: done });
    }
</script>

<form onsubmit={submit} class="mt-3 grid gap-3" novalidate>
    <Field id="away-who" label="Who" error={form.errors.who}
        >{#snippet children(attributes)}<Select
                items={people.filter((each) => each.works).map((each) => ({ value: String(each.id), name: each.name }))}
                placeholder=""
                bind:value={form.who}
                {...attributes}
            />{/snippet}</Field
    >
    <div class="grid grid-cols-1 gap-3 sm:grid-cols-2">
        <Field id="away-from" label="From" error={form.errors.from_day}
            >{#snippet children(attributes)}<DateSlot
                    of="From"
                    bind:value={form.from_day}
                    {...attributes}
                />{/snippet}</Field
        >
        <Field id="away-from-time" label="At" hint="Empty: the whole day." error={form.errors.from_time}
            >{#snippet children(attributes)}<TimeSlot bind:value={form.from_time} {...attributes} />{/snippet}</Field
        >
        <Field id="away-to" label="Until" error={form.errors.to_day}
            >{#snippet children(attributes)}<DateSlot
                    of="Until"
                    bind:value={form.to_day}
                    {...attributes}
                />{/snippet}</Field
        >
        <Field
            id="away-to-time"
            label="Until what time"
            hint="Empty: to the end of the day."
            error={form.errors.to_time}
            >{#snippet children(attributes)}<TimeSlot bind:value={form.to_time} {...attributes} />{/snippet}</Field
        >
    </div>
    <Field
        id="away-reason"
        label="What colleagues read"
        hint="A word or two, or nothing; never why somebody is ill."
        error={form.errors.reason}
        >{#snippet children(attributes)}<Input
                maxlength={60}
                bind:value={form.reason}
                {...attributes}
            />{/snippet}</Field
    >
    <div class="flex items-center gap-5">
        <Button type="submit" size="sm" disabled={form.processing}>Keep</Button>
        <button type="button" class="linklike" onclick={done}>Leave it as it is</button>
    </div>
</form>
