<script lang="ts">
    import { onMount } from 'svelte';
    import { t } from '../words';

    interface Props {
        title: string;
        hint?: string;
        value?: number | null;
        heading?: 'h1' | 'h2';
        canSkip?: boolean;
        onrated: (value: number | null) => void;
    }

    let { title, hint = '', value = null, heading = 'h2', canSkip = false, onrated }: Props = $props();

    const id = $props.id();
    let titleElement: HTMLElement | undefined = $state();
    // The heading of a page takes the focus, so that what is read next is this page.
    onMount(() => {
        if (heading === 'h1') titleElement?.focus();
    });
</script>

<div class="stack" role="group" aria-labelledby="{id}-title">
    <svelte:element this={heading} id="{id}-title" class="title" tabindex="-1" bind:this={titleElement}
        >{title}</svelte:element
    >
    {#if hint}<p class="small muted">{hint}</p>{/if}
    <div class="scale">
        {#each Array.from({ length: 11 }).keys() as n (n)}
            <button type="button" class="number" aria-pressed={value === n} onclick={() => onrated(n)}>{n}</button>
        {/each}
    </div>
    {#if canSkip}<button type="button" class="button plain" onclick={() => onrated(null)}
            >{t('patient.practice.skip')}</button
        >{/if}
</div>

<style>
    .title {
        font-size: 1.35rem;
    }
    .title:focus {
        outline: none;
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
