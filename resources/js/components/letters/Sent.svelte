<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import Ask from '../asking/Ask.svelte';
    import Field from '../Field.svelte';

    /** How a letter left the house; said once. */
    let { url, of }: { url: string; of: string } = $props();

    const id = $props.id();
    const form = useForm({ how: '' });
    let open = $state(false);

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post(url, {
            preserveScroll: true,
            onSuccess: () => {
                open = false;
            },
        });
    }
</script>

<button
    type="button"
    class="linklike"
    aria-haspopup="dialog"
    onclick={() => {
        open = true;
    }}>It was sent<span class="visually-hidden">: {of}</span></button
>
<Ask bind:open title="How was it sent?">
    <form onsubmit={submit} novalidate class="mt-2 grid gap-3 text-left">
        <p class="text-muted">It is noted with today’s date and your name, and stays.</p>
        <Field id="{id}-how" label="How" hint="As: by post, handed over, by secure mail" error={form.errors.how}
            >{#snippet children(attributes)}<Input
                    maxlength={120}
                    class="w-full"
                    bind:value={form.how}
                    {...attributes}
                />{/snippet}</Field
        >
        <div><Button type="submit" size="sm" disabled={form.processing}>Note it</Button></div>
    </form>
</Ask>
