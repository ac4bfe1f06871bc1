<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import Invite from './Invite.svelte';
    import PersonEnd from './PersonEnd.svelte';
    import type { InvitationLine, PersonLine } from '../../types/account';
    import type { Choice } from '../../types/pages';

    interface Props {
        people: PersonLine[];
        roles: Choice[];
        invitations: InvitationLine[];
        newInvitation: string | null;
        demanded: boolean;
        isLead: boolean;
    }

    let { people, roles, invitations, newInvitation, demanded, isLead }: Props = $props();

    let trouble = $state('');
    let ending = $state<number | null>(null);
    const present = $derived(people.filter((person) => person.ended_on === null));
    const ended = $derived(people.filter((person) => person.ended_on !== null));

    const about = (person: PersonLine): string =>
        [person.profession, person.registration, person.email, person.second_factor ? 'second factor' : null]
            .filter((each) => each !== null)
            .join(' · ');

    function give(id: number, role: string): void {
        trouble = '';
        router.put(
            `/clinic/people/${id}`,
            { role },
            {
                preserveScroll: true,
                onError: (errors) => {
                    trouble = Object.values(errors)[0] ?? '';
                    router.reload();
                },
            },
        );
    }
</script>

<ul>
    {#each present as person (person.id)}
        <li class="border-t border-rule py-2">
            <div class="flex flex-wrap items-baseline justify-between gap-x-4">
                <span
                    ><strong>{person.name}</strong>{#if person.is_you}<span class="ml-2 text-muted">(you)</span
                        >{/if}<span class="block text-[0.875rem] text-muted">{about(person)}</span></span
                >
                {#if isLead}<span class="flex items-baseline gap-3"
                        ><select
                            class="slot small"
                            aria-label="Role of {person.name}"
                            value={person.role}
                            onchange={(event) => give(person.id, event.currentTarget.value)}
                            >{#each roles as role (role.value)}<option value={role.value}>{role.label}</option
                                >{/each}</select
                        >{#if !person.is_you}<button
                                type="button"
                                class="linklike"
                                aria-expanded={ending === person.id}
                                aria-label="Account of {person.name}"
                                onclick={() => (ending = ending === person.id ? null : person.id)}>Account</button
                            >{/if}</span
                    >
                {:else}<span>{person.role_label}</span>{/if}
            </div>
            {#if ending === person.id}<PersonEnd
                    {person}
                    others={present.filter((each) => each.id !== person.id)}
                    onDone={() => (ending = null)}
                />{/if}
        </li>
    {/each}
</ul>
{#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
{#if ended.length > 0}
    <details class="border-t border-rule pt-2 text-[0.925rem]">
        <summary class="cursor-pointer">No longer here: {ended.length}</summary>
        <ul class="mt-1">
            {#each ended as person (person.id)}<li>
                    {person.name}, {person.profession}
                    <span class="text-muted">until {person.ended_on}</span>
                </li>{/each}
        </ul>
    </details>
{/if}
{#if isLead}
    <Invite {roles} {invitations} {newInvitation} />
    <label class="mt-3 flex items-center gap-2 text-[0.925rem]"
        ><input
            type="checkbox"
            checked={demanded}
            onchange={(event) =>
                router.put(
                    '/clinic/second-factor',
                    { demanded: event.currentTarget.checked },
                    { preserveScroll: true },
                )}
        /> Everybody needs a second factor to sign in</label
    >
    <p class="mt-3 text-[0.925rem]">
        <Link href="/clinic/outbox" class="linklike">Outbox</Link>: messages as they were sent
    </p>
{/if}
