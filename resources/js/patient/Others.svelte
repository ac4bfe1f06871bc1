<script lang="ts">
    import { api } from './keeping/api';
    import { flush } from './keeping/outbox';
    import { takeTurns } from './keeping/turns';
    import { t } from './words';
    import type { DeviceState } from './types';

    /** Several patients on one tablet, each behind their own PIN: as little as tells them apart. */
    let { others }: { others: NonNullable<DeviceState['others']> } = $props();

    let problem = $state('');

    async function open(id: number): Promise<void> {
        problem = '';
        try {
            // What waits here is delivered while this device is still whose it was.
            await flush();
            await api.turn(id);
            await takeTurns();
        } catch {
            problem = t('patient.settings.needs-network');
        }
    }
</script>

{#if others.length > 0}
    <section class="stack" aria-label={t('patient.pin.others')}>
        <p class="small muted">{t('patient.pin.others')}</p>
        {#each others as other (other.id)}<button type="button" class="button second" onclick={() => open(other.id)}
                >{t('patient.pin.other', { initials: other.initials })}</button
            >{/each}
        {#if problem}<p class="error" role="alert">{problem}</p>{/if}
    </section>
{/if}
