<script lang="ts">
    import { Refusal } from '../../shared/http';
    import { api } from '../keeping/api';
    import { remember } from '../keeping/pinHere';
    import { t } from '../words';

    let open = $state(false);
    let done = $state(false);
    let present = $state('');
    let fresh = $state('');
    let again = $state('');
    let problem = $state('');
    let isBusy = $state(false);

    const FIELDS = ['present', 'new', 'again'] as const;

    async function change(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        problem = fresh === again ? '' : t('patient.pin.differ');
        if (problem || isBusy) return;
        isBusy = true;
        try {
            await api.changePin(present, fresh);
            await remember(fresh);
            done = true;
            leave();
        } catch (refusal) {
            problem = refusal instanceof Refusal ? refusal.message : t('patient.settings.needs-network');
        } finally {
            isBusy = false;
        }
    }

    function leave(): void {
        open = false;
        present = '';
        fresh = '';
        again = '';
        problem = '';
    }
</script>

{#if open}
    <form class="stack" onsubmit={change} novalidate>
        {#each FIELDS as field (field)}
            <label for="pin-{field}">{t(`patient.pin.${field}`)}</label>
            <input
                id="pin-{field}"
                class="input"
                type="password"
                inputmode="numeric"
                autocomplete={field === 'present' ? 'current-password' : 'new-password'}
                bind:value={
                    () => (field === 'present' ? present : field === 'new' ? fresh : again),
                    (value) => {
                        if (field === 'present') present = value;
                        else if (field === 'new') fresh = value;
                        else again = value;
                    }
                }
            />
        {/each}
        {#if problem}<p class="error" role="alert">{problem}</p>{/if}
        <div class="row">
            <button class="button second" disabled={isBusy}>{t('patient.pin.change')}</button>
            <button type="button" class="button plain" onclick={leave}>{t('patient.practice.back')}</button>
        </div>
    </form>
{:else}
    {#if done}<p role="status">{t('patient.pin.changed')}</p>{/if}
    <button
        type="button"
        class="button second"
        onclick={() => {
            open = true;
            done = false;
        }}>{t('patient.pin.change')}</button
    >
{/if}
