<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import Field from '../Field.svelte';
    import QrCode from '../QrCode.svelte';
    import YourPassword from './YourPassword.svelte';
    import type { SecondFactorShown } from '../../types/account';

    let { factor }: { factor: SecondFactorShown } = $props();

    const password = useForm({ your_password: '' });
    const code = useForm({ code: '' });
    const after = { preserveScroll: true, onSuccess: () => password.reset() };

    function change(event: SubmitEvent): void {
        event.preventDefault();
        if (factor.since === null) password.post('/account/second-factor', after);
        else password.delete('/account/second-factor', after);
    }

    function confirmCode(event: SubmitEvent): void {
        event.preventDefault();
        code.put('/account/second-factor', { preserveScroll: true, onSuccess: () => code.reset() });
    }
</script>

{#if factor.recovery_codes}
    <div class="mb-4 border border-ink bg-card p-5">
        <p>
            <strong>Recovery codes</strong>, for the day your phone is lost: each opens your account once. They are
            shown only now; print them or write them down.
        </p>
        <ul class="mt-3 grid max-w-96 grid-cols-2 gap-x-6 gap-y-1 font-serif text-[1.1rem]">
            {#each factor.recovery_codes as each (each)}<li>{each}</li>{/each}
        </ul>
    </div>
{/if}
{#if factor.since !== null}
    <p>
        Signing in asks for a code of your phone since {factor.since}. Recovery codes left: {factor.recovery_left}.
    </p>
    {#if factor.demanded}<p class="text-muted">Your clinic asks everybody for one.</p>{/if}
{:else if factor.secret && factor.address}
    <p>Scan this with an authenticator on your phone, then type the code that it shows.</p>
    <div class="mt-3 flex flex-wrap items-center gap-8">
        <QrCode text={factor.address} label="Second factor of your account" />
        <p class="text-[0.925rem]">
            Or type this there:<br /><span class="font-serif text-[1.05rem] break-all"
                >{factor.secret.replace(/(.{4})/g, '$1 ').trim()}</span
            >
        </p>
    </div>
    <form onsubmit={confirmCode} class="mt-4 flex flex-col items-start gap-3" novalidate>
        <Field id="code" label="Code" error={code.errors.code}>
            {#snippet children(attributes)}<Input
                    autocomplete="one-time-code"
                    class="w-40"
                    bind:value={code.code}
                    {...attributes}
                />{/snippet}
        </Field>
        <Button type="submit" size="sm" disabled={code.processing}>Turn it on</Button>
    </form>
{:else}
    <p>
        With a second factor a password that somebody has seen opens nothing: signing in also asks for a code that your
        phone shows.
    </p>
{/if}
{#if factor.since !== null || !factor.secret}
    <form onsubmit={change} class="mt-3 flex flex-col items-start gap-3" novalidate>
        <YourPassword
            id="second-factor-password"
            bind:value={password.your_password}
            error={password.errors.your_password}
        />
        <Button type="submit" size="sm" outline disabled={password.processing}
            >{factor.since === null ? 'Set it up' : 'Take it off'}</Button
        >
    </form>
{/if}
