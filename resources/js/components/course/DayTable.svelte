<script lang="ts">
    import Wide from '../Wide.svelte';
    import { byName, dayLines, units } from '../../lib/courseDay';
    import { dayMonth } from '../../shared/format';
    import type { CourseProgramme } from '../../types/course';

    let { programme }: { programme: CourseProgramme } = $props();

    let isOpen = $state(false);
    const rows = $derived(
        isOpen
            ? units(programme)
                  .reverse()
                  .map((date) => ({ date, values: byName(dayLines(programme, date)) }))
            : [],
    );
    const columns = $derived([...new Set(rows.flatMap((row) => [...row.values.keys()]))]);
</script>

<details
    class="mt-4 border-t border-ink pt-2 {isOpen ? '' : 'print:hidden'}"
    ontoggle={(event) => {
        if (event.currentTarget instanceof HTMLDetailsElement) isOpen = event.currentTarget.open;
    }}
>
    <summary class="linklike cursor-pointer">The same as a table</summary>
    <Wide label="The Course as a table" class="mt-1">
        <table class="text-[0.875rem]">
            <caption class="visually-hidden"
                >The Course, {programme.by_week ? 'week by week' : 'day by day'}, latest first</caption
            >
            <thead
                ><tr class="text-left text-[0.8125rem] text-muted"
                    ><th scope="col" class="py-1 pr-4 font-normal">{programme.by_week ? 'Week of' : 'Day'}</th
                    >{#each columns as column (column)}<th scope="col" class="py-1 pr-4 font-normal">{column}</th
                        >{/each}</tr
                ></thead
            >
            <tbody
                >{#each rows as row (row.date)}<tr class="border-t border-rule align-top"
                        ><th scope="row" class="py-1 pr-4 text-left font-normal whitespace-nowrap"
                            >{dayMonth(row.date)}</th
                        >{#each columns as column (column)}<td class="py-1 pr-4">{row.values.get(column) ?? ''}</td
                            >{/each}</tr
                    >{/each}</tbody
            >
        </table>
    </Wide>
</details>
