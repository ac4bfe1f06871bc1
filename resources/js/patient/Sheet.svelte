<script lang="ts">
    import { onMount } from 'svelte';
    import { api } from './keeping/api';
    import { showPage } from './keeping/kept';
    import Told from './Told.svelte';
    import { t, tn } from './words';
    import type { Paper, SheetData } from './types';

    const PAPERS: readonly Paper[] = ['a4', 'large', 'fold'];

    let { isOffline }: { isOffline: boolean } = $props();

    let sheet = $state.raw<SheetData | null | undefined>(undefined);
    let trouble = $state('');
    let heading: HTMLHeadingElement | undefined = $state();
    onMount(() => {
        heading?.focus();
        void load();
    });

    async function load(): Promise<void> {
        const has = await showPage('sheet', (page) => {
            sheet = page;
        });
        trouble = has || sheet !== undefined ? '' : t('patient.trouble.network');
    }

    async function save(paper: Paper): Promise<void> {
        trouble = '';
        try {
            await api.save(`sheet.pdf?paper=${paper}`, `sheet-${sheet?.number ?? ''}.pdf`);
        } catch {
            trouble = t('patient.sheet.pdf-offline');
        }
    }
</script>

<main>
    <h1 tabindex="-1" bind:this={heading}>{t('patient.sheet.title')}</h1>
    {#if sheet === null}<p>{t('patient.sheet.none')}</p>
    {:else if sheet}
        <p class="small muted">
            {t('patient.sheet.version', { number: sheet.number, from: sheet.from, review: sheet.review })}
        </p>
        {#if sheet.goal}<p>{t('patient.sheet.goal', { goal: sheet.goal })}</p>{/if}
        {#if sheet.note}<p class="note">{sheet.note}</p>{/if}
        {#if sheet.needs.length > 0}<p>{t('patient.sheet.needs', { things: sheet.needs.join(', ') })}</p>{/if}
        {#each sheet.items as item, index (index)}
            <section class="card quiet">
                {#if item.needed}<p class="small muted">{t('patient.sheet.when-needed')}</p>{/if}
                <div class="row">
                    <h2>{item.name}</h2>
                    <span class="muted"
                        >{item.about ? t('patient.sheet.about') : ''}
                        {item.minutes}{item.breaths > 0 ? `, ${tn('patient.today.breaths', item.breaths)}` : ''}</span
                    >
                </div>
                <img src={item.ridge} alt={item.name} />
                <Told parts={item.told} />
                {#if item.taught.length > 0}
                    <ol class="small">
                        {#each item.taught as text, at (at)}<li>{text}</li>{/each}
                    </ol>
                {/if}
            </section>
        {/each}
        {#each sheet.cautions as caution (caution)}<p class="small">{caution}</p>{/each}
        <div class="papers">
            {#each PAPERS as paper (paper)}<button
                    type="button"
                    class="button second"
                    disabled={isOffline}
                    onclick={() => save(paper)}>{t(`patient.sheet.pdf.${paper}`)}</button
                >{/each}
        </div>
        {#if isOffline}<p class="small muted">{t('patient.sheet.pdf-offline')}</p>{/if}
    {:else if !trouble}<p class="muted" role="status">{t('patient.trouble.loading')}</p>{/if}
    {#if trouble}<p class="error" role="alert">{trouble}</p>
        {#if sheet === undefined}<button type="button" class="button second" onclick={load}
                >{t('patient.practice.go-on')}</button
            >{/if}{/if}
</main>

<style>
    .note {
        white-space: pre-line;
    }
    .papers {
        display: grid;
        gap: 0.5rem;
    }
    h1:focus {
        outline: none;
    }
    img {
        width: 100%;
        max-width: 26rem;
    }
    ol {
        margin: 0;
        padding-left: 1.2rem;
    }
</style>
