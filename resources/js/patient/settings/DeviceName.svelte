<script lang="ts">
    import { Refusal } from '../../shared/http';
    import { api } from '../keeping/api';
    import { t } from '../words';
    import type { MyDevice } from '../types';

    /** A name by which a device is known again, here and by the practitioner. */
    let { device, onnamed }: { device: MyDevice; onnamed: (devices: MyDevice[]) => void } = $props();

    let label = $state('');
    let open = $state(false);
    let problem = $state('');

    async function keep(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        problem = '';
        try {
            onnamed((await api.nameDevice(device.id, label)).devices);
            open = false;
        } catch (refusal) {
            problem = refusal instanceof Refusal ? refusal.message : t('patient.settings.needs-network');
        }
    }
</script>

{#if open}
    <form class="stack" onsubmit={keep} novalidate>
        <label for="name-{device.id}">{t('patient.settings.name')}</label>
        <input id="name-{device.id}" class="input" maxlength="60" bind:value={label} />
        {#if problem}<p class="error" role="alert">{problem}</p>{/if}
        <div class="row">
            <button class="button second">{t('patient.settings.keep-name')}</button>
            <button
                type="button"
                class="button plain"
                onclick={() => {
                    open = false;
                }}>{t('patient.practice.back')}</button
            >
        </div>
    </form>
{:else}
    <button
        type="button"
        class="button plain name"
        onclick={() => {
            label = device.label;
            open = true;
        }}>{t('patient.settings.rename')}<span class="visually-hidden"> {device.label}</span></button
    >
{/if}

<style>
    .name {
        padding-left: 0;
    }
    form {
        padding-top: 0.5rem;
    }
</style>
