<script lang="ts">
    import { Input } from 'flowbite-svelte';

    interface Props {
        value: string | undefined;
        /** What was typed as it is kept, or null when it cannot be understood. */
        read: (typed: string) => string | null;
        /** What is kept as it is shown. */
        shown: (kept: string) => string;
        size: 'sm' | 'md' | 'lg' | 'slot';
        [attribute: string]: unknown;
    }

    let { value = $bindable(), read, shown, size, ...attributes }: Props = $props();

    /** While one types it stands as it is typed. */
    let typed: string | null = $state(null);

    const text = $derived(typed ?? shown(value ?? ''));

    function take(event: Event): void {
        if (!(event.currentTarget instanceof HTMLInputElement)) return;
        typed = event.currentTarget.value;
        value = read(typed) ?? typed;
    }

    const settle = (): void => {
        typed = null;
    };
</script>

{#if size === 'slot'}<input
        class="slot small w-full"
        autocomplete="off"
        value={text}
        oninput={take}
        onchange={settle}
        {...attributes}
    />{:else}<Input {size} autocomplete="off" value={text} oninput={take} onchange={settle} {...attributes} />{/if}
