<script lang="ts">
    import { onMount } from 'svelte';
    import DiaryChart from './DiaryChart.svelte';
    import { writableDays } from './keeping/day';
    import { showPage } from './keeping/kept';
    import * as outbox from './keeping/outbox';
    import Rating from './practice/Rating.svelte';
    import Unsent from './Unsent.svelte';
    import { t } from './words';
    import type { DiaryData, DiaryEntry } from './types';

    interface Props {
        /** The present patient-day; null when the copy is too old to know. */ day: string | null;
    }

    let { day: present }: Props = $props();

    interface Body {
        day: string;
        written_at: string;
        ratings: Record<string, number>;
        sleep: number | null;
        text: string;
    }

    let diary = $state.raw<DiaryData | null>(null);
    let waiting = $state.raw(outbox.all());
    let day = $state('');
    let ratings = $state<Record<string, number>>({});
    let sleep = $state<number | null>(null);
    let text = $state('');
    let trouble = $state('');
    let isTouched = $state(false);
    let isKept = $state(false);
    let heading: HTMLHeadingElement | undefined = $state();

    const todayIs = $derived(present ?? diary?.today ?? '');
    const days = $derived(diary && todayIs ? writableDays(todayIs, diary.late_days, t) : []);
    /** What the server has, under what waits here. */
    const entries = $derived.by((): DiaryEntry[] => {
        const here = waiting
            .filter((item) => item.kind === 'diary' && item.refused === null)
            .map((item) => item.body as Body);
        const others = (diary?.entries ?? []).filter((entry) => !here.some((body) => body.day === entry.date));
        return [
            ...others,
            ...here.map((body) => ({
                date: body.day,
                ratings: body.ratings,
                sleep: body.sleep,
                text: body.text,
                late: body.day !== todayIs,
            })),
        ].sort((a, b) => a.date.localeCompare(b.date));
    });
    const isUnsent = $derived(
        waiting.some((item) => item.id === `diary:${day}` && !item.delivered && item.refused === null),
    );
    const series = $derived.by(() => {
        const of = (name: string, value: (entry: DiaryEntry) => number | null | undefined) => ({
            name,
            points: entries.flatMap((entry) => {
                const rated = value(entry);
                return rated === null || rated === undefined
                    ? []
                    : [{ date: entry.date, value: rated, late: entry.late }];
            }),
        });
        return [
            ...(diary?.symptoms ?? []).map((symptom) => of(symptom.name, (entry) => entry.ratings[symptom.id])),
            of(t('patient.diary.sleep'), (entry) => entry.sleep),
        ].filter((each) => each.points.length > 0);
    });

    onMount(() => {
        heading?.focus();
        void load();
        return outbox.onChange((delivered) => {
            waiting = outbox.all();
            if (delivered) void load();
        });
    });

    async function load(): Promise<void> {
        const has = await showPage('diary', (page) => {
            diary = page;
            waiting = outbox.all();
            // What is being written is not overwritten by what comes in.
            if (day === '' || !isTouched) choose(day || todayIs);
        });
        trouble = has ? '' : t('patient.trouble.network');
    }

    /** A day as it was written; what is not kept yet of another day is left behind. */
    function choose(date: string): void {
        if (date !== day) isKept = false;
        day = date;
        const entry = entries.find((each) => each.date === date);
        ratings = { ...entry?.ratings };
        sleep = entry?.sleep ?? null;
        text = entry?.text ?? '';
        isTouched = false;
        trouble = '';
    }

    function touch(): void {
        isTouched = true;
        isKept = false;
    }

    async function keep(): Promise<void> {
        trouble = '';
        if (Object.keys(ratings).length === 0 && sleep === null && text.trim() === '') {
            trouble = t('patient.diary.empty');
            return;
        }
        isKept = true;
        isTouched = false;
        await outbox.enqueue('diary', `diary:${day}`, {
            day,
            written_at: new Date().toISOString(),
            ratings: $state.snapshot(ratings),
            sleep,
            text,
        } satisfies Body);
        const refused = outbox.find(`diary:${day}`)?.refused ?? null;
        if (refused !== null) {
            isKept = false;
            isTouched = true;
        }
    }
</script>

<main>
    <h1 tabindex="-1" bind:this={heading}>{t('patient.diary.title')}</h1>
    <p class="small muted">{t('patient.diary.about')}</p>
    {#if diary}
        <fieldset class="days">
            <legend class="visually-hidden">{t('patient.diary.which')}</legend>
            {#each days as each (each.date)}
                <label class:chosen={day === each.date}
                    ><input
                        type="radio"
                        class="visually-hidden"
                        name="day"
                        value={each.date}
                        checked={day === each.date}
                        onchange={() => choose(each.date)}
                    />{each.label}{#if entries.some((entry) => entry.date === each.date)}<span class="small muted">
                            · {t('patient.diary.written')}</span
                        >{/if}</label
                >
            {/each}
        </fieldset>
        {#each diary.symptoms as symptom (symptom.id)}
            <Rating
                title={symptom.name.charAt(0).toUpperCase() + symptom.name.slice(1)}
                hint={t('patient.diary.rate-hint')}
                value={ratings[symptom.id] ?? null}
                onrated={(value) => {
                    if (value !== null) ratings[symptom.id] = value;
                    touch();
                }}
            />
        {/each}
        <Rating
            title={t('patient.diary.sleep')}
            hint={t('patient.diary.sleep-hint')}
            value={sleep}
            onrated={(value) => {
                sleep = value;
                touch();
            }}
        />
        <div class="stack">
            <label for="line">{t('patient.diary.text')}</label><textarea
                id="line"
                class="input"
                rows="2"
                maxlength="500"
                bind:value={text}
                oninput={touch}></textarea>
        </div>
        <button type="button" class="button" onclick={keep}>{t('patient.diary.keep')}</button>
        {#if isKept}<p role="status">{t(isUnsent ? 'patient.diary.waits' : 'patient.diary.kept')}</p>{/if}
        {#if trouble}<p class="error" role="alert">{trouble}</p>{/if}
        <Unsent />
        {#if series.length > 0}
            <section class="card quiet">
                <h2>{t('patient.diary.chart')}</h2>
                {#each series as each (each.name)}<DiaryChart
                        name={each.name}
                        points={each.points}
                        from={diary.from}
                        today={todayIs}
                        changes={diary.changes}
                    />{/each}
                {#if diary.changes.length > 0}<p class="small muted">
                        <span class="mark" aria-hidden="true"></span>
                        {t('patient.diary.change')}
                    </p>{/if}
                {#if entries.length < 2}<p class="small muted">{t('patient.diary.too-few')}</p>{/if}
            </section>
        {/if}
    {:else if trouble}<p class="error" role="alert">{trouble}</p>
        <button type="button" class="button second" onclick={load}>{t('patient.practice.go-on')}</button>
    {:else}<p class="muted" role="status">{t('patient.trouble.loading')}</p>{/if}
</main>

<style>
    h1:focus {
        outline: none;
    }
    .days {
        display: flex;
        flex-wrap: wrap;
        gap: 0.4rem;
    }
    .days label {
        position: relative;
        border: 1px solid var(--rule);
        background: var(--card);
        padding: 0.5rem 0.9rem;
        cursor: pointer;
    }
    .days label.chosen {
        border-color: var(--ink);
        box-shadow: inset 0 0 0 1px var(--ink);
    }
    .days label:focus-within {
        outline: 3px solid var(--reed);
        outline-offset: 1px;
    }
    .mark {
        display: inline-block;
        width: 0;
        height: 1em;
        border-left: 2px dashed var(--ochre);
        vertical-align: -0.15em;
    }
</style>
