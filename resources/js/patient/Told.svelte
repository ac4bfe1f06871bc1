<script lang="ts">
    import type { ToldPart } from './types';

    interface Props {
        parts: ToldPart[];
    }

    let { parts }: Props = $props();
</script>

<dl>
    {#each parts as each (each.part)}
        <div class={each.part}>
            <dt>{each.label}</dt>
            <dd>
                {#if each.part === 'steps'}{#each each.texts as text, index (index)}<span>{text}</span>{/each}
                {:else}{each.texts.join(' ')}{/if}
            </dd>
        </div>
    {/each}
</dl>

<style>
    dl {
        margin: 0;
        width: 100%;
    }
    dl > div {
        display: grid;
        grid-template-columns: minmax(4.2rem, 5.6rem) 1fr;
        gap: 0.6rem;
        border-bottom: 1px solid var(--rule);
        padding: 0.35rem 0;
    }
    dt {
        color: var(--muted);
        font-size: 0.875rem;
        overflow-wrap: anywhere;
    }
    dd {
        margin: 0;
    }
    .steps dd span {
        display: block;
    }
</style>
