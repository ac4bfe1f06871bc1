<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { untrack } from 'svelte';
    import { plusDays } from '../../lib/axis';
    import { dayMonth } from '../../shared/format';
    import DateSlot from '../DateSlot.svelte';
    import type { CoursePeriods } from '../../types/course';

    let {
        periods,
        span,
        patientId,
        programme,
    }: {
        periods: CoursePeriods;
        span: string;
        patientId: string;
        /** Where it is a closed one. */ programme: number | undefined;
    } = $props();

    const id = $props.id();
    let asked = $state(untrack(() => ({ first: periods.first, second: periods.second, days: String(periods.days) })));
    const named = (from: string): string => `${dayMonth(from)} to ${dayMonth(plusDays(from, periods.days - 1))}`;

    function compare(event: SubmitEvent): void {
        event.preventDefault();
        router.get(
            `/patients/${patientId}`,
            { span, ...(programme === undefined ? {} : { programme }), ...asked },
            { preserveScroll: true, preserveState: true },
        );
    }
</script>

<table class="w-full text-[0.9rem]">
    <caption class="visually-hidden">Two periods compared</caption>
    <thead
        ><tr class="text-left text-[0.8125rem] text-muted"
            ><td></td><th scope="col" class="py-1 pr-3 font-normal">{named(periods.first)}</th><th
                scope="col"
                class="py-1 pr-3 font-normal">{named(periods.second)}</th
            ><th scope="col" class="py-1 font-normal">Change</th></tr
        ></thead
    >
    <tbody>
        {#each periods.lines as line (line.what)}
            <tr class="border-t border-rule"
                ><th scope="row" class="py-1 pr-3 text-left font-normal">{line.what}</th><td class="py-1 pr-3"
                    >{line.then}</td
                ><td class="py-1 pr-3">{line.now}</td><td class="py-1 font-semibold">{line.change ?? ''}</td></tr
            >
        {/each}
    </tbody>
</table>
<p class="mt-1 text-[0.8125rem] text-muted">
    Medians, with the number of values in brackets. A change needs four on each side; it says how much, not why.
    {#if periods.overlap}The two periods overlap.{/if}
</p>
<form class="mt-2 flex flex-wrap items-baseline gap-x-3 gap-y-1 text-[0.9rem] print:hidden" onsubmit={compare}>
    <span
        ><label for="{id}-first">From</label>
        <DateSlot id="{id}-first" of="From" size="slot" class="w-[10rem]" bind:value={asked.first} /></span
    >
    <span
        ><label for="{id}-second">and from</label>
        <DateSlot id="{id}-second" of="and from" size="slot" class="w-[10rem]" bind:value={asked.second} /></span
    >
    <label>for <input class="slot small w-[3.5rem]" inputmode="numeric" bind:value={asked.days} /> days</label>
    <button type="submit" class="linklike">Compare</button>
</form>
