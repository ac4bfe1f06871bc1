<script lang="ts">
    import { onMount } from 'svelte';
    import FormQuestions from '../components/FormQuestions.svelte';
    import { deviceStore, parsed } from '../lib/deviceStore';
    import { Refusal } from '../lib/http';
    import type { FormView } from '../types/measure';
    import { api } from './api';
    import { t, tn } from './words';

    let { id, emergency, onleave }: { id: string; emergency: string; onleave: () => void } = $props();

    const PAUSE_MS = 500;
    const KEY = $derived(`ivory-pace:form:${id}`);
    let form = $state.raw<FormView | null>(null);
    let answers = $state<Record<string, number>>({});
    let trouble = $state('');
    let isDone = $state(false);
    let timer: ReturnType<typeof setTimeout> | undefined;

    const open = $derived(form === null ? 0 : form.questions.filter((question) => answers[question.key] === undefined).length);
    /** Shown at once, with or without a network. */
    const isUrgent = $derived(form?.questions.some((question) => question.urgent && answers[question.key] === 1) ?? false);

    onMount(() => {
        void load();
        const again = (): void => void send();
        window.addEventListener('online', again);
        return () => { window.removeEventListener('online', again); clearTimeout(timer); };
    });

    async function load(): Promise<void> {
        trouble = '';
        try {
            form = await api.form(id);
            answers = { ...form.answers, ...parsed<Record<string, number>>(deviceStore.read(KEY)) };
        } catch (problem) {
            trouble = problem instanceof Refusal ? t('patient.trouble.server') : t('patient.trouble.network');
        }
    }

    function give(key: string, value: number): void {
        answers[key] = value;
        deviceStore.write(KEY, JSON.stringify($state.snapshot(answers)));
        clearTimeout(timer);
        timer = setTimeout(() => void send(), PAUSE_MS);
    }

    async function send(done = false, withGaps = false): Promise<boolean> {
        clearTimeout(timer);
        if (Object.keys(answers).length === 0) return false;
        try {
            await api.answer(id, $state.snapshot(answers), done, withGaps);
            trouble = '';
            return true;
        } catch (problem) {
            trouble = problem instanceof Refusal && problem.message ? problem.message : t('patient.form.kept-here');
            return false;
        }
    }

    async function finish(withGaps: boolean): Promise<void> {
        if (!(await send(true, withGaps))) return;
        deviceStore.write(KEY, null);
        isDone = true;
        scrollTo(0, 0);
    }
</script>

<main>
    {#if isUrgent}
        <div class="card urgent stays" role="alert">
            <h2>{t('patient.form.urgent')}</h2>
            <p><strong>{emergency}</strong></p>
            <p class="small">{t('patient.form.urgent-text')}</p>
        </div>
    {/if}
    {#if isDone}
        <h1>{t('patient.form.thanks')}</h1>
        <p>{t('patient.form.thanks-text')}</p>
        <button type="button" class="button" onclick={onleave}>{t('patient.stopped.to-today')}</button>
    {:else if form}
        <div><h1>{form.title}</h1><p class="muted">{form.intro}</p></div>
        <FormQuestions questions={form.questions} {answers} onanswer={give} />
        <p class="small" role="status">{open > 0 ? tn('patient.form.open', open) : t('patient.form.all')}</p>
        <button type="button" class="button" disabled={open > 0} onclick={() => finish(false)}>{t('patient.form.send')}</button>
        {#if open > 0 && form.form !== 'screening' && Object.keys(answers).length > 0}<button type="button" class="button second" onclick={() => finish(true)}>{t('patient.form.send-open')}</button>{/if}
        <button type="button" class="button plain" onclick={() => { void send(); onleave(); }}>{t('patient.form.later')}</button>
        <p class="small muted">{t('patient.today.nobody')}</p>
    {:else if !trouble}<p class="muted" role="status">{t('patient.trouble.loading')}</p>{/if}
    {#if trouble}<p class="error" role="alert">{trouble}</p>{#if !form}<button type="button" class="button second" onclick={load}>{t('patient.practice.go-on')}</button>{/if}{/if}
</main>

<style>
    /* In view wherever the question stands that brought it. */
    .stays { position: sticky; top: 0; z-index: 1; }
</style>
