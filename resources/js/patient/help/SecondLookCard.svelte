<script lang="ts">
    import { has, locale, t } from '../words';
    import * as outbox from '../keeping/outbox';
    import { secondLooks, type SecondLook } from '../keeping/secondLooks';

    /** Asked two minutes after a stop, and until it is answered. */
    let { look, onanswered }: { look: SecondLook; onanswered: (settled: boolean) => void } = $props();

    const name = $derived(has(look.exercise) ? t(look.exercise) : look.exercise);
    const when = $derived(
        new Date(look.stopped_at).toLocaleString(locale(), { weekday: 'long', hour: '2-digit', minute: '2-digit' }),
    );

    function say(settled: boolean): void {
        secondLooks.answered(look.uuid);
        void outbox.enqueue('second-look', `second-look:${look.uuid}`, {
            uuid: look.uuid,
            settled,
            at: new Date().toISOString(),
        });
        onanswered(settled);
    }
</script>

<section class="card urgent" aria-label={t('patient.stopped.look-back-due')}>
    <p class="small muted">
        {t('patient.stopped.look-back-of', {
            when,
            exercise: name,
            symptom: t(`stop.symptom.${look.symptom}`).toLowerCase(),
        })}
    </p>
    <h2>{t('patient.stopped.look-back-due')}</h2>
    <div class="pairs">
        <button type="button" class="button" onclick={() => say(true)}>{t('patient.stopped.settled')}</button>
        <button type="button" class="button second not" onclick={() => say(false)}
            >{t('patient.stopped.not-settled')}</button
        >
    </div>
</section>

<style>
    .not {
        border-color: var(--clay);
        color: var(--clay);
    }
</style>
