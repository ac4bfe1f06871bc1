<script lang="ts">
    import { readTime } from '../lib/dates';
    import TypedSlot from './TypedSlot.svelte';

    interface Props {
        /** "14:30", or what was typed when it is no time: whoever keeps it says so. */
        value: string | undefined;
        size?: 'sm' | 'md' | 'lg' | 'slot';
        [attribute: string]: unknown;
    }

    let { value = $bindable(), size = 'md', ...attributes }: Props = $props();
</script>

<TypedSlot bind:value read={readTime} shown={(time) => time} placeholder="14:30" {size} {...attributes} />
