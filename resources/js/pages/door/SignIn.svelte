<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import Door from '../../components/Door.svelte';
    import Field from '../../components/Field.svelte';

    let { is_founded }: { is_founded: boolean } = $props();

    const form = useForm({ email: '', password: '' });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/sign-in', { onError: () => form.reset('password') });
    }
</script>

<Door title="Sign in">
    {#if !is_founded}<p role="status">
            No clinic is founded here yet. Whoever started the server was shown the address for it; <code
                >php artisan clinic:found</code
            > makes another.
        </p>{/if}
    <form onsubmit={submit} class="flex flex-col gap-5" novalidate>
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
    <p class="text-[0.925rem]"><Link href="/forgotten" class="linklike">Forgotten the password?</Link></p>
</Door>
