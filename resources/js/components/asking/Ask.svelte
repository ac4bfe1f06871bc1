<script lang="ts">
    import { Modal } from 'flowbite-svelte';
    import { untrack, type Snippet } from 'svelte';
    import { backTo } from '../../lib/focus';

    /** A window that asks one thing. Esc leaves it; the focus goes back to where it was opened. */
    let { open = $bindable(false), title, children }: { open?: boolean; title: string; children: Snippet } = $props();

    const id = $props.id();
    let opener: Element | null = null;

    // Before the window takes the focus.
    $effect.pre(() => {
        if (open) {
            opener ??= document.activeElement;
        } else {
            const back = untrack(() => opener);
            opener = null;
            if (back) backTo(back);
        }
    });
</script>

<Modal
    bind:open
    dismissable={false}
    aria-labelledby="{id}-title"
    transitionParams={{ duration: 0 }}
    class="window m-auto max-w-none rounded-none border border-ink bg-paper text-left text-ink shadow-none"
    classes={{ body: 'p-6 text-ink' }}
>
    <h2 id="{id}-title" class="text-[1.2rem]">{title}</h2>
    {@render children()}
</Modal>

<style>
    :global(dialog.window) {
        width: min(34rem, calc(100vw - 2rem));
    }
</style>
