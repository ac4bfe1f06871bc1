<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import { onMount } from 'svelte';
    import Door from '../../components/Door.svelte';
    import Field from '../../components/Field.svelte';

    const form = useForm({ code: '' });
    onMount(() => document.getElementById('code')?.focus());

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/sign-in/code', { onError: () => form.reset('code') });
    }
</script>

<Door title="Code of your phone">
    <form onsubmit={submit} class="flex flex-col gap-5" novalidate>
        <Field
            id="code"
            label="Code"
            hint="Six digits from the authenticator on your phone, or one of your recovery codes."
            error={form.errors.code}
        >
            {#snippet children(attributes)}
                <Input autocomplete="one-time-code" size="lg" bind:value={form.code} {...attributes} />
            {/snippet}
        </Field>
        <Button type="submit" size="lg" disabled={form.processing}>Go on</Button>
    </form>
    <p class="text-[0.925rem] text-muted">
        Neither phone nor recovery codes at hand? The lead of your clinic can take the second factor off your account.
    </p>
    <p class="text-[0.925rem]"><Link href="/sign-in" class="linklike">Back to signing in</Link></p>
</Door>
