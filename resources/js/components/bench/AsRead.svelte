<script lang="ts">
    import type { ItemAnswer } from '../../types/pages';

    let { mine }: { mine: ItemAnswer } = $props();
</script>

<section aria-label="As the patient reads it">
    <h2 class="text-[1.15rem]">As the patient reads it</h2>
    {#if mine.told.length > 0}
        <!-- It scrolls by itself, so that the programme can be issued without leaving it. -->
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <dl class="text-[0.875rem] leading-snug" tabindex="0">
            {#each mine.told as each (each.part)}
                <div>
                    <dt>{each.label}</dt>
                    <dd>
                        {#if each.part === 'steps'}{#each each.texts as text, index (index)}<span class="block"
                                    >{text}</span
                                >{/each}{:else}{each.texts.join(' ')}{/if}
                    </dd>
                </div>
            {/each}
            {#each mine.taught as text, index (index)}
                <div>
                    <dt>Before exercise {index + 1}</dt>
                    <dd>{text}</dd>
                </div>
            {/each}
            <div>
                <dt>Heard first</dt>
                <dd>“{mine.heard}”</dd>
            </div>
        </dl>
        <p class="mt-1 text-[0.8125rem] text-muted">Word for word what stands on the phone and on the sheet.</p>
    {:else}<p class="text-[0.9rem] text-muted">As soon as it can be read.</p>{/if}
</section>

<style>
    dl {
        max-height: max(18rem, calc(100vh - 26rem));
        overflow-y: auto;
    }
    dl:focus-visible {
        outline: 3px solid var(--reed);
        outline-offset: 2px;
    }
    dl > div {
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
