<script lang="ts">
    import { Link, useForm } from '@inertiajs/svelte';
    import { Button, Input, Textarea } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import DateSlot from '../components/DateSlot.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import RedFlagActions from '../components/RedFlagActions.svelte';
    import Room from '../components/Room.svelte';
    import ScreeningQuestion from '../components/ScreeningQuestion.svelte';
    import Field from '../components/Field.svelte';
    import { shownDay } from '../lib/dates';
    import { keeping } from '../lib/keeping';
    import { plural } from '../shared/format';
    import { sendSignedIn } from '../lib/send';
    import { inWords } from '../shared/http';
    import type { QuestionGroup } from '../types/screening';
    import type { ScreeningProps } from '../types/props';

    let {
        patient,
        questions,
        latest,
        red_flags,
        history,
        from_home,
        has_device,
        exercises,
        crisis_number_missing,
    }: ScreeningProps = $props();

    const empty = {
        answers: {} as Record<string, boolean>,
        ends_on: {} as Record<string, string>,
        happened_on: {} as Record<string, string>,
        with_gas: false,
        pregnancy_weeks: '',
        remark: '',
        confirms: '',
        corrects: null as number | null,
        correction_reason: '',
    };
    const form = useForm(untrack(() => structuredClone(empty)));
    const kept = keeping(`screening:${untrack(() => patient.id)}`);
    let asking = $state(untrack(() => latest === null));
    let asked = $state('');
    const openFlags = $derived(red_flags.filter((flag) => flag.is_open));
    const session = new URLSearchParams(location.search).get('session');

    const all = $derived(questions.flatMap((group) => group.questions));
    const open = $derived(all.filter((question) => form.answers[question.key] === undefined).length);
    const yes = $derived(all.filter((question) => latest?.answers[question.key]));

    onMount(() => {
        const before = kept.read<typeof empty>();
        if (before && Object.keys(before.answers).length > 0) {
            Object.assign(form, before);
            asking = true;
        }
    });
    $effect(() => {
        if (asking) kept.write(form.data());
    });

    const isRestOpen = $derived(
        questions.some((group) => !group.red && group.questions.some(({ key }) => form.answers[key] === undefined)),
    );

    /** Never what refers first: each of those is asked. */
    function restNo(group: QuestionGroup): void {
        if (group.red) return;
        for (const question of group.questions) form.answers[question.key] ??= false;
    }

    /** With the id of a screening, that one is corrected. */
    function again(corrects: number | null): void {
        form.corrects = corrects;
        if (latest) {
            form.answers = { ...latest.answers };
            form.ends_on = { ...latest.ends_on };
            form.happened_on = { ...latest.happened_on };
            form.with_gas = latest.with_gas;
            form.remark = corrects === null ? form.remark : (latest.remark ?? '');
            form.pregnancy_weeks = latest.pregnancy_weeks === null ? '' : String(latest.pregnancy_weeks);
        }
        asking = true;
    }

    /** The patient's own answers, to be gone through together. */
    function takeFromHome(): void {
        if (!from_home) return;
        form.answers = { ...from_home.answers };
        form.confirms = from_home.id;
        asking = true;
    }

    async function askAtHome(): Promise<void> {
        try {
            await sendSignedIn(`/patients/${patient.id}/forms`, 'POST', { form: 'screening', on: 'device' });
            asked = 'The questions wait on the patient’s device.';
        } catch (problem) {
            asked = inWords(problem, 'Nothing was asked.');
        }
    }

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post(`/patients/${patient.id}/screening`, {
            preserveScroll: 'errors',
            onSuccess: () => {
                kept.forget();
                asking = false;
                form.reset();
            },
        });
    }

    const isNew = (number: number): string =>
        number === 1
            ? '1 question is new since this screening. Nothing is issued until it is'
            : `${number} questions are new since this screening. Nothing is issued until they are`;
</script>

<Room title="Screening of {patient.name}">
    <PatientBar {patient} here="screening" />
    {#if session}<p class="pt-3">
            <Link class="linklike" href="/patients/{patient.id}/sessions/{session}/catch-up">Back to the session</Link>
        </p>{/if}
    {#if crisis_number_missing}<p class="mt-4 border-l-4 border-clay bg-card px-5 py-3" role="status">
            <strong>Nobody is screened yet.</strong> The screening asks about thoughts of suicide; the number that a
            patient is then told to call has to be entered <Link href="/clinic" class="linklike">under Clinic</Link>, by
            the lead.
        </p>{/if}
    {#if from_home?.sent_on && form.confirms !== from_home.id}
        <section
            class="mt-4 flex flex-wrap items-center gap-x-6 gap-y-2 border-l-4 border-reed bg-card px-5 py-3"
            aria-label="Answers from home"
        >
            <p>
                The patient answered {from_home.answered} questions at home, sent {from_home.sent_on}. They count once
                you have gone through them.
            </p>
            <Button size="sm" onclick={takeFromHome}>Go through them</Button>
        </section>
    {:else if from_home && !from_home.sent_on}
        <p class="pt-3 text-muted">
            The questions wait on the patient’s device: {from_home.answered} of {from_home.of} answered.
        </p>
    {:else if has_device && !from_home && form.confirms === ''}
        <p class="pt-3">
            <button type="button" class="linklike" onclick={askAtHome}
                >Let the patient answer beforehand, on their own device</button
            > <span class="text-muted" role="status">{asked}</span>
        </p>
    {/if}
    {#if !asking && latest}
        <div class="grid gap-10 pt-5 md:grid-cols-[1fr_24rem]">
            <div>
                <h2 class="text-lg">Screening of {latest.on}</h2>
                <p class="text-muted">
                    by {latest.by}, {latest.new_questions === 0
                        ? `all ${all.length} questions answered`
                        : `${all.length - latest.new_questions} of ${all.length} questions answered`}
                </p>
                {#if history[0]?.correction}<p class="mt-1">
                        A correction: {history[0].correction.reason}
                        <span class="text-muted">{history[0].correction.changes.join('; ')}</span>
                    </p>{/if}
                {#if latest.new_questions > 0}<p class="mt-2 font-semibold text-clay" role="status">
                        {isNew(latest.new_questions)} answered: screen again, the other answers stay.
                    </p>{/if}
                {#if yes.length === 0}<p class="mt-3">Every answer was no.</p>{/if}
                <ul class="mt-3">
                    {#each yes as question (question.key)}
                        <li class="border-t border-rule py-1.5">
                            {question.text}
                            {#if question.key === 'flag.pregnancy' && latest.pregnancy_weeks}<span class="text-muted">
                                    · {latest.pregnancy_weeks} weeks on that day</span
                                >{/if}
                            {#if latest.happened_on[question.key]}<span class="text-muted">
                                    · on {shownDay(latest.happened_on[question.key] ?? '')}</span
                                >{/if}
                            {#if latest.ends_on[question.key]}<span class="text-muted">
                                    · until {shownDay(latest.ends_on[question.key] ?? '')}</span
                                >{/if}
                        </li>
                    {/each}
                </ul>
                {#if latest.remark}<p class="mt-3 border-t border-rule pt-2 whitespace-pre-line">
                        {latest.remark}
                    </p>{/if}
                <div class="mt-5 flex gap-3">
                    {#if patient.obstacle === null}<Button href="/patients/{patient.id}/bench">To the Bench</Button
                        >{/if}
                    <Button outline onclick={() => again(null)}>Anything new? Screen again</Button>
                    {#if latest.can_be_corrected}<button type="button" class="linklike" onclick={() => again(latest.id)}
                            >A wrong answer? Correct it</button
                        >{/if}
                </div>
            </div>
            <RedFlagActions {patient} flags={red_flags} {exercises} />
        </div>
        {#if history.length > 1}
            <details class="mt-6 border-t border-rule pt-2">
                <summary class="cursor-pointer font-semibold">Earlier screenings ({history.length - 1})</summary>
                <ul>
                    {#each history.slice(1) as past, index (index)}<li class="border-t border-rule py-1.5">
                            <strong>{past.on}</strong>
                            <span class="text-muted"
                                >by {past.by}{past.from_patient ? ', from the patient’s own answers' : ''}</span
                            ><span class="block"
                                >{past.yes.length > 0 ? past.yes.join('; ') : 'every answer was no'}</span
                            >{#if past.is_corrected}<span class="block text-muted">corrected since</span>{/if}
                        </li>{/each}
                </ul>
            </details>
        {/if}
    {:else}
        {#if latest === null && openFlags.length > 0}<div class="max-w-[40rem] pt-4">
                <RedFlagActions {patient} flags={openFlags} {exercises} />
            </div>{/if}
        <form onsubmit={submit} class="pt-4" novalidate>
            <p class="mb-4 max-w-[46rem] text-muted">
                Ask in your own words. This supports your judgement and does not diagnose; local protocols come first. A
                yes under “Refer first” keeps any programme from being issued until you record what was done.
            </p>
            {#each questions as group (group.title)}
                <fieldset class="mb-5 border-t {group.red ? 'border-clay' : 'border-ink/40'} pt-2">
                    <legend
                        class="float-left mr-4 font-serif text-[1.05rem] font-semibold {group.red ? 'text-clay' : ''}"
                        >{group.title}</legend
                    >
                    <div class="min-h-7 text-right">
                        {#if group.red}<span class="text-sm text-muted">{group.source}</span>
                        {:else}<button type="button" class="plain text-sm" onclick={() => restNo(group)}
                                >The rest: no<span class="visually-hidden"> under {group.title}</span></button
                            >{/if}
                    </div>
                    <div class="clear-both grid gap-x-10 md:grid-cols-2">
                        {#each group.questions as question (question.key)}
                            <div class="border-t border-rule py-1.5">
                                <ScreeningQuestion {question} bind:answer={form.answers[question.key]} />
                                {#if form.answers[question.key] && !group.red}
                                    <div class="flex flex-wrap items-center gap-x-4 gap-y-1 pt-1 text-sm">
                                        {#if question.key === 'flag.pregnancy'}
                                            <label class="flex items-center gap-2"
                                                >Weeks today <Input
                                                    class="w-20"
                                                    size="sm"
                                                    inputmode="numeric"
                                                    bind:value={form.pregnancy_weeks}
                                                /></label
                                            >
                                        {/if}
                                        {#if question.weeks}
                                            <span class="flex items-center gap-2"
                                                ><label for="when-{question.key}">When</label>
                                                <DateSlot
                                                    id="when-{question.key}"
                                                    of="{question.text}, when"
                                                    class="w-44"
                                                    size="sm"
                                                    bind:value={form.happened_on[question.key]}
                                                /></span
                                            >
                                            {#if question.gas}<label class="flex items-center gap-2"
                                                    ><input
                                                        type="checkbox"
                                                        class="size-4 rounded-sm border-gray-300 text-primary-700"
                                                        bind:checked={form.with_gas}
                                                    />with gas</label
                                                >{/if}
                                        {/if}
                                        <span class="flex items-center gap-2"
                                            ><label for="until-{question.key}"
                                                >{question.weeks
                                                    ? 'Until, if not by that date'
                                                    : 'Until (optional)'}</label
                                            >
                                            <DateSlot
                                                id="until-{question.key}"
                                                of="{question.text}, until"
                                                class="w-44"
                                                size="sm"
                                                bind:value={form.ends_on[question.key]}
                                            /></span
                                        >
                                    </div>
                                    {@const problem =
                                        (form.errors as Record<string, string>)[`happened_on.${question.key}`] ??
                                        (form.errors as Record<string, string>)[`ends_on.${question.key}`] ??
                                        (question.key === 'flag.pregnancy' ? form.errors.pregnancy_weeks : undefined)}
                                    {#if problem}<p class="text-sm font-semibold text-clay">{problem}</p>{/if}
                                {/if}
                            </div>
                        {/each}
                    </div>
                </fieldset>
            {/each}
            {#if form.corrects !== null}<div class="mb-4 max-w-[46rem]">
                    <Field
                        id="correction_reason"
                        label="What was answered by mistake"
                        error={form.errors.correction_reason}
                        >{#snippet children(attributes)}<Input
                                bind:value={form.correction_reason}
                                {...attributes}
                            />{/snippet}</Field
                    >
                </div>{/if}
            <label class="block max-w-[46rem] font-semibold" for="remark">Remark (optional, stored encrypted)</label>
            <Textarea id="remark" rows={2} class="mt-1 w-full max-w-[46rem]" bind:value={form.remark} />
            <div class="sticky bottom-0 mt-4 flex items-center gap-5 border-t border-ink bg-paper py-3">
                <Button type="submit" disabled={form.processing}
                    >{form.corrects === null ? 'Keep the screening' : 'Keep the correction'}</Button
                >
                {#if latest}<Button
                        outline
                        onclick={() => {
                            asking = false;
                            form.reset();
                            kept.forget();
                        }}>Leave it as it was</Button
                    >{/if}
                {#if isRestOpen}<button
                        type="button"
                        class="plain"
                        onclick={() => {
                            questions.forEach(restNo);
                        }}>The rest: no in every group<span class="text-muted"> but “Refer first”</span></button
                    >{/if}
                <span class={open > 0 ? 'text-muted' : 'text-moss'} role="status"
                    >{open > 0 ? `${plural(open, 'question', 'questions')} open` : 'All answered'}</span
                >
                {#if form.errors.answers}<span class="font-semibold text-clay" role="alert">{form.errors.answers}</span
                    >{/if}
            </div>
        </form>
    {/if}
</Room>
