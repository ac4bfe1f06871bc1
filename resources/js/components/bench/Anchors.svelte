<script lang="ts">
    import { WEEKDAYS } from '../../shared/format';
    import type { BenchChoices } from '../../types/pages';
    import type { Bench } from './bench.svelte';

    let { bench, choices }: { bench: Bench; choices: BenchChoices } = $props();

    /** A habit that the prescriber names. */
    const OWN = 'own';
    const anchors = $derived(bench.fields.anchors);
    const free = $derived(
        choices.anchors.filter((choice) => !anchors.some((anchor) => anchor.anchor === choice.value)),
    );

    function move(index: number, key: string): void {
        const choice = choices.anchors.find((each) => each.value === key);
        const anchor = anchors[index];
        if (!choice || !anchor) return;
        Object.assign(anchor, {
            anchor: choice.value,
            label: choice.label,
            from: choice.from,
            to: choice.to,
            ...(choice.value === OWN ? { name: '' } : {}),
        });
        bench.changed();
    }

    function toggle(index: number, day: number): void {
        const anchor = anchors[index];
        if (!anchor) return;
        anchor.days = anchor.days.includes(day)
            ? anchor.days.filter((each) => each !== day)
            : [...anchor.days, day].sort();
        bench.changed();
    }

    function remove(index: number): void {
        bench.set({ anchors: anchors.filter((_, each) => each !== index), times_a_day: anchors.length - 1 });
    }

    function add(): void {
        const choice = free.find((each) => each.value !== OWN);
        if (!choice) return;
        const anchor = {
            anchor: choice.value,
            label: choice.label,
            from: choice.from,
            to: choice.to,
            days: [1, 2, 3, 4, 5, 6, 7],
        };
        bench.set({ anchors: [...anchors, anchor], times_a_day: anchors.length + 1 });
    }

    /** A template says only which anchor; its name follows with the answer. */
    const nameOf = (anchor: { anchor: string; label?: string }): string =>
        anchor.label ?? choices.anchors.find((choice) => choice.value === anchor.anchor)?.label ?? '';
    const choicesFor = (anchor: string): typeof choices.anchors =>
        choices.anchors.filter((choice) => choice.value === anchor || free.includes(choice));
</script>

<table class="w-full text-[0.925rem]">
    <caption class="visually-hidden">When to practise: anchor, window and weekdays</caption>
    <thead class="visually-hidden"
        ><tr
            ><th scope="col">Anchor</th><th scope="col">Window</th><th scope="col">Weekdays</th><th scope="col"
                >Remove</th
            ></tr
        ></thead
    >
    <tbody>
        {#each anchors as anchor, index (anchor.anchor)}
            <tr class="border-t border-rule">
                <td class="py-1 pr-2">
                    <select
                        class="slot !text-base"
                        aria-label="Anchor {index + 1}"
                        value={anchor.anchor}
                        onchange={(event) => move(index, event.currentTarget.value)}
                    >
                        {#each choicesFor(anchor.anchor) as choice (choice.value)}
                            <option value={choice.value}>{choice.label}</option>
                        {/each}
                    </select>
                    {#if anchor.anchor === OWN}<input
                            class="slot small !w-[11rem] !text-left"
                            aria-label="Name of the habit"
                            placeholder="the news on the radio"
                            maxlength="40"
                            bind:value={anchor.name}
                            oninput={() => bench.changed()}
                        />{/if}
                </td>
                <td class="pr-2 whitespace-nowrap">
                    <input
                        class="slot !text-base"
                        inputmode="numeric"
                        maxlength="5"
                        aria-label="{nameOf(anchor)}, from"
                        bind:value={anchor.from}
                        onchange={() => bench.changed()}
                    />
                    to
                    <input
                        class="slot !text-base"
                        inputmode="numeric"
                        maxlength="5"
                        aria-label="{nameOf(anchor)}, to"
                        bind:value={anchor.to}
                        onchange={() => bench.changed()}
                    />
                </td>
                <td class="whitespace-nowrap">
                    {#each WEEKDAYS as weekday, day (weekday)}
                        <button
                            type="button"
                            class="day"
                            aria-label="{weekday}, {nameOf(anchor)}"
                            aria-pressed={anchor.days.includes(day + 1)}
                            onclick={() => toggle(index, day + 1)}>{weekday.charAt(0)}</button
                        >
                    {/each}
                </td>
                <td class="text-right">
                    {#if anchors.length > 1}<button type="button" class="plain text-sm" onclick={() => remove(index)}
                            >Remove<span class="visually-hidden"> {nameOf(anchor)}</span></button
                        >{/if}
                </td>
            </tr>
        {/each}
    </tbody>
</table>
{#if free.length > 0}<button type="button" class="plain mt-1 text-sm" onclick={add}>Add an anchor</button>{/if}

<style>
    .day {
        border: 1px solid var(--rule);
        border-radius: 2px;
        min-width: 1.75rem;
        height: 1.75rem;
        color: var(--muted);
        cursor: pointer;
    }
    .day[aria-pressed='true'] {
        background: var(--card);
        border-color: var(--ink);
        border-bottom-width: 3px;
        color: var(--ink);
        font-weight: 700;
    }
</style>
