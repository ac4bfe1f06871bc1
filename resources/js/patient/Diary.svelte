<script lang="ts">
    import { onMount } from 'svelte';
    import { Refusal } from '../lib/http';
    import { api } from './api';
    import DiaryChart from './DiaryChart.svelte';
    import Rating from './practice/Rating.svelte';
    import { t } from './words';
    import type { DiaryData } from './types';

    let { onleave }: { onleave: () => void } = $props();

    let diary = $state.raw<DiaryData | null>(null);
    let day = $state('');
    let ratings = $state<Record<string, number>>({});
    let sleep = $state<number | null>(null);
    let text = $state('');
    let trouble = $state('');
    let kept = $state(false);
    let heading: HTMLHeadingElement | undefined = $state();

    const series = $derived.by(() => {
        const entries = diary?.entries ?? [];
        const of = (name: string, value: (entry: (typeof entries)[number]) => number | null | undefined) => ({
            name, points: entries.flatMap((entry) => { const rated = value(entry); return rated === null || rated === undefined ? [] : [{ date: entry.date, value: rated, late: entry.late }]; }),
        });
        return [...(diary?.symptoms ?? []).map((symptom) => of(symptom.name, (entry) => entry.ratings[symptom.id])), of(t('patient.diary.sleep'), (entry) => entry.sleep)].filter((each) => each.points.length > 0);
    });

    onMount(() => { void load(); heading?.focus(); });

    async function load(): Promise<void> {
        try {
            diary = await api.diary();
            choose(diary.today);
        } catch (problem) {
            trouble = problem instanceof Refusal ? t('patient.trouble.server') : t('patient.trouble.network');
        }
    }

    /** A day as it was written; what is not kept yet of another day is left behind. */
    function choose(date: string): void {
        day = date;
        const entry = diary?.entries.find((each) => each.date === date);
        ratings = { ...entry?.ratings };
        sleep = entry?.sleep ?? null;
        text = entry?.text ?? '';
        kept = false;
        trouble = '';
    }

    async function keep(): Promise<void> {
        trouble = '';
        kept = false;
        try {
            diary = await api.writeDiary(day, { ratings: $state.snapshot(ratings), sleep, text });
            kept = true;
        } catch (problem) {
            trouble = problem instanceof Refusal && problem.message ? problem.message : t('patient.diary.network');
        }
    }
</script>

<main>
    <div class="row"><h1 tabindex="-1" bind:this={heading}>{t('patient.diary.title')}</h1><button type="button" class="button plain" onclick={onleave}>{t('patient.practice.back')}</button></div>
    <p class="small muted">{t('patient.diary.about')}</p>
    {#if diary}
        <fieldset class="days"><legend class="visually-hidden">{t('patient.diary.which')}</legend>
            {#each diary.writable as each (each.date)}
                <label class:chosen={day === each.date}><input type="radio" class="visually-hidden" name="day" value={each.date} checked={day === each.date} onchange={() => choose(each.date)} />{each.label}{#if diary.entries.some((entry) => entry.date === each.date)}<span class="small muted"> · {t('patient.diary.written')}</span>{/if}</label>
            {/each}
        </fieldset>
        {#each diary.symptoms as symptom (symptom.id)}
            <Rating title={symptom.name.charAt(0).toUpperCase() + symptom.name.slice(1)} hint={t('patient.diary.rate-hint')} value={ratings[symptom.id] ?? null} onrated={(value) => { if (value !== null) ratings[symptom.id] = value; kept = false; }} />
        {/each}
        <Rating title={t('patient.diary.sleep')} hint={t('patient.diary.sleep-hint')} value={sleep} onrated={(value) => { sleep = value; kept = false; }} />
        <div class="stack"><label for="line">{t('patient.diary.text')}</label><textarea id="line" class="input" rows="2" maxlength="500" bind:value={text} oninput={() => { kept = false; }}></textarea></div>
        <button type="button" class="button" onclick={keep}>{t('patient.diary.keep')}</button>
        {#if kept}<p role="status">{t('patient.diary.kept')}</p>{/if}
        {#if trouble}<p class="error" role="alert">{trouble}</p>{/if}
        {#if series.length > 0}
            <section class="card quiet"><h2>{t('patient.diary.chart')}</h2>
                {#each series as each (each.name)}<DiaryChart name={each.name} points={each.points} from={diary.from} today={diary.today} changes={diary.changes} />{/each}
                {#if diary.changes.length > 0}<p class="small muted"><span class="mark" aria-hidden="true"></span> {t('patient.diary.change')}</p>{/if}
                {#if diary.entries.length < 2}<p class="small muted">{t('patient.diary.too-few')}</p>{/if}
            </section>
        {/if}
    {:else if trouble}<p class="error" role="alert">{trouble}</p><button type="button" class="button second" onclick={load}>{t('patient.practice.go-on')}</button>
    {:else}<p class="muted" role="status">{t('patient.trouble.loading')}</p>{/if}
</main>

<style>
    h1:focus { outline: none; }
    .days { display: flex; flex-wrap: wrap; gap: 0.4rem; }
    .days label { position: relative; border: 1px solid var(--rule); background: var(--card); padding: 0.5rem 0.9rem; cursor: pointer; }
    .days label.chosen { border-color: var(--ink); box-shadow: inset 0 0 0 1px var(--ink); }
    .days label:focus-within { outline: 3px solid var(--reed); outline-offset: 1px; }
    .mark { display: inline-block; width: 0; height: 1em; border-left: 2px dashed var(--ochre); vertical-align: -0.15em; }
</style>
