<script lang="ts">
    import { untrack } from 'svelte';
    import type { PatientHead } from '../../types/pages';
    import type { DecideShown, KeptContent, SessionHeadView } from '../../types/session';
    import Evidence from './Evidence.svelte';
    import KeptLine from '../keeping/KeptLine.svelte';
    import { KeptStep } from '../keeping/kept.svelte';
    import PauseForm from '../PauseForm.svelte';
    import Remarks from './Remarks.svelte';

    interface Content {
        decisions: Record<string, { decision: string | null; reason: string }>;
        remarks: string;
    }
    let {
        patient,
        session,
        shown,
        kept,
    }: { patient: PatientHead; session: SessionHeadView; shown: DecideShown; kept: KeptContent } = $props();

    const step = untrack(() => {
        const made = new KeptStep<Content>(`/patients/${patient.id}/sessions/${session.id}/steps/decide`, kept, {
            decisions: {},
            remarks: '',
        });
        // An empty map arrives as a list.
        made.content.decisions = { ...made.content.decisions };
        return made;
    });
    const of = (lineage: string): { decision: string | null; reason: string } => {
        const made = step.content.decisions[lineage] ?? { decision: null, reason: '' };
        // An older session may hold "go on", which is "stay" now.
        return made.decision === 'go-on' ? { ...made, decision: 'stay' } : made;
    };
    const put = (lineage: string, change: Partial<{ decision: string; reason: string }>): void => {
        step.content.decisions[lineage] = { ...of(lineage), ...change };
    };
    const named = (value: string | null): string => shown.decisions.find((each) => each.value === value)?.label ?? '';
</script>

<div class="pt-5">
    {#if shown.items.length === 0}<p class="text-muted">No programme yet: go on to Prescribe.</p>{/if}
    {#each shown.items as item (item.lineage)}
        <section
            class="grid gap-x-12 gap-y-2 border-t border-ink/40 py-3 md:grid-cols-[1fr_1fr]"
            aria-label={item.name}
        >
            <div>
                <h2 class="text-[1.1rem]">{item.name}</h2>
                <p class="text-[0.9rem] text-muted">
                    {item.summary} · as it is since {item.since}{item.as_needed ? ' · as needed' : ''}
                </p>
                <Evidence lines={item.lines} />
                {#if item.proposal}
                    <div
                        class="mt-2 border-l-4 border-ink bg-card px-4 py-2"
                        role="note"
                        title={item.proposal.rule}
                        aria-label="Proposal for {item.name}"
                    >
                        <p>
                            <span class="text-sm text-muted">Proposed</span>
                            <strong class="font-serif text-[1.15rem]">{item.proposal.label}</strong>
                        </p>
                        <p class="text-[0.9rem]">{item.proposal.because}</p>
                        <p class="text-[0.8125rem] text-muted">The decision is yours.</p>
                    </div>
                {/if}
                {#if item.next}<p class="mt-1 text-[0.9rem]">
                        The next rung of its ladder: <strong>{item.next}</strong>
                    </p>{/if}
            </div>
            <div>
                <fieldset>
                    <legend class="font-semibold">Your decision</legend>
                    <div class="mt-1 flex flex-wrap gap-1.5">
                        {#each shown.decisions as decision (decision.value)}
                            <label class="choice" class:chosen={of(item.lineage).decision === decision.value}
                                ><input
                                    type="radio"
                                    class="visually-hidden"
                                    name="decision-{item.lineage}"
                                    value={decision.value}
                                    checked={of(item.lineage).decision === decision.value}
                                    onchange={() => put(item.lineage, { decision: decision.value })}
                                />{decision.label}</label
                            >
                        {/each}
                    </div>
                </fieldset>
                <label class="mt-2 block"
                    >Reason <input
                        class="slot small w-[26rem] !text-left"
                        value={of(item.lineage).reason}
                        oninput={(event) => put(item.lineage, { reason: event.currentTarget.value })}
                        aria-label="Reason for {item.name}"
                    /></label
                >
                {#if item.paused}<p class="mt-2 text-clay">Paused since {item.paused}.</p>
                {:else if of(item.lineage).decision === 'pause'}<div class="mt-2">
                        <PauseForm
                            patientId={patient.id}
                            id="pause-{item.lineage}"
                            lineage={item.lineage}
                            reason={of(item.lineage).reason}
                        />
                    </div>{/if}
            </div>
        </section>
    {/each}
    <div class="max-w-[40rem] border-t border-rule pt-3">
        <Remarks bind:value={step.content.remarks} label="Remarks" rows={2} />
        <KeptLine {step}
            >{#snippet theirs(content)}<p>
                    {shown.items
                        .map(
                            (item) =>
                                `${item.name}: ${named(content.decisions?.[item.lineage]?.decision ?? null) || 'open'}`,
                        )
                        .join('; ')}
                </p>
                <p class="whitespace-pre-line">{content.remarks ?? ''}</p>{/snippet}</KeptLine
        >
    </div>
</div>

<style>
    .choice {
        position: relative;
        border: 1px solid var(--rule);
        background: var(--card);
        padding: 0.2rem 0.8rem;
        cursor: pointer;
    }
    .choice.chosen {
        border-color: var(--ink);
        box-shadow: inset 0 0 0 1px var(--ink);
        font-weight: 650;
    }
    .choice:focus-within {
        outline: 3px solid var(--reed);
        outline-offset: 1px;
    }
</style>
