<script lang="ts">
    import { clock } from '../../shared/format';
    import type { BenchChoices, DraftFields } from '../../types/pages';
    import type { Bench } from './bench.svelte';

    interface Props {
        bench: Bench;
        choices: BenchChoices;
        /** The exercises to choose from are opened: for one more, or in place of the present one. */
        onpick: (what: 'add' | 'change') => void;
    }

    let { bench, choices, onpick }: Props = $props();

    let dragged = $state<number | null>(null);

    const first = $derived(choices.techniques[0]);

    function addRoutine(event: Event): void {
        if (!(event.currentTarget instanceof HTMLSelectElement) || !first) return;
        const routine = choices.routines[Number(event.currentTarget.value)];
        event.currentTarget.value = '';
        if (routine) bench.addRoutine(routine, first.defaults);
    }

    function drop(event: DragEvent, at: number): void {
        event.preventDefault();
        if (dragged !== null) bench.move(dragged, at);
        dragged = null;
    }

    const lasting = (figures: { about: boolean; exercise_ms: number }): string =>
        `${figures.about ? 'about ' : ''}${clock(figures.exercise_ms)}`;
    const often = (item: DraftFields): string =>
        !item.as_needed
            ? `${item.times_a_day} × a day`
            : item.way === 'ticked'
              ? `habit, ${item.daily_most} × a day`
              : 'as needed';
</script>

<section aria-label="In this programme">
    <ol>
        {#each bench.items as item, at (item.id)}
            {@const answer = bench.of(item.id)}
            <li
                draggable="true"
                ondragstart={() => {
                    dragged = at;
                }}
                ondragover={(event) => event.preventDefault()}
                ondrop={(event) => drop(event, at)}
            >
                <button
                    type="button"
                    class="item"
                    class:here={at === bench.active}
                    aria-current={at === bench.active ? 'true' : undefined}
                    onclick={() => {
                        bench.active = at;
                    }}
                >
                    <span class="block font-serif text-[0.93rem] leading-tight font-semibold"
                        >{at + 1} {answer?.name ?? 'not readable yet'}</span
                    >
                    <span class="block text-[0.8125rem] text-muted"
                        >{answer?.figures
                            ? `${lasting(answer.figures)}, ${often(item)}`
                            : 'something is still wrong'}</span
                    >
                </button>
            </li>
        {/each}
    </ol>
    <div class="mt-1 flex flex-wrap gap-x-3 text-[0.8125rem]">
        <button type="button" class="plain" disabled={bench.items.length >= 12 || !first} onclick={() => onpick('add')}
            >Add an exercise</button
        >
        {#if bench.fields.kind !== 'routine'}<button type="button" class="plain" onclick={() => onpick('change')}
                >change</button
            >{/if}
        <button type="button" class="plain" disabled={bench.items.length >= 12} onclick={() => bench.duplicate()}
            >copy</button
        >
        {#if bench.items.length > 1}
            <button
                type="button"
                class="plain"
                disabled={bench.active === 0}
                onclick={() => bench.move(bench.active, bench.active - 1)}>up</button
            >
            <button
                type="button"
                class="plain"
                disabled={bench.active === bench.items.length - 1}
                onclick={() => bench.move(bench.active, bench.active + 1)}>down</button
            >
            <button type="button" class="plain" onclick={() => bench.remove()}>remove</button>
        {/if}
    </div>
    <select class="box mt-1 w-full" aria-label="Add a routine" value="" onchange={addRoutine}>
        <option value="">add a routine…</option>
        {#each choices.routines as routine, index (index)}<option value={index}>{routine.name}</option>{/each}
    </select>
</section>

<style>
    .item {
        display: block;
        width: 100%;
        text-align: left;
        padding: 0.25rem 0.5rem;
        border: 1px solid transparent;
        cursor: pointer;
    }
    .item.here {
        background: var(--card);
        border-color: var(--ink);
    }
    li {
        cursor: grab;
    }
    button:disabled {
        color: var(--muted);
        opacity: 0.6;
        cursor: default;
    }
    .box {
        background-color: var(--card);
        border: 1px solid var(--rule);
        border-radius: 2px;
        font-size: 0.8125rem;
        padding: 0.15rem 1.6rem 0.15rem 0.4rem;
        background-position: right 0.4rem center;
        background-size: 0.6em;
    }
</style>
