<script lang="ts">
    import { onMount } from 'svelte';
    import { api } from './keeping/api';
    import { showPage } from './keeping/kept';
    import { t, tn } from './words';
    import type { SheetData } from './types';

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

    async function save(): Promise<void> {
        trouble = '';
        try {
            const link = document.createElement('a');
            link.href = URL.createObjectURL(await api.sheetPdf());
            link.download = `sheet-${sheet?.number ?? ''}.pdf`;
            link.click();
            setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
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
        {#if sheet.needs.length > 0}<p>{t('patient.sheet.needs', { things: sheet.needs.join(', ') })}</p>{/if}
        {#each sheet.items as item, index (index)}
            <section class="card quiet">
                <div class="row">
                    <h2>{item.name}</h2>
                    <span class="muted"
                        >{item.about ? t('patient.sheet.about') : ''}
                        {item.minutes}{item.breaths > 0 ? `, ${tn('patient.today.breaths', item.breaths)}` : ''}</span
                    >
                </div>
                <img src={item.ridge} alt={item.name} />
                <p>
                    {item.position}
                    {item.props.length > 0 ? t('patient.practice.with', { props: item.props.join(', ') }) : ''}
                    {item.hands}
                    {item.size}
                    {item.gaze}
                </p>
                <ul class="lines">
                    {#each item.steps as step, at (at)}<li>{step}</li>{/each}
                    {#each item.right as line, at (at)}<li>{line}</li>{/each}
                    {#each item.anchors as anchor (anchor)}<li>{anchor}</li>{/each}
                </ul>
                {#if item.why}<p>{item.why}</p>{/if}
                {#if item.needed}<p>{item.needed}</p>{/if}
                {#if item.short}<p>{t('patient.sheet.short', { short: item.short })}</p>{/if}
            </section>
        {/each}
        {#each sheet.cautions as caution (caution)}<p class="small">{caution}</p>{/each}
        <button type="button" class="button second" disabled={isOffline} onclick={save}>{t('patient.sheet.pdf')}</button
        >
        {#if isOffline}<p class="small muted">{t('patient.sheet.pdf-offline')}</p>{/if}
    {:else if !trouble}<p class="muted" role="status">{t('patient.trouble.loading')}</p>{/if}
    {#if trouble}<p class="error" role="alert">{trouble}</p>
        {#if sheet === undefined}<button type="button" class="button second" onclick={load}
                >{t('patient.practice.go-on')}</button
            >{/if}{/if}
</main>

<style>
    h1:focus {
        outline: none;
    }
    img {
        width: 100%;
        max-width: 26rem;
    }
    ul {
        margin: 0;
    }
</style>
