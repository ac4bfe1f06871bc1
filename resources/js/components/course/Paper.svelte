<script lang="ts">
    import Wide from '../Wide.svelte';
    import { useForm } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import type { CourseProps } from '../../types/course';

    /** The tally grid of the printed sheet: what was ticked there and is not known yet. */
    let { paper, patientId }: { paper: NonNullable<CourseProps['paper']>; patientId: string } = $props();

    let typed = $state<Record<string, string>>({});
    let stops = $state<Record<string, string>>({});
    const form = useForm<{ ticks: { day: string; lineage: string; done: string; stop: string | null }[] }>({
        ticks: [],
    });
    const errors = $derived(form.errors as Record<string, string>);
    /** At the day and exercise where it was typed. */
    const placed = $derived(
        Object.fromEntries(
            Object.entries(errors).flatMap(([field, text]) => {
                const at = /^ticks\.(\d+)\./.exec(field)?.[1];
                const tick = at === undefined ? undefined : form.ticks[Number(at)];
                const key = tick ? `${tick.day} ${tick.lineage}` : field.replace(/^paper /, '');
                return key === field ? [] : [[key, text]];
            }),
        ),
    );
    const problem = $derived(
        Object.entries(errors).find(([field]) => field === 'ticks' || field === 'paper')?.[1] ??
            Object.values(placed)[0],
    );

    function enter(event: SubmitEvent): void {
        event.preventDefault();
        const keys = new Set(
            [...Object.entries(typed), ...Object.entries(stops)]
                .filter(([, said]) => said.trim() !== '')
                .map(([key]) => key),
        );
        form.ticks = [...keys].map((key) => {
            const [day = '', lineage = ''] = key.split(' ');
            return { day, lineage, done: (typed[key] ?? '').trim(), stop: stops[key] || null };
        });
        form.post(`/patients/${patientId}/paper`, {
            preserveScroll: true,
            onSuccess: () => {
                typed = {};
                stops = {};
            },
        });
    }
</script>

<details class="mt-4 border-t border-ink pt-2 print:hidden">
    <summary class="linklike cursor-pointer">Enter ticks from the printed sheet</summary>
    <form class="mt-2" onsubmit={enter} novalidate>
        <p class="text-[0.925rem] text-muted">
            How many more were ticked each day than are known here. They count in full, without ratings, and are marked
            as paper; one that was never made is taken back under Latest practices. If a symptom is written beside one,
            choose it: the last practice of that day was stopped for it, and pauses as any stop does.
        </p>
        <Wide label="Ticks by day">
            <table class="text-[0.875rem]">
                <thead
                    ><tr class="text-left text-[0.8125rem] text-muted"
                        ><td></td>{#each paper.days as day (day.date)}<th
                                scope="col"
                                class="px-1 py-1 font-normal whitespace-nowrap">{day.label}</th
                            >{/each}</tr
                    ></thead
                >
                <tbody>
                    {#each paper.rows as row (row.lineage)}
                        <tr class="border-t border-rule"
                            ><th scope="row" class="py-1 pr-3 text-left font-semibold">{row.name}</th>
                            {#each row.days as day, index (index)}
                                {@const date = paper.days[index]}
                                {@const left = Math.max(0, day.planned - day.known)}
                                <td class="px-0.5 py-1 text-center"
                                    >{#if date && left > 0}<input
                                            class="slot small w-[2.6rem]"
                                            inputmode="numeric"
                                            aria-label="{row.name}, {date.label}: more ticks"
                                            aria-invalid={placed[`${date.date} ${row.lineage}`] ? 'true' : undefined}
                                            bind:value={typed[`${date.date} ${row.lineage}`]}
                                        /><select
                                            class="slot small mt-0.5 block !w-[4.4rem] !pr-5 !pl-0.5 text-[0.75rem]"
                                            aria-label="{row.name}, {date.label}: stopped for"
                                            bind:value={
                                                () => stops[`${date.date} ${row.lineage}`] ?? '',
                                                (value) => {
                                                    stops[`${date.date} ${row.lineage}`] = value;
                                                }
                                            }
                                            ><option value="">no stop</option
                                            >{#each paper.symptoms as symptom (symptom.value)}<option
                                                    value={symptom.value}>{symptom.label}</option
                                                >{/each}</select
                                        >{/if}<span class="block text-[0.75rem] text-muted"
                                        >{day.known} of {day.planned}</span
                                    >{#if date && placed[`${date.date} ${row.lineage}`]}<span
                                            class="block max-w-[9rem] text-left text-[0.75rem] font-semibold text-clay"
                                            >{placed[`${date.date} ${row.lineage}`]}</span
                                        >{/if}</td
                                >
                            {/each}</tr
                        >
                    {/each}
                </tbody>
            </table>
        </Wide>
        {#if problem}<p role="alert" class="mt-1 font-semibold text-clay">{problem}</p>{/if}
        <Button type="submit" outline size="sm" class="mt-2" disabled={form.processing}>Enter them</Button>
    </form>
</details>
