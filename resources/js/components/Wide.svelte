<script lang="ts">
    import type { Snippet } from 'svelte';

    /** What is wider than a small screen scrolls by itself; the page does not. */
    let { label, children, class: more = '' }: { label: string; children: Snippet; class?: string } = $props();
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="relative min-w-0 overflow-x-auto {more}" role="region" aria-label={label} tabindex="0">
    {@render children()}
</div>
