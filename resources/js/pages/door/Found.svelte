<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input, Select, Textarea } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import NewPasswordField from '../../components/account/NewPasswordField.svelte';
    import Door from '../../components/Door.svelte';
    import Field from '../../components/Field.svelte';
    import { keeping } from '../../lib/keeping';
    import { openedBy } from '../../lib/opened';
    import { secretOf } from '../../lib/secret';
    import type { FoundProps } from '../../types/props';

    let { time_zones }: FoundProps = $props();

    type Typed = 'clinic_name' | 'crisis_number' | 'telephone' | 'name' | 'profession' | 'registration' | 'email';
    interface Line {
        id: Typed;
        label: string;
        hint?: string;
        complete: 'organization' | 'off' | 'tel' | 'name' | 'organization-title' | 'username';
        type?: 'email' | 'tel';
    }
    const CALLED: Line[] = [
        {
            id: 'crisis_number',
            label: 'With thoughts of suicide, patients are told to call',
            hint: 'The number and whose it is. Nobody is screened without it.',
            complete: 'off',
        },
        { id: 'telephone', label: 'Patients reach the clinic by (optional)', complete: 'tel', type: 'tel' },
    ];
    const LEAD: Line[] = [
        { id: 'name', label: 'Your name', complete: 'name' },
        { id: 'profession', label: 'Profession', complete: 'organization-title' },
        { id: 'registration', label: 'Registration number (if you have one)', complete: 'off' },
        { id: 'email', label: 'E-mail, with which you sign in', complete: 'username', type: 'email' },
    ];

    const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const kept = keeping('founding');
    const form = useForm(
        untrack(() => ({
            token: '',
            clinic_name: '',
            time_zone: time_zones.includes(here) ? here : 'UTC',
            emergency_wording: '',
            crisis_number: '',
            telephone: '',
            name: '',
            profession: '',
            registration: '',
            email: '',
            password: '',
        })),
    );
    let isOpen = $state(false);
    let trouble = $state('');

    const GONE =
        'This address does not work: it was used or has run out, or it is not whole. ' +
        'Whoever runs the server makes a new one.';

    onMount(async () => {
        Object.assign(form, kept.read<Partial<typeof form>>() ?? {});
        form.token = secretOf('/found');
        const opened = await openedBy<{ open: true }>('/found', form.token, GONE);
        if ('trouble' in opened) trouble = opened.trouble;
        else isOpen = true;
    });
    // Neither the secret nor the password.
    $effect(() => {
        if (isOpen) kept.write({ ...form.data(), token: undefined, password: undefined });
    });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/found', { onSuccess: () => kept.forget() });
    }
</script>

{#snippet line({ id, label, hint, complete, type }: Line)}
    <Field {id} {label} hint={hint ?? ''} error={form.errors[id]}
        >{#snippet children(attributes)}<Input
                type={type ?? 'text'}
                autocomplete={complete}
                bind:value={form[id]}
                {...attributes}
            />{/snippet}</Field
    >
{/snippet}

<Door title="Found a clinic" heading="Found your clinic" isLong>
    {#if trouble}
        <p role="alert">{trouble}</p>
    {:else if isOpen}
        <form onsubmit={submit} class="flex flex-col gap-4" novalidate>
            {@render line({ id: 'clinic_name', label: 'What the clinic is called', complete: 'organization' })}
            <Field
                id="time_zone"
                label="Time zone"
                hint="Its days and appointments follow it."
                error={form.errors.time_zone}
                >{#snippet children(attributes)}<Select
                        items={time_zones.map((value) => ({ value, name: value }))}
                        placeholder=""
                        bind:value={form.time_zone}
                        {...attributes}
                    />{/snippet}</Field
            >
            <h3 class="mt-2 border-t border-rule pt-3 text-[1.05rem]">What keeps patients safe</h3>
            <Field
                id="emergency_wording"
                label="In an emergency, patients read"
                hint="Whom to call and when, by the rules where you practise."
                error={form.errors.emergency_wording}
                >{#snippet children(attributes)}<Textarea
                        rows={3}
                        class="w-full"
                        bind:value={form.emergency_wording}
                        {...attributes}
                    />{/snippet}</Field
            >
            {#each CALLED as each (each.id)}{@render line(each)}{/each}
            <h3 class="mt-2 border-t border-rule pt-3 text-[1.05rem]">You, who lead it</h3>
            {#each LEAD as each (each.id)}{@render line(each)}{/each}
            <NewPasswordField bind:value={form.password} error={form.errors.password} label="Choose a password" />
            {#if form.errors.token}<p role="alert" class="font-semibold text-clay">{form.errors.token}</p>{/if}
            <Button type="submit" size="lg" disabled={form.processing}>Found the clinic</Button>
        </form>
    {:else}<p class="text-muted" aria-busy="true">Looking at the address</p>{/if}
</Door>
