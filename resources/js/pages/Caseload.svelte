<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import { onMount, untrack } from 'svelte';
    import Room from '../components/Room.svelte';
    import SymptomLine from '../components/SymptomLine.svelte';
    import TodayStrip from '../components/week/TodayStrip.svelte';
    import { asked, EVERYONE, grouped, isFiltering } from '../lib/caseload';
    import { isTyping } from '../lib/shortcuts';
    import { parsed, sessionStore } from '../shared/deviceStore';
    import { plural } from '../shared/format';
    import { strokesOf } from '../shared/tally';
    import Tally from '../shared/Tally.svelte';
    import type { CaseloadFilter, CaseloadProps } from '../types/props';

    let {
        lines,
        counts,
        names_that_meet,
        filter: given,
        appointments,
        me,
        urgent,
        tally_days,
        page_size,
    }: CaseloadProps = $props();

    /** Kept for this tab, so that the caseload is found as it was. */
    const KEY = 'ivory-pace:caseload';
    const WAIT_MS = 180;
    let filter = $state<CaseloadFilter>(untrack(() => ({ ...given })));
    let searchField: HTMLInputElement | undefined = $state();
    let more: HTMLElement | undefined = $state();
    let isReading = $state(false);
    let timer: ReturnType<typeof setTimeout> | undefined;

    const groups = $derived(grouped(lines));
    const shown = $derived(groups.reduce((sum, group) => sum + group.lines.length, 0));
    const number = $derived(plural(counts.total, 'patient', 'patients'));

    const COLUMNS =
        'relative flex flex-wrap items-center gap-x-5 gap-y-1 py-2 hover:bg-card min-[70rem]:grid ' +
        'min-[70rem]:grid-cols-[12.75rem_1fr_6rem_15.5rem_5.75rem]';

    onMount(() => {
        const before = { ...EVERYONE, ...parsed<Partial<CaseloadFilter>>(sessionStore.read(KEY)) };
        if (location.search === '' && isFiltering(before)) {
            filter = before;
            look();
        } else sessionStore.write(KEY, JSON.stringify(filter));
        return () => clearTimeout(timer);
    });

    /** Looks for what is set now; typing waits for a moment without a key. */
    function look(wait = 0): void {
        sessionStore.write(KEY, JSON.stringify(filter));
        clearTimeout(timer);
        timer = setTimeout(() => {
            router.get('/', asked($state.snapshot(filter)), {
                only: ['lines', 'counts', 'filter'],
                reset: ['lines'],
                preserveState: true,
                preserveScroll: true,
                replace: true,
            });
        }, wait);
    }

    function showAll(): void {
        filter = { ...EVERYONE };
        look();
    }

    function showMore(): void {
        if (isReading || shown >= counts.fitting) return;
        isReading = true;
        router.reload({
            data: { page: Math.floor(lines.length / page_size) + 1 },
            only: ['lines'],
            preserveUrl: true,
            onFinish: () => {
                isReading = false;
            },
        });
    }

    $effect(() => {
        if (!more) return;
        const watch = new IntersectionObserver((seen) => {
            if (seen.some((each) => each.isIntersecting)) showMore();
        });
        watch.observe(more);
        return () => watch.disconnect();
    });

    function key(event: KeyboardEvent): void {
        if (event.key === '/' && !isTyping(event.target)) {
            event.preventDefault();
            searchField?.focus();
        }
        if (event.key === 'Escape' && event.target === searchField) {
            filter.search = '';
            look();
        }
    }
</script>

<svelte:window onkeydown={key} />

<Room title="Caseload" current="caseload">
    <TodayStrip {appointments} {me} whose={filter.whose} />
    <div class="flex flex-wrap items-baseline justify-between gap-x-6 pt-4 pb-2">
        <h1 class="text-[1.45rem]">Who needs me</h1>
        <span class="text-muted">{number}, most urgent first · symptom and tallies of {tally_days} days</span>
    </div>
    {#if counts.total > 0}
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
                    oninput={() => look(WAIT_MS)}
                    aria-keyshortcuts="/"
                    autocomplete="off"
                /></label
            >
            <label
                >Whose <select class="slot small" bind:value={filter.whose} onchange={() => look()}
                    ><option value="clinic">the clinic’s</option><option value="mine">mine</option></select
                ></label
            >
            <label
                >Why <select class="slot small" bind:value={filter.reason} onchange={() => look()}
                    ><option value="">any reason</option>{#each counts.reasons as reason (reason.value)}<option
                            value={reason.value}>{reason.label.toLowerCase()}</option
                        >{/each}</select
                ></label
            >
            <label
                >Flag <select class="slot small" bind:value={filter.flag} onchange={() => look()}
                    ><option value="">any or none</option>{#each counts.flags as flag (flag)}<option value={flag}
                            >{flag}</option
                        >{/each}</select
                ></label
            >
            {#if isFiltering(filter)}<span role="status" class="text-muted">{counts.fitting} of {counts.total}</span
                ><button type="button" class="linklike" onclick={showAll}>Show all</button>{/if}
        </form>
        {#if counts.fitting === 0}<p class="border-t border-rule pt-6">
                Nobody fits. <button type="button" class="linklike" onclick={showAll}>Show all again</button>
            </p>{/if}
    {/if}
    {#if counts.total === 0}
        <p class="border-t border-rule pt-6">
            No patients yet. <Link href="/patients/new" class="linklike">Add the first one.</Link>
        </p>
    {/if}
    {#each groups as group (group.reason)}
        <section aria-label={group.heading} class="grid grid-cols-1 border-t border-ink/40 md:grid-cols-[9.5rem_1fr]">
            <h2 class="pt-3 text-[0.98rem] {urgent.includes(group.reason) ? 'text-clay' : ''}">
                {group.heading}
                {#if (counts.by_reason[group.reason] ?? 0) > 2}<span
                        class="block font-sans text-[0.8125rem] font-normal text-muted"
                        >{counts.by_reason[group.reason]} patients</span
                    >{/if}
            </h2>
            <ul>
                {#each group.lines as line, index (line.id)}
                    <li class={[COLUMNS, index > 0 && 'border-t border-rule']}>
                        <div class="w-[12.75rem]">
                            <Link
                                href="/patients/{line.id}"
                                class="font-serif text-[1.02rem] font-semibold after:absolute after:inset-0"
                                >{line.name}</Link
                            >{#if names_that_meet.includes(line.name)}<span class="block text-[0.8125rem]"
                                    >born {line.born}</span
                                >{/if}
                            <span class="block truncate text-[0.8125rem] text-muted"
                                >{line.prescribed ?? 'no programme'}</span
                            >
                        </div>
                        <p class="grow basis-60 leading-snug">
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
    {#if shown < counts.fitting}<p class="border-t border-rule py-4" bind:this={more} role="status">
            {shown} of {counts.fitting} are shown.
            <button type="button" class="linklike" onclick={showMore} disabled={isReading}
                >{isReading ? 'Reading …' : 'Show more'}</button
            >
        </p>{/if}
</Room>
