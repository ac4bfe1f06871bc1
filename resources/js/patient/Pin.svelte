<script lang="ts">
    import { onMount } from 'svelte';
    import { Refusal } from '../shared/http';
    import { digitsOfThePin } from './keeping/pinHere';
    import { api } from './keeping/api';
    import CallClinic from './help/CallClinic.svelte';
    import RecoveryCard from './help/RecoveryCard.svelte';
    import Others from './Others.svelte';
    import { t, tn } from './words';
    import type { DeviceState } from './types';

    interface Props {
        mode: 'choose' | 'unlock';
        isLockedOut?: boolean;
        isOffline?: boolean;
        telephone?: string | null | undefined;
        others?: NonNullable<DeviceState['others']>;
        onopen: (state: DeviceState, pin: string) => void;
        /** Tries the PIN without a network: true, or the tries that are left. */
        ontry?: (pin: string) => Promise<true | number>;
        /** Begins the help for breathlessness, which needs no PIN. */
        onrecover?: (() => void) | undefined;
    }

    let {
        mode,
        isLockedOut = false,
        isOffline = false,
        telephone,
        others = [],
        onopen,
        ontry,
        onrecover,
    }: Props = $props();

    let pin = $state('');
    let again = $state('');
    let error = $state('');
    let busy = $state(false);
    let digits = $state<number | null>(null);
    let field: HTMLInputElement | undefined = $state();

    onMount(async () => {
        field?.focus();
        if (mode === 'unlock') digits = await digitsOfThePin();
    });

    /** The last digit opens. */
    function typed(): void {
        if (digits !== null && pin.length === digits && !busy) void submit();
    }

    async function submit(event?: SubmitEvent): Promise<void> {
        event?.preventDefault();
        if (busy) return;
        if (mode === 'choose' && pin !== again) {
            error = t('patient.pin.differ');
            again = '';
            return;
        }
        busy = true;
        error = '';
        try {
            onopen(await (mode === 'choose' ? api.pin(pin) : api.unlock(pin)), pin);
        } catch (problem) {
            if (problem instanceof Refusal) error = problem.message || t('patient.trouble.server');
            else await withoutNetwork();
            if (mode === 'unlock') {
                pin = '';
                field?.focus();
            }
        } finally {
            busy = false;
        }
    }

    async function withoutNetwork(): Promise<void> {
        const left = mode === 'unlock' && ontry ? await ontry(pin) : null;
        if (left === null) error = t('patient.trouble.network');
        else if (left !== true)
            error = left === 0 ? t('patient.trouble.network') : tn('patient.pin.wrong', left, { left });
    }
</script>

<main>
    {#if onrecover}<RecoveryCard onbegin={onrecover} />{/if}
    <h1>{t(mode === 'choose' ? 'patient.pin.title' : 'patient.pin.unlock-title')}</h1>
    {#if isLockedOut}
        <p class="error" role="alert">{t('patient.pin.locked-out')}</p>
        <p><a href="/enter">{t('patient.enter.code-intro')}</a></p>
        <CallClinic {telephone} />
    {:else}
        <form class="stack" onsubmit={submit} novalidate>
            {#if mode === 'choose'}<p>{t('patient.pin.intro')}</p>{/if}
            <label for="pin">{t('patient.pin.label')}</label>
            <input
                id="pin"
                class="input"
                type="password"
                inputmode="numeric"
                autocomplete={mode === 'choose' ? 'new-password' : 'current-password'}
                bind:this={field}
                bind:value={pin}
                oninput={typed}
                aria-invalid={error ? 'true' : undefined}
                aria-describedby={error ? 'pin-error' : undefined}
            />
            {#if mode === 'choose'}
                <label for="again">{t('patient.pin.again')}</label>
                <input
                    id="again"
                    class="input"
                    type="password"
                    inputmode="numeric"
                    autocomplete="new-password"
                    bind:value={again}
                />
            {/if}
            {#if error}<p id="pin-error" class="error" role="alert">{error}</p>{/if}
            <button class="button" disabled={busy}
                >{t(mode === 'choose' ? 'patient.pin.keep' : 'patient.pin.unlock')}</button
            >
        </form>
        {#if isOffline}<p class="small muted" role="status">{t('patient.today.offline')}</p>{/if}
        {#if mode === 'unlock'}<p class="small muted">
                {t('patient.settings.pin')} <a href="/enter">{t('patient.pin.new-code')}</a>
            </p>{/if}
    {/if}
    <Others {others} />
</main>
