<script lang="ts">
    import { onMount } from 'svelte';
    import { closesOnEscape } from '../../lib/escape';
    import Ridge from '../../shared/Ridge.svelte';
    import type { TechniqueChoice } from '../../types/pages';

    interface Props {
        title: string;
        techniques: TechniqueChoice[];
        /** What is there now, when it is to be changed. */
        present: TechniqueChoice | undefined;
        onchoose: (technique: TechniqueChoice) => void;
        onclose: () => void;
    }

    let { title, techniques, present, onchoose, onclose }: Props = $props();

    let wanted = $state('');
    let purpose = $state('');
    let search: HTMLInputElement | undefined = $state();

    const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ');
    const purposes = $derived([...new Set(techniques.flatMap((each) => each.purposes))].sort());
    const found = $derived(
        techniques.filter(
            (each) =>
                (purpose === '' || each.purposes.includes(purpose)) &&
                plain(wanted)
                    .split(' ')
                    .every((word) => plain(`${each.name} ${each.about} ${each.purposes.join(' ')}`).includes(word)),
        ),
    );
    onMount(() => {
        search?.focus();
        return closesOnEscape(() => onclose());
    });

    function key(event: KeyboardEvent): void {
        const only = found[0];
        if (event.key === 'Enter' && event.target === search) {
            event.preventDefault();
            if (found.length === 1 && only) onchoose(only);
        }
    }
</script>

<svelte:window onkeydown={key} />

<section class="border border-ink bg-card px-4 py-3" aria-label={title}>
    <div class="flex items-baseline justify-between gap-4">
        <h2 class="text-[1.15rem]">{title}</h2>
        <button type="button" class="plain text-[0.875rem]" aria-keyshortcuts="Escape" onclick={onclose}
            >leave it as it is</button
        >
    </div>
    <div class="mt-1 flex flex-wrap items-baseline gap-x-4 text-[0.925rem]">
        <label
            >Search <input
                class="slot small !min-w-[12rem] !text-left"
                type="search"
                autocomplete="off"
                bind:value={wanted}
                bind:this={search}
            /></label
        >
        <label
            >for <select class="slot small" aria-label="Purpose" bind:value={purpose}
                ><option value="">any purpose</option>{#each purposes as each (each)}<option value={each}>{each}</option
                    >{/each}</select
            ></label
        >
        <span class="text-muted" role="status">{found.length} of {techniques.length}</span>
    </div>
    <ul class="list mt-2">
        {#each found as each (each.key + (each.defaults.own_name ?? ''))}
            <li>
                <button
                    type="button"
                    class="choice"
                    aria-current={each === present ? 'true' : undefined}
                    onclick={() => onchoose(each)}
                >
                    <span class="drawn"><Ridge shape={each.ridge} width={84} height={26} label="" bare /></span>
                    <span class="min-w-0"
                        ><span class="block font-serif leading-tight font-semibold">{each.name}</span>
                        <span class="block text-[0.8125rem] leading-snug text-muted">{each.about}</span></span
                    >
                </button>
            </li>
        {:else}
            <li class="text-muted">Nothing is called like that.</li>
        {/each}
    </ul>
</section>

<style>
    .list {
        max-height: 24rem;
        overflow-y: auto;
        display: grid;
        grid-template-columns: 1fr 1fr;
        column-gap: 1rem;
        align-items: start;
    }
    .choice {
        display: grid;
        grid-template-columns: 84px 1fr;
        gap: 0.6rem;
        align-items: center;
        width: 100%;
        padding: 0.3rem 0.4rem;
        border: 1px solid transparent;
        text-align: left;
        cursor: pointer;
    }
    .choice:hover,
    .choice[aria-current='true'] {
        border-color: var(--ink);
        background: var(--paper);
    }
    .drawn {
        display: block;
        width: 84px;
    }
</style>
