<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import { onMount } from 'svelte';
    import Door from '../../components/Door.svelte';
    import NewPasswordField from '../../components/account/NewPasswordField.svelte';
    import { secretOf } from '../../lib/secret';

    const form = useForm({ email: '', token: '', password: '' });
    onMount(() => {
        const [token = '', email = ''] = secretOf('/new-password').split('~');
        form.token = token;
        form.email = decodeURIComponent(email);
    });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/new-password');
    }
</script>

<Door title="Choose a new password">
    <form onsubmit={submit} class="flex flex-col gap-5" novalidate>
        <NewPasswordField bind:value={form.password} error={form.errors.password} />
        {#if form.errors.token || form.errors.email}<p role="alert" class="font-semibold text-clay">
                {form.errors.token ?? form.errors.email}
            </p>{/if}
        <Button type="submit" size="lg" disabled={form.processing}>Change the password</Button>
    </form>
    <p class="text-[0.925rem]"><Link href="/forgotten" class="linklike">Ask for another link</Link></p>
</Door>
