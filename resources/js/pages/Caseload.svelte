<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import Room from '../components/Room.svelte';
    import Tally from '../components/Tally.svelte';
    import { plural } from '../lib/format';
    import type { CaseloadLine } from '../types/pages';

    let { lines }: { lines: CaseloadLine[] } = $props();

    const urgent = ['red-flag', 'get-help', 'paused', 'stopped-once'];
    const groups = $derived.by(() => {
        const byReason: { reason: string; heading: string; lines: CaseloadLine[] }[] = [];
        for (const line of lines) {
            const last = byReason[byReason.length - 1];
            if (last?.reason === line.reason) last.lines.push(line);
            else byReason.push({ reason: line.reason, heading: line.heading, lines: [line] });
        }
        return byReason;
    });
</script>

<Room title="Caseload" current="caseload">
    <div class="flex items-baseline justify-between pt-4 pb-3">
        <h1 class="text-[1.45rem]">Who needs me</h1>
        <span class="text-muted">{plural(lines.length, 'patient', 'patients')}, most urgent first · tallies of 14 days</span>
    </div>
    {#if lines.length === 0}
        <p class="border-t border-rule pt-6">No patients yet. <Link href="/patients/new" class="linklike">Add the first one.</Link></p>
    {/if}
    {#each groups as group (group.reason)}
        <section aria-label={group.heading} class="grid grid-cols-[8.5rem_1fr] border-t border-ink/40">
            <h2 class="pt-3 text-[0.98rem] {urgent.includes(group.reason) ? 'text-clay' : ''}">
                {group.heading}
                {#if group.lines.length > 2}<span class="block font-sans text-[0.8125rem] font-normal text-muted">{group.lines.length} patients</span>{/if}
            </h2>
            <ul>
                {#each group.lines as line, index (line.id)}
                    <li class="relative grid grid-cols-[14rem_1fr_15.5rem_6.5rem] items-center gap-x-5 py-2 {index > 0 ? 'border-t border-rule' : ''} hover:bg-card">
                        <div>
                            <Link href="/patients/{line.id}" class="font-serif text-[1.02rem] font-semibold after:absolute after:inset-0">{line.name}</Link>
                            <span class="block truncate text-[0.8125rem] text-muted">{line.prescribed ?? 'no programme'}</span>
                        </div>
                        <p class="leading-snug"><strong class={urgent.includes(line.reason) ? 'text-clay' : ''}>{line.number}</strong> {line.sentence}</p>
                        <div>{#if line.tally.length > 0}<Tally days={line.tally} dayWidth={line.tally.some((day) => day.length > 3) ? null : 17} />{/if}</div>
                        <span class="text-right text-[0.875rem] whitespace-nowrap text-muted">{line.review_on ? `review ${line.review_on}` : ''}</span>
                    </li>
                {/each}
            </ul>
        </section>
    {/each}
</Room>
