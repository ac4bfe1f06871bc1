<script lang="ts">
    import type { Tried } from '../../types/session';

    let { tried = $bindable() }: { tried: Tried[] } = $props();

    const SMOOTH = [
        ['yes', 'smooth'],
        ['partly', 'partly'],
        ['no', 'not smooth'],
    ] as const;
</script>

{#if tried.length === 0}<p class="text-muted">Nothing yet. What is played is listed here by itself.</p>{/if}
<ul>
    {#each tried as each, index (index)}
        <li class="border-t border-rule py-2">
            <p class="flex items-baseline gap-3">
                <strong>{each.name}</strong>
                {each.pattern} <span class="text-muted">{each.at}</span>
                <button type="button" class="linklike ml-auto" onclick={() => tried.splice(index, 1)}
                    >take out<span class="visually-hidden"> {each.name}</span></button
                >
            </p>
            <p class="flex flex-wrap items-baseline gap-x-4">
                <label
                    >Effort <select class="slot small" bind:value={each.effort}
                        ><option value={null}>–</option>{#each Array.from({ length: 11 }, (_, n) => n) as n (n)}<option
                                value={n}>{n}</option
                            >{/each}</select
                    > of 10</label
                >
                {#each SMOOTH as [value, label] (value)}<label
                        ><input
                            type="radio"
                            class="mr-1 border-gray-300 text-primary-700"
                            name="smooth-{index}"
                            {value}
                            bind:group={each.smooth}
                        />{label}</label
                    >{/each}
            </p>
            <input
                class="slot small w-full !text-left"
                aria-label="Remark on {each.name}"
                placeholder="remark"
                bind:value={each.remark}
            />
            {#if each.seen.length > 0}<p class="text-[0.875rem] text-muted">Seen: {each.seen.join(' ')}</p>{/if}
        </li>
    {/each}
</ul>
