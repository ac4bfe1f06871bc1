<script lang="ts">
    /** What a patient reads of an exercise, by what it is about. */
    let { rows, scrolls = false }: { rows: { label: string; texts: string[] }[]; scrolls?: boolean } = $props();
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<dl class="text-[0.875rem] leading-snug" class:scrolls tabindex={scrolls ? 0 : undefined}>
    {#each rows as row, index (index)}
        <div>
            <dt>{row.label}</dt>
            <dd>
                {#each row.texts as text, at (at)}<span class="block">{text}</span>{/each}
            </dd>
        </div>
    {/each}
</dl>

<style>
    /* By itself, so that what stands below stays in view. */
    .scrolls {
        max-height: max(18rem, calc(100vh - 26rem));
        overflow-y: auto;
    }
    dl:focus-visible {
        outline: 3px solid var(--reed);
        outline-offset: 2px;
    }
    div {
        display: grid;
        grid-template-columns: 5.6rem 1fr;
        gap: 0.6rem;
        border-bottom: 1px solid var(--rule);
        padding: 0.22rem 0;
    }
    dt {
        color: var(--muted);
        font-size: 0.8125rem;
    }
</style>
