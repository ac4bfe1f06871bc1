<script lang="ts">
    import { onMount } from 'svelte';
    import Tally from '../shared/Tally.svelte';
    import { clock } from '../shared/format';
    import { showPage } from './keeping/kept';
    import { t, tallyWords, tn } from './words';
    import type { ProgressData } from './types';

    let progress = $state.raw<ProgressData | null>(null);
    let trouble = $state('');
    let heading: HTMLHeadingElement | undefined = $state();
    onMount(() => {
        heading?.focus();
        void load();
    });

    async function load(): Promise<void> {
        trouble = (await showPage('progress', (page) => {
            progress = page;
        }))
            ? ''
            : t('patient.trouble.network');
    }

    const WORDS = { '-1': 'lower', '0': 'same', '1': 'higher' } as const;
    const WEEKDAYS = ['M', 'T', 'W', 'T', 'F', 'S', 'S'];
    const dayNumber = (date: string): number => Number(date.slice(8));
</script>

<main>
    <h1 tabindex="-1" bind:this={heading}>{t('patient.progress.title')}</h1>
    {#if progress && progress.next === null}<p>{t('patient.progress.none')}</p>
    {:else if progress}
        <p>{tn('patient.progress.days', progress.days_practised)}</p>
        <section class="card quiet">
            <h2>{t('patient.progress.calendar')}</h2>
            <table>
                <thead
                    ><tr
                        >{#each WEEKDAYS as day, index (index)}<th scope="col"
                                ><span class="small muted">{day}</span></th
                            >{/each}</tr
                    ></thead
                ><tbody>
                    {#each progress.weeks as week, index (index)}
                        <tr
                            >{#each week as day, at (at)}
                                <td class:paused={day?.paused}
                                    >{#if day}<span class="date small muted">{dayNumber(day.date)}</span><Tally
                                            words={tallyWords()}
                                            days={[day.strokes]}
                                            height={16}
                                            stroke={5}
                                            label={day.paused
                                                ? `${day.label}, ${t('patient.today.paused')}`
                                                : day.label}
                                        />{/if}</td
                                >
                            {/each}</tr
                        >
                    {/each}
                </tbody>
            </table>
            <p class="small muted">{t('patient.progress.key')}</p>
        </section>
        {#if progress.as_needed.length > 0}
            <section class="card quiet">
                <h2>{t('patient.progress.needed')}</h2>
                {#each progress.as_needed as each (each.name)}
                    <p>
                        {t(each.name)}: {tn('patient.progress.times', each.times)}. {each.recovered
                            ? t('patient.progress.recovered', {
                                  times: each.recovered.map((seconds) => clock(seconds * 1000)).join(', '),
                              })
                            : ''}
                    </p>
                {/each}
            </section>
        {/if}
        <section class="card quiet">
            <h2>{t('patient.progress.then-now')}</h2>
            {#each progress.then_now as each (each.name)}<p>
                    {t(`patient.progress.${WORDS[each.direction]}`, {
                        name: each.name,
                        then: each.then,
                        now: each.now,
                    })}
                </p>{/each}
            {#if progress.checks}<p>
                    {t(progress.checks.count > 1 ? 'patient.progress.check' : 'patient.progress.check-one', {
                        first: progress.checks.first,
                        last: progress.checks.last,
                        on: progress.checks.on,
                    })}
                </p>{/if}
            <p class="small muted">
                {t(progress.then_now.length > 0 ? 'patient.progress.then-now-about' : 'patient.progress.too-few')}
            </p>
        </section>
        {#if (progress.measured ?? []).length > 0}
            <section class="card quiet">
                <h2>{t('felt.followed.title')}</h2>
                {#each progress.measured as each (each.on)}<p>
                        <span class="small muted">{each.on}</span><br />{each.sentence}
                    </p>{/each}
            </section>
        {/if}
        {#if progress.changes.length > 0}
            <section class="card quiet">
                <h2>{t('patient.progress.programme')}</h2>
                {#each progress.changes as change (change.on + change.text)}<p class="note">
                        <strong>{change.on}.</strong>
                        {change.text}
                    </p>{/each}
            </section>
        {/if}
        <section class="card">
            <h2>{t('patient.progress.next')}</h2>
            <p>{t('patient.progress.next-text', { date: progress.next ?? '' })}</p>
        </section>
    {:else if trouble}<p class="error" role="alert">{trouble}</p>
        <button type="button" class="button second" onclick={load}>{t('patient.practice.go-on')}</button>
    {:else}<p class="muted" role="status">{t('patient.trouble.loading')}</p>{/if}
</main>

<style>
    h1:focus {
        outline: none;
    }
    table {
        border-collapse: collapse;
        width: 100%;
        table-layout: fixed;
    }
    th {
        font-weight: 400;
        text-align: left;
        padding: 0 0 0.2rem;
    }
    td {
        border-top: 1px solid var(--rule);
        height: 3.1rem;
        vertical-align: top;
        padding: 0.15rem 0;
    }
    td.paused {
        background: repeating-linear-gradient(135deg, transparent 0 5px, var(--rule) 5px 6px);
    }
    .date {
        display: block;
        font-size: 0.75rem;
    }
    .note {
        white-space: pre-line;
    }
</style>
