<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import Field from '../components/Field.svelte';
    import Ridge from '../shared/Ridge.svelte';
    import Trouble from '../components/Trouble.svelte';
    import { signInRidge } from '../lib/signInRidge';

    const form = useForm({ email: '', password: '' });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/sign-in', { onError: () => form.reset('password') });
    }
</script>

<svelte:head><title>Sign in · Ivory Pace</title></svelte:head>

<Trouble />
<main
    class="mx-auto grid min-h-screen max-w-[60rem] content-center gap-x-16 gap-y-8 px-8 py-10 md:grid-cols-[1fr_22rem]"
>
    <div class="self-center">
        <h1 class="mb-6 text-[2.5rem]">Ivory Pace</h1>
        <Ridge shape={signInRidge} height={120} width={460} label="One breath: in 4, out 6, rest 1" />
        <p class="mt-6 max-w-md text-muted">
            Breathing retraining, prescribed, practised and followed up. It supports your judgement; it does not
            diagnose.
        </p>
    </div>
    <form onsubmit={submit} class="flex flex-col gap-5 self-center border border-ink bg-card p-7" novalidate>
        <h2 class="text-xl">Sign in</h2>
        <Field id="email" label="E-mail" error={form.errors.email}>
            {#snippet children(attributes)}
                <Input type="email" autocomplete="username" size="lg" bind:value={form.email} {...attributes} />
            {/snippet}
        </Field>
        <Field id="password" label="Password" error={form.errors.password}>
            {#snippet children(attributes)}
                <Input
                    type="password"
                    autocomplete="current-password"
                    size="lg"
                    bind:value={form.password}
                    {...attributes}
                />
            {/snippet}
        </Field>
        <Button type="submit" size="lg" disabled={form.processing}>Sign in</Button>
    </form>
</main>
