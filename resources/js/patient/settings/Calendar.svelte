<script lang="ts">
    import { isCopied } from '../../shared/clipboard';
    import { onMount } from 'svelte';
    import { api } from '../keeping/api';
    import { t } from '../words';
    import type { CalendarState } from '../types';

    /** Appointments and practices in the calendar of this device, which then reminds by itself. */
    let now = $state.raw<CalendarState | null>(null);
    let said = $state('');
    let trouble = $state('');

    onMount(() => {
        void ask(api.calendar);
    });

    async function ask(what: () => Promise<CalendarState>, then = ''): Promise<void> {
        trouble = '';
        said = '';
        try {
            now = await what();
            said = then;
        } catch {
            trouble = t('patient.settings.needs-network');
        }
    }

    async function copy(address: string): Promise<void> {
        said = (await isCopied(address)) ? t('patient.calendar.copied') : '';
    }

    async function file(): Promise<void> {
        trouble = '';
        try {
            await api.save('calendar.ics', 'calendar.ics');
        } catch {
            trouble = t('patient.settings.needs-network');
        }
    }
</script>

<section class="card quiet">
    <h2>{t('patient.calendar.title')}</h2>
    <p class="small">{t('patient.calendar.about')}</p>
    {#if now?.address}
        <div class="stack">
            <p class="small">{t('patient.calendar.shown')}</p>
            <p class="address">{now.address}</p>
            <a class="button second" href={now.address.replace(/^https?/, 'webcal')}>{t('patient.calendar.open')}</a>
            <button type="button" class="button second" onclick={() => copy(now?.address ?? '')}
                >{t('patient.calendar.copy')}</button
            >
        </div>
    {:else if now?.since}<p class="small muted">
            {t('patient.calendar.since', { date: now.since })}
            {now.read ? t('patient.calendar.read', { date: now.read }) : t('patient.calendar.not-read')}
        </p>{/if}
    {#if now}
        <button type="button" class="button plain" onclick={() => ask(api.makeCalendar)}
            >{t(now.since ? 'patient.calendar.make-anew' : 'patient.calendar.make')}</button
        >
        {#if now.since}<button
                type="button"
                class="button plain"
                onclick={() => ask(api.endCalendar, t('patient.calendar.ended'))}>{t('patient.calendar.end')}</button
            >{/if}
        <button type="button" class="button plain" onclick={file}>{t('patient.calendar.file')}</button>
    {/if}
    <p class="small" role="status">{said}</p>
    {#if trouble}<p class="error" role="alert">{trouble}</p>{/if}
</section>

<style>
    .address {
        overflow-wrap: anywhere;
        user-select: all;
    }
</style>
