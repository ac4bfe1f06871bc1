<script lang="ts">
    import { router, useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import CalendarAddress from '../components/account/CalendarAddress.svelte';
    import Field from '../components/Field.svelte';
    import NewPasswordField from '../components/account/NewPasswordField.svelte';
    import Room from '../components/Room.svelte';
    import SecondFactor from '../components/account/SecondFactor.svelte';
    import Wide from '../components/Wide.svelte';
    import YourPassword from '../components/account/YourPassword.svelte';
    import type { AccountProps } from '../types/account';

    let { person, second_factor, calendar, sessions }: AccountProps = $props();

    const details = useForm(
        untrack(() => ({
            name: person.name,
            profession: person.profession,
            registration: person.registration,
            mails_reviews: person.mails_reviews,
        })),
    );
    const password = useForm({ password: '', your_password: '' });
    const FIELDS = [
        { id: 'name', label: 'Name', complete: 'name' },
        { id: 'profession', label: 'Profession', complete: 'organization-title' },
        { id: 'registration', label: 'Registration number', complete: 'off' },
    ] as const;

    function keepDetails(event: SubmitEvent): void {
        event.preventDefault();
        details.put('/account/details', { preserveScroll: true });
    }

    function changePassword(event: SubmitEvent): void {
        event.preventDefault();
        password.put('/account/password', { preserveScroll: true, onSuccess: () => password.reset() });
    }

    function end(address: string): void {
        router.delete(address, { preserveScroll: true });
    }
</script>

<Room title="Account">
    <h1 class="pt-5 text-[1.45rem]">{person.name}</h1>
    <p class="break-words text-muted">You sign in with {person.email}.</p>
    <div class="mt-5 grid gap-x-12 gap-y-8 md:grid-cols-2">
        <section class="min-w-0">
            <h2 class="mb-2 text-[1.15rem]">Who you are here</h2>
            <form onsubmit={keepDetails} class="flex flex-col items-start gap-3" novalidate>
                {#each FIELDS as field (field.id)}
                    <div class="w-full max-w-96">
                        <Field id={field.id} label={field.label} error={details.errors[field.id]}>
                            {#snippet children(attributes)}<Input
                                    autocomplete={field.complete}
                                    class="w-full"
                                    bind:value={details[field.id]}
                                    {...attributes}
                                />{/snippet}
                        </Field>
                    </div>
                {/each}
                <label
                    ><input
                        type="checkbox"
                        class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                        bind:checked={details.mails_reviews}
                    />Send me a message on days on which reviews are due</label
                >
                <Button type="submit" size="sm" outline disabled={details.processing}>Keep these</Button>
            </form>
        </section>
        <section class="min-w-0">
            <h2 class="mb-2 text-[1.15rem]">Password</h2>
            <form onsubmit={changePassword} class="flex flex-col items-start gap-3" novalidate>
                <YourPassword
                    id="present-password"
                    label="Present password"
                    bind:value={password.your_password}
                    error={password.errors.your_password}
                />
                <div class="w-full max-w-96">
                    <NewPasswordField bind:value={password.password} error={password.errors.password} />
                </div>
                <Button type="submit" size="sm" outline disabled={password.processing}>Change it</Button>
            </form>
        </section>
        <section class="min-w-0">
            <h2 class="mb-2 text-[1.15rem]">Second factor</h2>
            <SecondFactor factor={second_factor} />
        </section>
        <section class="min-w-0" id="calendar">
            <h2 class="mb-2 text-[1.15rem]">Your calendar elsewhere</h2>
            <CalendarAddress {calendar} />
        </section>
        <section class="min-w-0">
            <h2 class="mb-2 text-[1.15rem]">Where you are signed in</h2>
            <p class="mb-2 text-[0.925rem] text-muted">
                A sign-in ends after half an hour without use, and after 12 hours at most.
            </p>
            <Wide label="Where you are signed in"
                ><table class="w-full text-[0.925rem]">
                    <thead class="text-left text-[0.8125rem] text-muted"
                        ><tr
                            >{#each ['Program', 'Address', 'Last used', 'End'] as head (head)}<th
                                    scope="col"
                                    class="pr-4 font-normal">{head}</th
                                >{/each}</tr
                        ></thead
                    >
                    <tbody
                        >{#each sessions as session (session.key)}<tr class="border-t border-rule"
                                ><td class="py-1.5 pr-4">{session.program}</td><td class="pr-4">{session.place}</td><td
                                    class="pr-4 whitespace-nowrap">{session.last}</td
                                ><td class="whitespace-nowrap"
                                    >{#if session.here}<strong>here</strong>{:else}<button
                                            type="button"
                                            class="linklike"
                                            aria-label="End {session.program}, last used {session.last}"
                                            onclick={() => end(`/account/sessions/${session.key}`)}>End it</button
                                        >{/if}</td
                                ></tr
                            >{/each}</tbody
                    >
                </table></Wide
            >
            {#if sessions.length > 1}<div class="mt-3">
                    <Button size="sm" outline onclick={() => end('/account/sessions')}>End all others</Button>
                </div>{/if}
        </section>
    </div>
</Room>
