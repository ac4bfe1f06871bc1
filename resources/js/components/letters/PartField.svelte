<script lang="ts">
    import { Textarea } from 'flowbite-svelte';
    import type { LetterBlock, LetterPart } from '../../types/letters';
    import Field from '../Field.svelte';

    /** A paragraph of a letter, and the clinic's own sentences to put into it. */
    let {
        part,
        longest,
        blocks,
        text = $bindable(),
    }: { part: LetterPart; longest: number; blocks: LetterBlock[]; text: string | undefined } = $props();

    const rows = $derived(
        Math.min(
            14,
            Math.max(
                2,
                (text ?? '').split('\n').reduce((all, line) => all + 1 + Math.floor(line.length / 88), 0),
            ),
        ),
    );
    let chosen = $state('');

    function put(): void {
        const block = blocks.find((each) => each.name === chosen);
        chosen = '';
        if (!block) return;
        const before = (text ?? '').trimEnd();
        text = before === '' ? block.text : `${before}\n${block.text}`;
    }
</script>

<div>
    <Field id="part-{part.key}" label={part.heading} hint={part.needed ? 'It is signed only with this paragraph.' : ''}
        >{#snippet children(attributes)}<Textarea
                {rows}
                maxlength={longest}
                class="w-full text-base leading-relaxed"
                bind:value={text}
                {...attributes}
            />{/snippet}</Field
    >
    {#if blocks.length > 0}<select
            class="slot small mt-1 max-w-full"
            aria-label="Put a sentence of the clinic into: {part.heading}"
            bind:value={chosen}
            onchange={put}
        >
            <option value="">put in a sentence of the clinic</option>
            {#each blocks as block (block.name)}<option value={block.name}>{block.name}</option>{/each}
        </select>{/if}
</div>
