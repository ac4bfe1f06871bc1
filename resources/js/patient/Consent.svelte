<script lang="ts">
    import { Refusal } from '../shared/http';
    import TickRow from './TickRow.svelte';
    import { api } from './keeping/api';
    import { t } from './words';
    import type { DeviceState } from './types';

    let { device, onaccepted }: { device: DeviceState; onaccepted: (state: DeviceState) => void } = $props();

    let asks = $state<'read' | 'sure' | 'declined'>('read');
    const heading = $derived(asks === 'read' ? 'patient.consent.title' : 'patient.consent.declined-title');

    let error = $state('');
    let busy = $state(false);
    /** Asked beside, and no condition of anything. */
    let keepsTraces = $state(false);

    async function say(agrees: boolean): Promise<void> {
        busy = true;
        error = '';
        try {
            if (agrees) onaccepted(await api.consent(device.consent?.version ?? '', keepsTraces));
            else {
                await api.decline();
                asks = 'declined';
            }
        } catch (problem) {
            error =
                problem instanceof Refusal
                    ? problem.message || t('patient.trouble.server')
                    : t('patient.trouble.network');
        } finally {
            busy = false;
        }
    }
</script>

<main>
    <h1>{t(heading)}</h1>
    {#if asks === 'read'}<p class="muted">{device.clinic}. {t('patient.consent.intro')}</p>{:else}<p>
            {t('patient.consent.declined')}
        </p>{/if}
    {#if asks === 'read'}<ul class="lines">
            {#each device.consent?.paragraphs ?? [] as paragraph (paragraph.title)}
                <li>
                    <h2>{paragraph.title}</h2>
                    <p>{paragraph.text}</p>
                </li>
            {/each}
        </ul>
        {#if device.consent?.traces}<section>
                <h2>{t('felt.traces.title')}</h2>
                <p>{device.consent.traces}</p>
                <TickRow
                    label={t('felt.traces.keep')}
                    checked={keepsTraces}
                    onchange={(box) => {
                        keepsTraces = box.checked;
                    }}
                />
            </section>{/if}{/if}
    {#if error}<p class="error" role="alert">{error}</p>{/if}
    {#if asks === 'read'}
        <button type="button" class="button" disabled={busy} onclick={() => say(true)}
            >{t('patient.consent.accept')}</button
        >
        <button
            type="button"
            class="button plain"
            onclick={() => {
                asks = 'sure';
            }}>{t('patient.consent.decline')}</button
        >
    {:else if asks === 'sure'}
        <button type="button" class="button second" disabled={busy} onclick={() => say(false)}
            >{t('patient.consent.sure')}</button
        >
        <button
            type="button"
            class="button plain"
            onclick={() => {
                asks = 'read';
            }}>{t('patient.practice.back')}</button
        >
    {/if}
</main>
