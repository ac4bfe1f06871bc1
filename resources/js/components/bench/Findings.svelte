<script lang="ts">
    import { Textarea } from 'flowbite-svelte';
    import { plural } from '../../shared/format';
    import type { BenchChoices, Finding } from '../../types/pages';
    import type { Bench } from './bench.svelte';
    import { isFor, type Reasons } from './reasons';

    interface Props {
        bench: Bench;
        choices: BenchChoices;
        reasons: Reasons;
        errors: Record<string, string>;
    }

    let { bench, choices, reasons = $bindable(), errors }: Props = $props();

    const LEVELS = { note: 'Note', caution: 'Caution', 'needs-reason': 'Needs a reason' } as const;

    const others = $derived(
        bench.items
            .map((item, at) => ({ at, id: item.id, answer: bench.of(item.id) }))
            .filter((each) => each.at !== bench.active && (each.answer?.findings.length ?? 0) > 0)
            .map(({ at, id, answer }) => ({
                at,
                id,
                name: answer?.name ?? '',
                count: answer?.findings.length ?? 0,
                gravest: answer?.findings[0]?.level,
            })),
    );

    function give(finding: Finding, text: string): void {
        reasons[bench.fields.id] = { ...reasons[bench.fields.id], [finding.rule]: { text, cause: finding.cause } };
    }

    function apply(finding: Finding, index: number): void {
        const change = finding.changes[index];
        if (!change) return;
        const added =
            change.add === null ? undefined : choices.techniques.find((each) => each.key === change.add?.technique);
        if (added) bench.addExercise(added);
        else bench.set(change.set);
    }
</script>

<div aria-live="polite">
    {#each bench.mine.findings as finding (finding.rule)}
        <section class="finding {finding.level}" aria-label={finding.title}>
            <p class="text-xs font-semibold tracking-wide text-muted">{LEVELS[finding.level]}</p>
            <h2 class="text-[0.98rem]">{finding.title}</h2>
            <p class="text-[0.9rem] leading-snug">{finding.message}</p>
            {#if finding.changes.length > 0}
                <ul class="mt-0.5 text-[0.9rem]">
                    {#each finding.changes as change, index (index)}
                        <li>
                            <button type="button" class="linklike text-left" onclick={() => apply(finding, index)}
                                >{change.label}</button
                            >
                        </li>
                    {/each}
                </ul>
            {/if}
            {#if finding.level === 'needs-reason'}
                <label class="mt-1 block text-[0.85rem] font-semibold" for="reason-{finding.rule}"
                    >Or why it is right for this patient</label
                >
                <Textarea
                    id="reason-{finding.rule}"
                    rows={2}
                    class="mt-0.5 w-full"
                    bind:value={
                        () => reasons[bench.fields.id]?.[finding.rule]?.text ?? '',
                        (text) => {
                            give(finding, text);
                        }
                    }
                    aria-invalid={errors[`finding_reasons.${bench.active}.${finding.rule}`] ? 'true' : undefined}
                />
                {#if !isFor(reasons[bench.fields.id]?.[finding.rule], finding)}
                    <p class="text-sm font-semibold text-clay" role="status">
                        Something has been added since this was written. <button
                            type="button"
                            class="linklike"
                            onclick={() => give(finding, reasons[bench.fields.id]?.[finding.rule]?.text ?? '')}
                            >It still holds</button
                        >
                    </p>
                {/if}
                {#if errors[`finding_reasons.${bench.active}.${finding.rule}`]}<p
                        class="text-sm font-semibold text-clay"
                    >
                        {errors[`finding_reasons.${bench.active}.${finding.rule}`]}
                    </p>{/if}
            {/if}
            {#if finding.basis !== 'Common practice.'}<p class="text-xs text-muted">{finding.basis}</p>{/if}
        </section>
    {:else}
        <p class="text-[0.9rem] text-muted">{bench.mine.figures ? 'No findings for this patient.' : ''}</p>
    {/each}
</div>
{#each others as other (other.id)}
    <p class="mt-2 text-[0.875rem]">
        <button
            type="button"
            class="linklike text-left"
            onclick={() => {
                bench.active = other.at;
            }}
            >{other.name}: {plural(other.count, 'finding', 'findings')}{other.gravest === 'needs-reason'
                ? ', one needs a reason'
                : ''}</button
        >
    </p>
{/each}
<p class="mt-4 text-[0.8125rem] text-muted">
    Findings are common practice unless a source stands with them; you decide.
</p>

<style>
    .finding {
        border-left: 3px solid var(--muted);
        padding-left: 0.7rem;
        margin-bottom: 1rem;
    }
    .finding.caution {
        border-left: 5px solid var(--ochre);
    }
    .finding.needs-reason {
        border-left: 8px double var(--clay);
    }
</style>
