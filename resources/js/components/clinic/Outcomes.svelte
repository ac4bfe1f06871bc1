<script lang="ts">
    import { percent, plural, short } from '../../shared/format';
    import { untrack } from 'svelte';
    import type { Choice } from '../../types/pages';
    import type { OutcomesShown } from '../../types/clinic';

    let { outcomes, quarters }: { outcomes: OutcomesShown; quarters: Choice[] } = $props();

    let quarter = $state(untrack(() => quarters[0]?.value ?? ''));

    const few = $derived(`Shown from ${outcomes.least} patients on.`);
    const closed = $derived(plural(outcomes.finished.programmes, 'programme', 'programmes'));
    const improvement = (line: OutcomesShown['forms'][number]): string =>
        `${line.recovered + line.improved} reliably improved, ${line.recovered} of them recovered; ` +
        `${line.unchanged} unchanged, ${line.worse} worse`;
</script>

<div class="grid gap-x-12 gap-y-5 md:grid-cols-[1fr_1fr_1.4fr]">
    <section>
        <h3 class="mb-1 text-[1.02rem]">Programmes closed in the last year</h3>
        {#if outcomes.finished.outcomes.length === 0}<p class="text-[0.925rem] text-muted">
                {closed}; how they ended is shown from {outcomes.least} on.
            </p>{/if}
        <ul>
            {#each outcomes.finished.outcomes as line (line.label)}<li
                    class="flex justify-between border-t border-rule py-1 text-[0.925rem]"
                >
                    <span>{line.label}</span><strong>{line.programmes}</strong>
                </li>{/each}
        </ul>
    </section>
    <section>
        <h3 class="mb-1 text-[1.02rem]">From first answers to last</h3>
        {#if outcomes.forms.length === 0}<p class="text-[0.925rem] text-muted">{few}</p>{/if}
        <ul>
            {#each outcomes.forms as line (line.form)}<li class="border-t border-rule py-1 text-[0.925rem]">
                    <strong>{line.name}</strong> <span class="text-muted">· {line.patients} patients</span><br
                    />{improvement(line)}
                </li>{/each}
        </ul>
    </section>
    <section>
        <h3 class="mb-1 text-[1.02rem]">Running programmes, last 90 days</h3>
        {#if outcomes.techniques.length === 0}<p class="text-[0.925rem] text-muted">{few}</p>
        {:else}
            <table class="w-full text-[0.925rem]">
                <caption class="visually-hidden">Practised and stopped, by technique and by anchor</caption>
                <thead
                    ><tr class="text-left text-[0.8125rem] text-muted"
                        ><td></td><th scope="col" class="py-1 pr-3 font-normal">Patients</th><th
                            scope="col"
                            class="py-1 pr-3 font-normal">Practised</th
                        ><th scope="col" class="py-1 font-normal">Stops per 1,000</th></tr
                    ></thead
                >
                <tbody>
                    {#each outcomes.techniques as line (line.key)}<tr class="border-t border-rule"
                            ><th scope="row" class="py-1 pr-3 text-left font-normal">{line.name}</th><td
                                class="py-1 pr-3">{line.patients}</td
                            ><td class="py-1 pr-3 font-semibold">{line.share === null ? '–' : percent(line.share)}</td
                            ><td class="py-1"
                                >{line.stops_per_1000 === null ? '–' : short(line.stops_per_1000, 0)}
                                <span class="text-muted">of {line.practices} practices</span></td
                            ></tr
                        >{/each}
                    {#each outcomes.anchors as line (line.key)}<tr class="border-t border-rule"
                            ><th scope="row" class="py-1 pr-3 text-left font-normal">{line.name}</th><td
                                class="py-1 pr-3">{line.patients}</td
                            ><td class="py-1 pr-3 font-semibold">{line.share === null ? '–' : percent(line.share)}</td
                            ><td></td></tr
                        >{/each}
                </tbody>
            </table>
        {/if}
    </section>
</div>

<div class="mt-4 print:hidden flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-rule pt-3 text-[0.95rem]">
    <label for="report-quarter" class="font-semibold">Report by quarter, to give away</label>
    <select id="report-quarter" class="slot" bind:value={quarter}>
        {#each quarters as each (each.value)}<option value={each.value}>{each.label}</option>{/each}
    </select>
    <a class="linklike" href="/clinic/report.pdf?quarter={quarter}">PDF</a>
    <a class="linklike" href="/clinic/report.csv?quarter={quarter}">CSV</a>
    <a class="linklike" href="/clinic/report.csv?quarter={quarter}&byte_mark=1"
        >CSV with a byte mark, for older spreadsheets</a
    >
    <p class="w-full text-muted">
        With the three quarters before. Small numbers are left out, and what they could be found from.
    </p>
</div>
