<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import Door from '../../components/Door.svelte';
    import Field from '../../components/Field.svelte';

    const form = useForm({ email: '' });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/forgotten', { onSuccess: () => form.reset() });
    }
</script>

<Door title="A new password">
    <form onsubmit={submit} class="flex flex-col gap-5" novalidate>
        <Field
            id="email"
            label="E-mail"
            hint="A link comes to this address. It works once, for 30 minutes."
            error={form.errors.email}
        >
            {#snippet children(attributes)}
                <Input type="email" autocomplete="username" size="lg" bind:value={form.email} {...attributes} />
            {/snippet}
        </Field>
        <Button type="submit" size="lg" disabled={form.processing}>Send the link</Button>
    </form>
    <p class="text-[0.925rem]"><Link href="/sign-in" class="linklike">Back to signing in</Link></p>
</Door>
