<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import { onMount } from 'svelte';
    import Door from '../../components/Door.svelte';
    import Field from '../../components/Field.svelte';
    import NewPasswordField from '../../components/account/NewPasswordField.svelte';
    import { openedBy } from '../../lib/opened';
    import { secretOf } from '../../lib/secret';

    interface Invited {
        clinic: string;
        email: string;
        role: string;
    }

    const FIELDS = [
        { id: 'name', label: 'Your name', complete: 'name' },
        { id: 'profession', label: 'Profession', complete: 'organization-title' },
        { id: 'registration', label: 'Registration number (if you have one)', complete: 'off' },
    ] as const;

    const form = useForm({ token: '', name: '', profession: '', registration: '', password: '' });
    let invited = $state<Invited | null>(null);
    let trouble = $state('');

    const GONE =
        'This invitation does not work: it was used, withdrawn or has run out, or the address is not whole. ' +
        'Ask the lead of the clinic for a new one.';

    onMount(async () => {
        form.token = secretOf('/join');
        const opened = await openedBy<Invited>('/join', form.token, GONE);
        if ('trouble' in opened) trouble = opened.trouble;
        else invited = opened;
    });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/join');
    }
</script>

<Door title="Join" heading={invited ? `Join ${invited.clinic}` : 'Join a clinic'}>
    {#if trouble}
        <p role="alert">{trouble}</p>
    {:else if invited}
        <p>You will sign in with <strong>{invited.email}</strong>, as {invited.role.toLowerCase()}.</p>
        <form onsubmit={submit} class="flex flex-col gap-5" novalidate>
            {#each FIELDS as field (field.id)}
                <Field id={field.id} label={field.label} error={form.errors[field.id]}>
                    {#snippet children(attributes)}<Input
                            autocomplete={field.complete}
                            bind:value={form[field.id]}
                            {...attributes}
                        />{/snippet}
                </Field>
            {/each}
            <NewPasswordField bind:value={form.password} error={form.errors.password} label="Choose a password" />
            {#if form.errors.token}<p role="alert" class="font-semibold text-clay">{form.errors.token}</p>{/if}
            <Button type="submit" size="lg" disabled={form.processing}>Join</Button>
        </form>
    {:else}<p class="text-muted" aria-busy="true">Looking up the invitation</p>{/if}
</Door>
