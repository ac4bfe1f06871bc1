<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { onMount, untrack } from 'svelte';
    import Anchors from '../components/bench/Anchors.svelte';
    import AsRead from '../components/bench/AsRead.svelte';
    import { Bench, type Draft } from '../components/bench/bench.svelte';
    import type { Reason, Reasons } from '../components/bench/reasons';
    import DecidedPart from '../components/bench/DecidedPart.svelte';
    import Findings from '../components/bench/Findings.svelte';
    import IssueLine, { type Rest } from '../components/bench/IssueLine.svelte';
    import IssuePreview, { type Preview } from '../components/bench/IssuePreview.svelte';
    import ItemList from '../components/bench/ItemList.svelte';
    import Panels, { type Panel } from '../components/bench/Panels.svelte';
    import Picker from '../components/bench/Picker.svelte';
    import Numbers from '../components/bench/Numbers.svelte';
    import RidgeHandles from '../components/bench/RidgeHandles.svelte';
    import RoutineItem from '../components/bench/RoutineItem.svelte';
    import Sentence from '../components/bench/Sentence.svelte';
    import Unissued from '../components/asking/Unissued.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import SessionBar from '../components/session/SessionBar.svelte';
    import Ridge from '../shared/Ridge.svelte';
    import Room from '../components/Room.svelte';
    import RoomPlayer from '../components/RoomPlayer.svelte';
    import { roomSound, type Sounding } from '../lib/roomSound';
    import { sendSignedIn } from '../lib/send';
    import { STILL_HERE, inWords, Refusal } from '../shared/http';
    import type { RoomPlay } from '../types/exercises';
    import type { TechniqueChoice } from '../types/pages';
    import type { BenchProps } from '../types/props';

    interface Kept {
        draft: Draft;
        rest: Rest;
        reasons: Reasons;
    }

    let { patient, choices, version, draft, answer, measured, best_pace, goals, session, decided }: BenchProps =
        $props();

    const bench = untrack(() => new Bench(patient.id, answer, draft.maintenance && version === null));
    let rest = $state<Rest>(
        untrack(() => ({
            weeks: String(draft.weeks),
            starts_on: draft.starts_on,
            review_on: draft.review_on,
            rated_symptom: draft.rated_symptom,
            reason: '',
            based_on: version?.number ?? 0,
            goal: $state.snapshot(draft.goal),
        })),
    );
    let reasons = $state<Reasons>({});
    let errors = $state.raw<Record<string, string>>({});
    let restored = $state(false);
    let isIssuing = $state(false);
    let panel = $state<Panel>('');
    let picking = $state<'' | 'add' | 'change'>('');
    const openSound = roomSound();
    let playing = $state.raw<Sounding<RoomPlay> | null>(null);
    let preview = $state.raw<Preview | null>(null);
    let patientNote = $state('');
    let issued = false;

    /** A clinic's own breaths share a technique and differ by name. */
    const isPresent = (each: TechniqueChoice): boolean =>
        each.key === bench.fields.technique && each.defaults.own_name === (bench.fields.own_name ?? null);
    const isRoutine = $derived(bench.fields.kind === 'routine');
    const technique = $derived(
        isRoutine
            ? undefined
            : (choices.techniques.find(isPresent) ??
                  choices.techniques.find((each) => each.key === bench.fields.technique) ??
                  choices.techniques[0]),
    );
    const next = $derived((version?.number ?? 0) + 1);
    const barNote = $derived(
        version ? `draft of version ${next}` : draft.maintenance ? 'first version of what is kept up' : 'first version',
    );
    /** Problems of an exercise are shown where it is typed; here stands which one has them. */
    const nameAt = (place: number): string => bench.of(bench.items[place]?.id ?? '')?.name ?? `Exercise ${place + 1}`;
    const general = $derived(
        errors.programme ??
            Object.entries(errors)
                .filter(([field]) => field.startsWith('items.'))
                .map(([field, text]) => `${nameAt(Number(field.split('.')[1]))}: ${text}`)[0] ??
            bench.answer.error,
    );
    const problems = $derived([
        general,
        errors.weeks,
        errors.starts_on,
        errors.review_on,
        errors.rated_symptom,
        errors.reason,
    ]);
    const isDecidedInDraft = $derived(decided?.answer ? bench.does(decided.answer) : false);

    function doWhatWasDecided(): void {
        if (!decided?.answer) return;
        bench.beginWith(decided.answer);
        rest.reason = decided.reason;
    }

    onMount(() => {
        const kept = bench.read<Kept>();
        if (kept) {
            Object.assign(rest, kept.rest);
            reasons = kept.reasons;
            bench.takeBack(kept.draft);
            restored = true;
        } else {
            doWhatWasDecided();
            first = asItIs();
        }
    });

    const asItIs = (): string => JSON.stringify([bench.draft().items, $state.snapshot(rest)]);
    let first = untrack(asItIs);
    /** The breath that this exercise has now. */
    const inForce = $derived.by(() => {
        const fields = version ? answer.items.find((each) => each.id === bench.fields.id)?.fields : undefined;
        return fields?.ratio ? { ratio: fields.ratio, count_length: Number(fields.count_length) } : null;
    });
    const isChanged = (): boolean => asItIs() !== first;

    $effect(() => {
        const now = {
            draft: bench.draft(),
            rest: $state.snapshot(rest),
            reasons: $state.snapshot(reasons),
        };
        if (!issued && (restored || isChanged())) bench.keep(now);
    });

    function startAgain(): void {
        bench.forget();
        issued = true;
        location.reload();
    }

    function warn(event: BeforeUnloadEvent): void {
        if (bench.state === 'unreachable' && !issued) event.preventDefault();
    }

    function key(event: KeyboardEvent): void {
        if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
        event.preventDefault();
        if (event.shiftKey) bench.redo();
        else bench.undo();
    }

    function picked(chosen: TechniqueChoice): void {
        if (picking === 'add') bench.addExercise(chosen);
        else if (chosen !== technique) bench.choose(chosen);
        picking = '';
    }

    /** The player leads in the room. */
    async function play(): Promise<void> {
        const at = bench.active;
        // What could not be reached is told by the Bench itself.
        const next = await openSound(() => bench.post<RoomPlay>('play', { at })).catch(() => null);
        playing = next ?? playing;
    }

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        if (preview === null) void look();
        else void issue();
    }

    /** What it changes, or at first what it says, is read before it is issued; what is in the way is said at once. */
    async function look(): Promise<void> {
        isIssuing = true;
        errors = {};
        try {
            await sendSignedIn(`/patients/${patient.id}/bench/check`, 'POST', order());
            const shown = await bench.post<Preview>('changes', { session: session?.id ?? null });
            patientNote = version ? shown.patient_note : '';
            preview = shown;
        } catch (problem) {
            refused(problem);
        } finally {
            isIssuing = false;
        }
    }

    const mapped = <T,>(of: Record<string, Reason> | undefined, value: (reason: Reason) => T): Record<string, T> =>
        Object.fromEntries(Object.entries(of ?? {}).map(([rule, reason]) => [rule, value(reason)]));

    function order(): object {
        const given = $state.snapshot(reasons);
        const { items } = bench.draft();
        return {
            ...$state.snapshot(rest),
            maintenance: draft.maintenance,
            items,
            school: bench.school,
            patient_note: patientNote,
            session: session?.id ?? null,
            finding_reasons: items.map((item) => mapped(given[item.id], (reason) => reason.text)),
            finding_causes: items.map((item) => mapped(given[item.id], (reason) => reason.cause)),
        };
    }

    function refused(problem: unknown): void {
        if (!(problem instanceof Refusal) || problem.status !== 422) {
            errors = { programme: inWords(problem, STILL_HERE) };
            return;
        }
        errors = problem.errors;
        const at = Object.keys(errors)
            .map((field) => /^(?:items|finding_reasons)\.(\d+)\./.exec(field)?.[1])
            .find((place) => place !== undefined);
        if (at !== undefined) bench.active = Number(at);
        if (Object.keys(errors).some((field) => field.startsWith('goal.'))) panel = 'goal';
    }

    async function issue(): Promise<void> {
        isIssuing = true;
        errors = {};
        try {
            const { go_to } = await sendSignedIn<{ go_to: string }>(
                `/patients/${patient.id}/versions`,
                'POST',
                order(),
            );
            issued = true;
            bench.forget();
            router.visit(go_to);
        } catch (problem) {
            preview = null;
            refused(problem);
        } finally {
            isIssuing = false;
        }
    }
</script>

<svelte:window onkeydown={key} onbeforeunload={warn} />

<Room title="Bench for {patient.name}">
    {#if session}<SessionBar {patient} {session} note={barNote} />{:else}<PatientBar
            {patient}
            here="bench"
            note={barNote}
        />{/if}
    <form onsubmit={submit} novalidate>
        {#if preview}<IssuePreview
                {preview}
                {bench}
                isFirst={!version}
                bind:note={patientNote}
                number={next}
                isBusy={isIssuing}
                onleave={() => {
                    preview = null;
                }}
            />{/if}
        <div class="grid border-b border-ink md:grid-cols-[10.5rem_1fr] min-[70rem]:grid-cols-[10.5rem_1fr_19rem]">
            <div class="border-rule py-2 md:border-r md:pr-2.5">
                <ItemList
                    {bench}
                    {choices}
                    onpick={(what) => {
                        picking = what;
                    }}
                />
            </div>
            <div class="min-w-0 py-2 md:px-5">
                {#if picking !== ''}
                    <Picker
                        title={picking === 'add'
                            ? 'Add an exercise'
                            : `In place of ${bench.mine.name ?? 'the present exercise'}`}
                        techniques={choices.techniques}
                        present={picking === 'change' ? technique : undefined}
                        onchoose={picked}
                        onclose={() => {
                            picking = '';
                        }}
                    />
                {:else if playing}
                    <RoomPlayer
                        {...playing}
                        onleave={() => {
                            playing = null;
                        }}
                    />
                {:else}
                    {#if bench.mine.ridge}
                        <div class="relative mx-auto max-w-[40rem]">
                            <Ridge
                                shape={bench.frozen ?? bench.mine.ridge}
                                width={640}
                                height={98}
                                label={bench.mine.ridge.minutes !== null
                                    ? `${bench.mine.ridge.minutes} minutes, uncounted`
                                    : `One breath of ${technique?.name ?? ''}`}
                            />
                            {#if technique?.has_ratio}<RidgeHandles
                                    {bench}
                                    shape={bench.frozen ?? bench.mine.ridge}
                                    width={640}
                                    height={98}
                                />{/if}
                        </div>
                    {:else}
                        <p class="flex h-[8rem] items-center justify-center border-b border-ink text-muted">
                            The breath is drawn as soon as it can be read.
                        </p>
                    {/if}
                    <div class="mt-1.5 min-h-[3.2rem]">
                        {#if bench.mine.figures}<Numbers figures={bench.mine.figures} />{/if}
                    </div>
                {/if}
                <div class="mt-1" class:hidden={picking !== ''}>
                    {#if technique}<Sentence {bench} {choices} {technique} />{:else}<RoutineItem
                            {bench}
                            {choices}
                        />{/if}
                </div>
                <Panels
                    {bench}
                    {choices}
                    {technique}
                    {measured}
                    bestPace={best_pace}
                    {goals}
                    {inForce}
                    {errors}
                    bind:panel
                    bind:rest
                    exportUrl={version ? `/patients/${patient.id}/versions/${version.number}/programme.json` : null}
                    isPlaying={playing !== null}
                    onplay={play}
                />
                {#if !bench.fields.as_needed}<div class="relative mt-1 overflow-x-auto">
                        <Anchors {bench} {choices} />
                    </div>{/if}
            </div>
            <aside class="beside py-3" aria-label="Findings, and what the patient reads">
                {#if bench.state === 'unreachable'}<p role="alert" class="mb-3 font-semibold text-clay">
                        {bench.trouble}
                        <button type="button" class="linklike" onclick={() => bench.changed()}>Try again</button>
                    </p>{/if}
                {#if decided}<DecidedPart {decided} isInDraft={isDecidedInDraft} ontake={doWhatWasDecided} />{/if}
                {#if restored}
                    <p class="mb-4 border-b border-rule pb-3 text-[0.9rem]">
                        What you had typed is back. <button type="button" class="linklike" onclick={startAgain}
                            >Start again{version ? ` from version ${version.number}` : ''}</button
                        >
                    </p>
                {/if}
                <Findings {bench} {choices} bind:reasons {errors} />
                <div class="mt-3 border-t border-rule pt-2"><AsRead mine={bench.mine} /></div>
            </aside>
        </div>
        <IssueLine
            minutes={bench.answer.minutes}
            has={patient.minutes_a_day}
            bind:rest
            {errors}
            isFirst={!version}
            isMaintenance={draft.maintenance}
            {next}
            isOff={isIssuing || patient.obstacle !== null || preview !== null}
        />
        <div class="mt-2 text-right" aria-live="assertive">
            {#each problems as problem, index (index)}
                {#if problem}<p class="font-semibold text-clay">{problem}</p>{/if}
            {/each}
        </div>
    </form>
    <Unissued isUnissued={() => !isIssuing && !issued && isChanged()} />
</Room>

<style>
    /* What the rules say and what the patient reads goes below where there is no room beside it. */
    .beside {
        border-top: 1px solid var(--color-rule);
    }
    @media (min-width: 48rem) {
        .beside {
            grid-column: span 2;
        }
    }
    @media (min-width: 70rem) {
        .beside {
            grid-column: auto;
            border-top: 0;
            border-left: 1px solid var(--color-rule);
            padding-left: 1rem;
        }
    }
</style>
