<script lang="ts">
    import { onDestroy, onMount, untrack } from 'svelte';
    import { openQuestions, withAnswer, type FormAnswer } from '../shared/forms';
    import FormQuestions from '../shared/FormQuestions.svelte';
    import * as outbox from './keeping/outbox';
    import { t, tn } from './words';
    import HelpCard from './help/HelpCard.svelte';
    import type { Help, TodayData } from './types';

    let { form, help, onleave }: { form: TodayData['asked'][number]; help: Help; onleave: () => void } = $props();

    const PAUSE_MS = 500;
    const ITEM = untrack(() => `form:${form.id}`);
    const waits = (outbox.find(ITEM)?.body as { answers: Record<string, FormAnswer> } | undefined)?.answers;
    let answers = $state<Record<string, FormAnswer>>(untrack(() => ({ ...form.answers, ...waits })));
    let trouble = $state('');
    let isDone = $state(false);
    let isWaiting = $state(false);
    let timer: ReturnType<typeof setTimeout> | undefined;

    const open = $derived(openQuestions(form.questions, answers));
    /** Shown at once, with or without a network. */
    const isUrgent = $derived(form.questions.some((question) => question.urgent && answers[question.key] === 1));

    const isAlone = $derived(form.questions.some((question) => question.crisis && answers[question.key] === 1));
    const isOtherUrgent = $derived(
        form.questions.some((question) => question.urgent && !question.crisis && answers[question.key] === 1),
    );

    onDestroy(() => {
        if (timer) void put();
    });
    onMount(() =>
        outbox.onChange((delivered) => {
            if (delivered) isWaiting = false;
        }),
    );

    function give(key: string, value: FormAnswer | null): void {
        answers = withAnswer(answers, key, value);
        clearTimeout(timer);
        timer = setTimeout(() => void putAndTell(), PAUSE_MS);
    }

    /** Kept here as it is answered, and sent as soon as it can be. */
    function put(done = false, withGaps = false): Promise<void> {
        clearTimeout(timer);
        timer = undefined;
        return outbox.enqueue('form', ITEM, {
            form: form.id,
            answers: $state.snapshot(answers),
            done,
            with_gaps: withGaps,
            answered_at: new Date().toISOString(),
        });
    }

    /** Answers that have not been sent within a moment wait here, and it says so. */
    async function putAndTell(): Promise<void> {
        await put();
        isWaiting = outbox.find(ITEM)?.delivered === false;
    }

    async function finish(withGaps: boolean): Promise<void> {
        await put(true, withGaps);
        const item = outbox.find(ITEM);
        trouble = item?.refused ?? '';
        if (trouble !== '') {
            await outbox.dismiss(ITEM);
            return;
        }
        isWaiting = item !== undefined && !item.delivered;
        isDone = true;
        scrollTo(0, 0);
    }
</script>

<main>
    {#if isUrgent}
        <div class="card urgent stays" role="alert">
            <h2>{t('patient.form.urgent')}</h2>
            {#if isAlone}
                <p>{t('patient.form.suicide')}</p>
                {#if help.crisis}<a class="button call" href="tel:{help.crisis.replaceAll(' ', '')}">{help.crisis}</a
                    >{/if}
            {/if}
            {#if isOtherUrgent}<HelpCard {help} quiet />{:else}<p><strong>{help.emergency}</strong></p>{/if}
            <p class="small">{t('patient.form.urgent-text')}</p>
        </div>
    {/if}
    {#if isDone}
        <h1>{t('patient.form.thanks')}</h1>
        <p>{isWaiting ? t('patient.form.waits') : t('patient.form.thanks-text')}</p>
        <button type="button" class="button" onclick={onleave}>{t('patient.stopped.to-today')}</button>
    {:else}
        <div>
            <h1>{form.title}</h1>
            <p class="muted">{form.intro}</p>
        </div>
        <FormQuestions questions={form.questions} {answers} onanswer={give} />
        <p class="small" role="status">{open > 0 ? tn('patient.form.open', open) : t('patient.form.all')}</p>
        <button type="button" class="button" disabled={open > 0} onclick={() => finish(false)}
            >{t('patient.form.send')}</button
        >
        {#if open > 0 && form.form !== 'screening' && Object.keys(answers).length > 0}<button
                type="button"
                class="button second"
                onclick={() => finish(true)}>{t('patient.form.send-open')}</button
            >{/if}
        <button type="button" class="button plain" onclick={onleave}>{t('patient.form.later')}</button>
        {#if isWaiting}<p class="small" role="status">{t('patient.form.waits')}</p>{/if}
        <p class="small muted">{t('patient.today.nobody')}</p>
    {/if}
    {#if trouble}<p class="error" role="alert">{trouble}</p>{/if}
</main>

<style>
    /* In view wherever the question stands that brought it. */
    .call {
        flex: none;
        display: block;
        text-align: center;
        text-decoration: none;
        background: var(--clay);
        border-color: var(--clay);
    }
    .stays {
        position: sticky;
        top: 0;
        z-index: 1;
    }
</style>
