<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import Room from '../components/Room.svelte';
    import SymptomLine from '../components/SymptomLine.svelte';
    import TodayStrip from '../components/TodayStrip.svelte';
    import Tally from '../shared/Tally.svelte';
    import { plural } from '../shared/format';
    import { EVERYONE, filtered, isFiltering, type Filter } from '../lib/caseloadFilter';
    import { parsed, sessionStore } from '../shared/deviceStore';
    import { isTyping } from '../lib/shortcuts';
    import { strokesOf } from '../shared/tally';
    import type { CaseloadLine } from '../types/pages';
    import type { CaseloadProps } from '../types/props';

    let { lines, appointments, me, urgent, tally_days }: CaseloadProps = $props();

    /** Kept for this tab, so that Back finds the caseload as it was. */
    const KEY = 'ivory-pace:caseload';
    let filter = $state<Filter>({ ...EVERYONE, ...parsed<Partial<Filter>>(sessionStore.read(KEY)) });
    let searchField: HTMLInputElement | undefined = $state();
    $effect(() => sessionStore.write(KEY, JSON.stringify(filter)));

    /** More than a screen or two is drawn only when asked for. */
    const AT_FIRST = 100;
    let isAll = $state(false);
    const fitting = $derived(filtered(lines, filter, me));
    const shown = $derived(isAll ? fitting : fitting.slice(0, AT_FIRST));
    const reasons = $derived([...new Map(lines.map((line) => [line.reason, line.heading]))]);
    const flags = $derived([...new Set(lines.flatMap((line) => line.flags))].sort((a, b) => a.localeCompare(b)));

    function key(event: KeyboardEvent): void {
        if (event.key === '/' && !isTyping(event.target)) {
            event.preventDefault();
            searchField?.focus();
        }
        if (event.key === 'Escape' && event.target === searchField) filter.search = '';
    }

    const groups = $derived.by(() => {
        const byReason: { reason: string; heading: string; lines: CaseloadLine[] }[] = [];
        for (const line of shown) {
            const last = byReason[byReason.length - 1];
            if (last?.reason === line.reason) last.lines.push(line);
            else byReason.push({ reason: line.reason, heading: line.heading, lines: [line] });
        }
        return byReason;
    });

    const COLUMNS =
        'relative grid grid-cols-[12.75rem_1fr_6rem_15.5rem_5.75rem] items-center gap-x-5 py-2 hover:bg-card';
    const number = $derived(plural(lines.length, 'patient', 'patients'));
</script>

<svelte:window onkeydown={key} />

<Room title="Caseload" current="caseload">
    <TodayStrip {appointments} {me} whose={filter.whose} />
    <div class="flex flex-wrap items-baseline justify-between gap-x-6 pt-4 pb-2">
        <h1 class="text-[1.45rem]">Who needs me</h1>
        <span class="text-muted">{number}, most urgent first · symptom and tallies of {tally_days} days</span>
    </div>
    {#if lines.length > 0}
        <form
            class="flex flex-wrap items-baseline gap-x-5 gap-y-1 pb-3 text-[0.925rem]"
            role="search"
            aria-label="Patients"
            onsubmit={(event) => event.preventDefault()}
        >
            <label
                >Find <input
                    type="search"
                    class="slot small w-[14rem] !text-left"
                    bind:this={searchField}
                    bind:value={filter.search}
                    aria-keyshortcuts="/"
                    autocomplete="off"
                /></label
            >
            <label
                >Whose <select class="slot small" bind:value={filter.whose}
                    ><option value="clinic">the clinic’s</option><option value="mine">mine</option></select
                ></label
            >
            <label
                >Why <select class="slot small" bind:value={filter.reason}
                    ><option value="">any reason</option>{#each reasons as [reason, heading] (reason)}<option
                            value={reason}>{heading.toLowerCase()}</option
                        >{/each}</select
                ></label
            >
            <label
                >Flag <select class="slot small" bind:value={filter.flag}
                    ><option value="">any or none</option>{#each flags as flag (flag)}<option value={flag}
                            >{flag}</option
                        >{/each}</select
                ></label
            >
            {#if isFiltering(filter)}<span role="status" class="text-muted">{fitting.length} of {lines.length}</span
                ><button
                    type="button"
                    class="linklike"
                    onclick={() => {
                        filter = { ...EVERYONE };
                    }}>Show all</button
                >{/if}
        </form>
        {#if shown.length === 0}<p class="border-t border-rule pt-6">
                Nobody fits. <button
                    type="button"
                    class="linklike"
                    onclick={() => {
                        filter = { ...EVERYONE };
                    }}>Show all again</button
                >
            </p>{/if}
    {/if}
    {#if lines.length === 0}
        <p class="border-t border-rule pt-6">
            No patients yet. <Link href="/patients/new" class="linklike">Add the first one.</Link>
        </p>
    {/if}
    {#each groups as group (group.reason)}
        <section aria-label={group.heading} class="grid grid-cols-[9.5rem_1fr] border-t border-ink/40">
            <h2 class="pt-3 text-[0.98rem] {urgent.includes(group.reason) ? 'text-clay' : ''}">
                {group.heading}
                {#if group.lines.length > 2}<span class="block font-sans text-[0.8125rem] font-normal text-muted"
                        >{group.lines.length} patients</span
                    >{/if}
            </h2>
            <ul>
                {#each group.lines as line, index (line.id)}
                    <li class={[COLUMNS, index > 0 && 'border-t border-rule']}>
                        <div>
                            <Link
                                href="/patients/{line.id}"
                                class="font-serif text-[1.02rem] font-semibold after:absolute after:inset-0"
                                >{line.name}</Link
                            >
                            <span class="block truncate text-[0.8125rem] text-muted"
                                >{line.prescribed ?? 'no programme'}</span
                            >
                        </div>
                        <p class="leading-snug">
                            <strong class={urgent.includes(line.reason) ? 'text-clay' : ''}>{line.number}</strong>
                            {line.sentence}
                        </p>
                        <div>
                            {#if line.symptom}<SymptomLine name={line.symptom.name} days={line.symptom.days} />{/if}
                        </div>
                        <div>
                            {#if line.tally}{@const days = strokesOf(line.tally)}<Tally
                                    {days}
                                    dayWidth={days.some((day) => day.length > 3) ? null : 17}
                                />{/if}
                        </div>
                        <span class="text-right text-[0.875rem] whitespace-nowrap text-muted"
                            >{line.review_on ? `review ${line.review_on}` : ''}</span
                        >
                    </li>
                {/each}
            </ul>
        </section>
    {/each}
    {#if shown.length < fitting.length}<p class="border-t border-rule py-4">
            {shown.length} of {fitting.length} are shown.
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    isAll = true;
                }}>Show all</button
            >
        </p>{/if}
</Room>
