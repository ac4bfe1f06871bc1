<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Textarea } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import { keeping } from '../lib/keeping';
    import Field from './Field.svelte';

    interface Props {
        id: string;
        url: string;
        label: string;
        button: string;
        hint?: string;
    }

    let { id, url, label, button, hint = '' }: Props = $props();

    const form = useForm({ line: '' });
    const kept = keeping(untrack(() => url));
    onMount(() => {
        form.line = kept.read<string>() ?? '';
    });
    $effect(() => kept.write(form.line));

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post(url, {
            preserveScroll: true,
            onSuccess: () => {
                form.reset();
                kept.forget();
            },
        });
    }
</script>

<form onsubmit={submit} class="mt-2 flex flex-col items-start gap-2.5" novalidate>
    <div class="w-full">
        <Field {id} {label} {hint} error={form.errors.line}>
            {#snippet children(attributes)}<Textarea
                    rows={2}
                    class="w-full"
                    bind:value={form.line}
                    {...attributes}
                />{/snippet}
        </Field>
    </div>
    <Button type="submit" outline disabled={form.processing}>{button}</Button>
</form>
