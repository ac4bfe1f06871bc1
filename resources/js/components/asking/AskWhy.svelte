<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Textarea } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import Field from '../Field.svelte';
    import Ask from './Ask.svelte';

    /** Something is done with a word of one's own: a mistake is taken back, with its reason. */
    interface Props {
        url: string;
        /** What opens it, and of what it is for those who do not see where it stands. */
        opener: string;
        of?: string;
        title: string;
        text: string;
        button: string;
        also?: Record<string, string>;
        /** What is asked, where it is not why. */
        name?: string;
        label?: string;
        hint?: string;
        longest?: number;
    }

    let {
        url,
        opener,
        of = '',
        title,
        text,
        button,
        also = {},
        name = 'reason',
        label = 'Why',
        hint = '',
        longest = 500,
    }: Props = $props();

    const id = $props.id();
    let open = $state(false);
    const form = useForm<Record<string, string>>(untrack(() => ({ [name]: '', ...also })));
    const problem = $derived(Object.values(form.errors)[0]);

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post(url, {
            preserveScroll: true,
            onSuccess: () => {
                open = false;
                form.reset();
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
    }}
    >{opener}{#if of}<span class="visually-hidden"> {of}</span>{/if}</button
>
<Ask bind:open {title}>
    <form onsubmit={submit} novalidate class="mt-2 grid gap-3 text-left">
        <p class="text-muted">{text}</p>
        <Field id="{id}-word" {label} {hint} error={problem}
            >{#snippet children(attributes)}<Textarea
                    rows={2}
                    maxlength={longest}
                    class="w-full"
                    bind:value={form[name]}
                    {...attributes}
                />{/snippet}</Field
        >
        <div class="flex items-center gap-5">
            <Button type="submit" size="sm" disabled={form.processing}>{button}</Button>
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    open = false;
                }}>Leave it as it is</button
            >
        </div>
    </form>
</Ask>
