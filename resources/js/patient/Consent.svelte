<script lang="ts">
    import { Refusal } from '../shared/http';
    import { api } from './keeping/api';
    import { t } from './words';
    import type { DeviceState } from './types';

    let { device, onaccepted }: { device: DeviceState; onaccepted: (state: DeviceState) => void } = $props();

    let error = $state('');
    let busy = $state(false);

    async function accept(): Promise<void> {
        busy = true;
        error = '';
        try {
            onaccepted(await api.consent(device.consent?.version ?? ''));
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
    <h1>{t('patient.consent.title')}</h1>
    <p class="muted">{device.clinic}. {t('patient.consent.intro')}</p>
    <ul class="lines">
        {#each device.consent?.paragraphs ?? [] as paragraph (paragraph.title)}
            <li>
                <h2>{paragraph.title}</h2>
                <p>{paragraph.text}</p>
            </li>
        {/each}
    </ul>
    {#if error}<p class="error" role="alert">{error}</p>{/if}
    <button type="button" class="button" disabled={busy} onclick={accept}>{t('patient.consent.accept')}</button>
</main>
