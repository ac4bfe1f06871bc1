<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button, Input, Textarea } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import type { LetterWords } from '../../types/clinic';
    import Field from '../Field.svelte';

    /** What stands above and under the clinic's letters, and sentences that are used again and again. */
    let { words, name }: { words: LetterWords; name: string } = $props();

    const form = useForm(
        untrack(() => ({
            letter_head: words.head,
            letter_foot: words.foot,
            blocks: words.blocks.map((each) => ({ ...each })),
        })),
    );
    const errors = $derived(form.errors as Record<string, string | undefined>);

    function keep(event: SubmitEvent): void {
        event.preventDefault();
        form.put('/clinic/letters', { preserveScroll: true });
    }
</script>

<form onsubmit={keep} class="grid gap-3" novalidate>
    <Field
        id="letter-head"
        label="Above a letter"
        hint="Name and address. Left empty, it is “{name}”."
        error={errors.letter_head}
    >
        {#snippet children(attributes)}<Textarea
                rows={3}
                class="w-full"
                bind:value={form.letter_head}
                {...attributes}
            />{/snippet}
    </Field>
    <Field
        id="letter-foot"
        label="Under a letter"
        hint="Opening hours, whom to complain to, what your rules ask for."
        error={errors.letter_foot}
    >
        {#snippet children(attributes)}<Textarea
                rows={2}
                class="w-full"
                bind:value={form.letter_foot}
                {...attributes}
            />{/snippet}
    </Field>
    <fieldset class="grid gap-2">
        <legend class="font-semibold">Sentences of our own</legend>
        {#each form.blocks as block, index (index)}
            <div class="grid gap-1 border-t border-rule pt-2">
                <Field id="block-name-{index}" label="Name" error={errors[`blocks.${index}.name`]}>
                    {#snippet children(attributes)}<Input
                            class="w-full"
                            maxlength={60}
                            bind:value={block.name}
                            {...attributes}
                        />{/snippet}
                </Field>
                <Field id="block-text-{index}" label="Sentence" error={errors[`blocks.${index}.text`]}>
                    {#snippet children(attributes)}<Textarea
                            rows={2}
                            class="w-full"
                            maxlength={1000}
                            bind:value={block.text}
                            {...attributes}
                        />{/snippet}
                </Field>
                <div>
                    <button
                        type="button"
                        class="linklike"
                        onclick={() => {
                            form.blocks = form.blocks.filter((_, at) => at !== index);
                        }}>Take it away<span class="visually-hidden">: {block.name}</span></button
                    >
                </div>
            </div>
        {/each}
        {#if errors.blocks}<p class="font-semibold text-clay">{errors.blocks}</p>{/if}
        <div>
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    form.blocks = [...form.blocks, { name: '', text: '' }];
                }}>Add a sentence</button
            >
        </div>
    </fieldset>
    <div><Button type="submit" size="sm" outline disabled={form.processing}>Keep for letters</Button></div>
</form>
