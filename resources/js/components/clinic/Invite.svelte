<script lang="ts">
    import { router, useForm } from '@inertiajs/svelte';
    import { Button, Input, Select } from 'flowbite-svelte';
    import Field from '../Field.svelte';
    import type { InvitationLine } from '../../types/account';
    import type { Choice } from '../../types/pages';

    interface Props {
        roles: Choice[];
        invitations: InvitationLine[];
        newInvitation: string | null;
    }

    let { roles, invitations, newInvitation }: Props = $props();

    const form = useForm({ email: '', role: 'practitioner' });

    function invite(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/clinic/invitations', { preserveScroll: true, onSuccess: () => form.reset() });
    }
</script>

<h3 class="mt-4 mb-2 text-[1.05rem]">Invite a colleague</h3>
{#if newInvitation}
    <p class="mb-3 border border-ink bg-card p-4 text-[0.925rem]">
        The message holds this address. It is shown only now, in case you would rather hand it over yourself:
        <strong class="block break-all" data-invitation>{newInvitation}</strong>
    </p>
{/if}
<form onsubmit={invite} class="flex flex-wrap items-start gap-3" novalidate>
    <Field id="invite-email" label="E-mail" error={form.errors.email}>
        {#snippet children(attributes)}<Input
                type="email"
                class="w-64"
                bind:value={form.email}
                {...attributes}
            />{/snippet}
    </Field>
    <Field id="invite-role" label="Role" error={form.errors.role}>
        {#snippet children(attributes)}<Select
                class="w-44"
                items={roles.map((role) => ({ value: role.value, name: role.label }))}
                bind:value={form.role}
                placeholder=""
                {...attributes}
            />{/snippet}
    </Field>
    <div class="self-end pb-0.5">
        <Button type="submit" size="sm" outline disabled={form.processing}>Invite</Button>
    </div>
</form>
{#if invitations.length > 0}
    <ul class="mt-3 text-[0.925rem]">
        {#each invitations as invitation (invitation.id)}
            <li class="flex flex-wrap items-baseline gap-x-4 border-t border-rule py-1.5">
                <span class="min-w-0 break-words">{invitation.email}</span><span class="text-muted"
                    >{invitation.role_label}, until {invitation.expires_on}</span
                ><button
                    type="button"
                    class="linklike ml-auto"
                    aria-label="Withdraw the invitation of {invitation.email}"
                    onclick={() => router.delete(`/clinic/invitations/${invitation.id}`, { preserveScroll: true })}
                    >Withdraw</button
                >
            </li>
        {/each}
    </ul>
{/if}
