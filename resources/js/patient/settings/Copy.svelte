<script lang="ts">
    import { api } from '../keeping/api';
    import { t } from '../words';

    /** Everything that stands in the patient's record, as a file to keep. */
    let isBusy = $state(false);
    let trouble = $state('');

    async function save(): Promise<void> {
        trouble = '';
        isBusy = true;
        try {
            await api.save('record.zip', t('patient.copy.file'));
        } catch {
            trouble = t('patient.copy.failed');
        } finally {
            isBusy = false;
        }
    }
</script>

<section class="card quiet">
    <h2>{t('patient.copy.title')}</h2>
    <p class="small muted">{t('patient.copy.about')}</p>
    <button type="button" class="button second" disabled={isBusy} onclick={save}>{t('patient.copy.save')}</button>
    {#if trouble}<p class="small" role="alert">{trouble}</p>{/if}
</section>
