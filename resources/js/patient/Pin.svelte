<script lang="ts">
    import { Refusal } from '../lib/http';
    import { api } from './api';
    import { t } from './words';
    import type { DeviceState } from './types';

    interface Props { mode: 'choose' | 'unlock'; isLockedOut?: boolean; onopen: (state: DeviceState) => void }

    let { mode, isLockedOut = false, onopen }: Props = $props();

    let pin = $state('');
    let again = $state('');
    let error = $state('');
    let busy = $state(false);

    async function submit(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        if (mode === 'choose' && pin !== again) {
            error = t('patient.pin.differ');
            again = '';
            return;
        }
        busy = true;
        error = '';
        try {
            onopen(await (mode === 'choose' ? api.pin(pin) : api.unlock(pin)));
        } catch (problem) {
            error = problem instanceof Refusal ? problem.message || t('patient.trouble.server') : t('patient.trouble.network');
            if (mode === 'unlock') pin = '';
        } finally {
            busy = false;
        }
    }
</script>

<main>
    <h1>{t(mode === 'choose' ? 'patient.pin.title' : 'patient.pin.unlock-title')}</h1>
    {#if isLockedOut}
        <p class="error" role="alert">{t('patient.pin.locked-out')}</p>
        <p><a href="/enter">{t('patient.enter.code-intro')}</a></p>
    {:else}
        <form class="stack" onsubmit={submit} novalidate>
            {#if mode === 'choose'}<p>{t('patient.pin.intro')}</p>{/if}
            <label for="pin">{t('patient.pin.label')}</label>
            <input id="pin" class="input" type="password" inputmode="numeric" autocomplete={mode === 'choose' ? 'new-password' : 'current-password'} bind:value={pin}
                aria-invalid={error ? 'true' : undefined} aria-describedby={error ? 'pin-error' : undefined} />
            {#if mode === 'choose'}
                <label for="again">{t('patient.pin.again')}</label>
                <input id="again" class="input" type="password" inputmode="numeric" autocomplete="new-password" bind:value={again} />
            {/if}
            {#if error}<p id="pin-error" class="error" role="alert">{error}</p>{/if}
            <button class="button" disabled={busy}>{t(mode === 'choose' ? 'patient.pin.keep' : 'patient.pin.unlock')}</button>
        </form>
    {/if}
</main>
