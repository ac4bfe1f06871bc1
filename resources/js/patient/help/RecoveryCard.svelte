<script lang="ts">
    import { t } from '../words';

    /** Help for breathlessness that is always at hand. */
    let { onbegin }: { onbegin: () => void } = $props();
</script>

<section class="card quiet" aria-label={t('patient.recovery.title')}>
    <div class="row">
        <div>
            <h2>{t('patient.recovery.title')}</h2>
            <p class="small muted">{t('patient.recovery.intro')} {t('patient.practice.reliever')}</p>
        </div>
        <button type="button" class="button second now" onclick={onbegin}
            >{t('patient.today.now')}<span class="visually-hidden"> {t('patient.recovery.title')}</span></button
        >
    </div>
</section>

<style>
    .now {
        flex: 0 0 auto;
    }
</style>
