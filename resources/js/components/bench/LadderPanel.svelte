<script lang="ts">
    import { short } from '../../shared/format';
    import Ridge from '../../shared/Ridge.svelte';
    import type { Bench } from './bench.svelte';

    let { bench }: { bench: Bench } = $props();

    const ladder = $derived(bench.mine.ladder);
    const error = $derived(bench.mine.errors.ladder);

    /** The rungs above the present one, as they can be edited. */
    function steps(): { set: Record<string, unknown>; days: number | string }[] {
        return bench.fields.ladder
            ? $state.snapshot(bench.fields.ladder)
            : (ladder?.rungs.slice(1).map((rung) => ({ set: $state.snapshot(rung.set), days: rung.days })) ?? []);
    }

    function put(next: { set: Record<string, unknown>; days: number | string }[] | null): void {
        bench.fields.ladder = next;
        bench.typed();
    }

    function setDays(index: number, event: Event): void {
        if (event.currentTarget instanceof HTMLInputElement) {
            const days = event.currentTarget.value;
            put(steps().map((step, at) => (at === index ? { ...step, days } : step)));
        }
    }

    /** The one field that a rung sets, when it is a number or a ratio. */
    function scalar(set: Record<string, unknown>): [string, unknown] | undefined {
        return Object.entries(set).find(([name]) => ['ratio', 'breaths', 'minutes', 'count_length'].includes(name));
    }

    function setValue(index: number, event: Event): void {
        if (!(event.currentTarget instanceof HTMLInputElement)) return;
        const value = event.currentTarget.value.trim();
        put(
            steps().map((step, at) =>
                at === index
                    ? { ...step, set: Object.fromEntries(Object.keys(step.set).map((name) => [name, value])) }
                    : step,
            ),
        );
    }

    const FIELDS = [
        ['ratio', 'ratio'],
        ['breaths', 'breaths or rounds'],
        ['minutes', 'minutes'],
        ['count_length', 'seconds a count'],
    ] as const;
    let field = $state<string>('ratio');
    let value = $state('');

    function add(): void {
        if (value.trim() !== '') put([...steps(), { set: { [field]: value.trim() }, days: 7 }]);
        value = '';
    }

    /** Takes the next step now. */
    function climb(): void {
        const next = ladder?.rungs[1];
        if (!next) return;
        const rest = bench.fields.ladder ? steps().slice(1) : null;
        bench.set({ ...next.set, ladder: rest });
    }
</script>

{#if error}
    <p class="font-semibold text-clay">
        {error} <button type="button" class="linklike" onclick={() => put(null)}>Make the ladder anew</button>
    </p>
{/if}
{#if ladder}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="flex gap-2 overflow-x-auto pb-1" role="region" aria-label="Ladder" tabindex="0">
        {#each ladder.rungs as rung, index (index)}
            <div class="rung" class:now={index === 0}>
                <Ridge shape={rung.ridge} width={110} height={24} label="" bare />
                {#if index > 0 && scalar(rung.set)}
                    <p class="leading-tight font-semibold">
                        <input
                            class="slot small !text-[0.8125rem]"
                            aria-label="What rung {index + 1} sets"
                            value={String(scalar(rung.set)?.[1] ?? '')}
                            onchange={(event) => setValue(index - 1, event)}
                        />
                        {scalar(rung.set)?.[0] === 'ratio' ? '' : rung.change.replace(/^[\d.]+ /, '')}
                    </p>
                {:else}<p class="leading-tight font-semibold">{index === 0 ? 'now' : rung.change}</p>{/if}
                <p class="leading-tight text-muted">
                    {rung.cycle_s === null ? '' : `${short(rung.cycle_s)} s, ${short(rung.rate ?? 0, 1)}/min, `}{short(
                        rung.minutes,
                        1,
                    )} min
                </p>
                {#if index > 0}
                    <p class="whitespace-nowrap text-muted">
                        after <input
                            class="slot small !text-[0.8125rem]"
                            aria-label="Days before rung {index + 1}"
                            inputmode="numeric"
                            value={rung.days}
                            onchange={(event) => setDays(index - 1, event)}
                        />
                        days
                        <button
                            type="button"
                            class="plain"
                            aria-label="Leave rung {index + 1} out"
                            onclick={() => put(steps().filter((_, at) => at !== index - 1))}>×</button
                        >
                    </p>
                {/if}
            </div>
        {/each}
    </div>
    <p class="text-[0.8125rem] text-muted">
        One thing at a time; ends at {ladder.caps.join(', ') ||
            'what is prescribed: only the dose changes'}.{#if ladder.edited}
            Edited. <button type="button" class="linklike" onclick={() => put(null)}>Make it anew</button>{/if}
    </p>
    <p class="text-[0.875rem]">
        {#if ladder.rungs.length > 1}<button type="button" class="linklike" onclick={climb}
                >Take the next rung now</button
            > ·{/if}
        add a rung with
        <select class="slot small" aria-label="What the rung sets" bind:value={field}
            >{#each FIELDS as [name, label] (name)}<option value={name}>{label}</option>{/each}</select
        >
        <input
            class="slot small"
            aria-label="Value of the rung"
            bind:value
            onkeydown={(event) => {
                if (event.key === 'Enter') {
                    event.preventDefault();
                    add();
                }
            }}
        /> <button type="button" class="plain" onclick={add}>add</button>
    </p>
{/if}

<style>
    .rung {
        flex: 0 0 auto;
        width: 8.4rem;
        border: 1px solid var(--rule);
        padding: 0.3rem 0.5rem;
        font-size: 0.8125rem;
    }
    .rung.now {
        border-color: var(--ink);
        background: var(--card);
    }
</style>
