<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import Door from '../components/Door.svelte';
    import Field from '../components/Field.svelte';

    const form = useForm({ email: '', password: '' });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/sign-in', { onError: () => form.reset('password') });
    }
</script>

<Door title="Sign in">
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
