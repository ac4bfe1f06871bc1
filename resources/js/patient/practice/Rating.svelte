<script lang="ts">
    interface Props {
        title: string;
        hint?: string;
        value?: number | null;
        onrated: (value: number) => void;
    }

    let { title, hint = '', value = null, onrated }: Props = $props();

    const id = $props.id();
</script>

<div class="stack" role="group" aria-labelledby="{id}-title">
    <h2 id="{id}-title" class="title">{title}</h2>
    {#if hint}<p class="small muted">{hint}</p>{/if}
    <div class="scale">
        {#each Array.from({ length: 11 }).keys() as n (n)}
            <button type="button" class="number" aria-pressed={value === n} onclick={() => onrated(n)}>{n}</button>
        {/each}
    </div>
</div>

<style>
    .title {
        font-size: 1.35rem;
    }
    .scale {
        display: grid;
        grid-template-columns: repeat(6, 1fr);
        gap: 0.4rem;
    }
    .number {
        background: var(--card);
        border: 1px solid var(--rule);
        border-bottom: 2px solid var(--ink);
        border-radius: 2px;
        font-family: var(--serif);
        font-size: 1.25rem;
        min-height: 3rem;
        cursor: pointer;
    }
    .number[aria-pressed='true'] {
        background: var(--ink);
        color: var(--paper);
    }
</style>
