<script lang="ts">
    import { Refusal } from '../shared/http';
    import { api } from './keeping/api';
    import { flush } from './keeping/outbox';
    import Others from './Others.svelte';
    import { t } from './words';
    import type { DeviceState } from './types';

    interface Props {
        token: string;
        /** This device has been somebody's: there is a way back. */
        isKnown: boolean;
        others: NonNullable<DeviceState['others']>;
        onentered: () => void;
    }

    let { token, isKnown, others, onentered }: Props = $props();

    let code = $state('');
    let error = $state('');
    let busy = $state(false);
    let tokenFailed = $state(false);
    const withToken = $derived(token !== '' && !tokenFailed);

    async function submit(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        busy = true;
        error = '';
        try {
            // What waits here is delivered while this device is still whose it was.
            await flush();
            await api.access(withToken ? { token } : { code });
            onentered();
        } catch (problem) {
            error =
                problem instanceof Refusal
                    ? problem.message || t('patient.trouble.server')
                    : t('patient.trouble.network');
            if (withToken && problem instanceof Refusal && problem.status === 422) tokenFailed = true;
        } finally {
            busy = false;
        }
    }
</script>

<main>
    <h1>{t('patient.enter.title')}</h1>
    <form class="stack" onsubmit={submit} novalidate>
        <p>{withToken ? t('patient.enter.intro') : t('patient.enter.code-intro')}</p>
        {#if !withToken}
            <div class="stack">
                <label for="code">{t('patient.enter.code')}</label>
                <input
                    id="code"
                    class="input"
                    autocomplete="one-time-code"
                    autocapitalize="characters"
                    spellcheck="false"
                    bind:value={code}
                    aria-invalid={error ? 'true' : undefined}
                    aria-describedby="code-hint"
                />
                <p id="code-hint" class="small muted">{t('patient.enter.code-hint')}</p>
            </div>
        {/if}
        {#if error}<p class="error" role="alert">{error}</p>{/if}
        <button class="button" disabled={busy}>{withToken ? t('patient.enter.confirm') : t('patient.enter.go')}</button>
    </form>
    {#if isKnown}<p><a href="/my">{t('patient.practice.back')}</a></p>{/if}
    <Others {others} />
</main>
