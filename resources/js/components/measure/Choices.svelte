<script lang="ts">
    import { untrack } from 'svelte';
    import type { Desk } from './desk.svelte';

    let { desk }: { desk: Desk } = $props();

    const names = $derived(
        desk.shown.measures.filter((each) => each.symptom !== null).map((each) => each.label.toLowerCase()),
    );
    let symptom = $state('');
    let low = $state(untrack(() => String(desk.shown.own_low_saturation ?? '')));
    let trouble = $state('');

    async function add(): Promise<void> {
        if (symptom.trim() === '') return;
        trouble = await desk.choose({ symptoms: [...names, symptom.trim()] });
        if (trouble === '') symptom = '';
    }

    async function drop(name: string): Promise<void> {
        trouble = await desk.choose({ symptoms: names.filter((each) => each !== name) });
    }

    async function range(): Promise<void> {
        trouble = await desk.choose({ own_low_saturation: low.trim() === '' ? null : low.trim() });
    }

    const enter =
        (what: () => Promise<void>) =>
        (event: KeyboardEvent): void => {
            if (event.key === 'Enter') {
                event.preventDefault();
                void what();
            }
        };
</script>

<div class="mt-3 border-t border-rule pt-2 text-[0.925rem] leading-8">
    <p>
        Rated 0 to 10: {#each names as name (name)}<span class="chip mr-1.5"
                >{name}
                <button type="button" class="linklike" onclick={() => drop(name)}
                    >drop<span class="visually-hidden"> {name}</span></button
                ></span
            >{:else}<span class="text-muted">nothing chosen yet</span>{/each}
        <input
            class="slot small !text-left"
            aria-label="Symptom to rate"
            placeholder="evening tension"
            bind:value={symptom}
            onkeydown={enter(add)}
        /><button type="button" class="linklike" onclick={add}>add it</button>
    </p>
    <p>
        Saturation normal for this patient from <input
            class="slot small"
            aria-label="Own lowest normal saturation, %"
            inputmode="numeric"
            bind:value={low}
            onkeydown={enter(range)}
        />
        % <button type="button" class="linklike" onclick={range}>keep the range</button>
        <span class="text-[0.8125rem] text-muted"
            >{desk.shown.own_low_saturation === null
                ? `urgent at ${desk.shown.low_saturation} % and under`
                : `urgent under ${desk.shown.own_low_saturation} %`}</span
        >
    </p>
    {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
</div>
