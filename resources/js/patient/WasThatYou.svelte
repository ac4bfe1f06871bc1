<script lang="ts">
    import * as outbox from './keeping/outbox';
    import { locale, t } from './words';
    import { unclaimed } from './keeping/unclaimed';
    import type { PracticeLog, Recovery } from './types';

    /** Recovery that was used before the PIN is credited once somebody has said that it was theirs. */
    let { recovery }: { recovery: Recovery | null } = $props();

    let logs = $state.raw(unclaimed.lately());
    let toDiary = $state(false);

    const clockOf = (log: PracticeLog): string =>
        new Date(log.started_at).toLocaleTimeString(locale(), { hour: '2-digit', minute: '2-digit' });

    function say(log: PracticeLog, mine: boolean): void {
        unclaimed.drop(log.uuid);
        logs = unclaimed.lately();
        if (!mine) return;
        if (!recovery) {
            toDiary = true;
            return;
        }
        const most = recovery.item.timeline.breaths;
        void outbox.enqueue('practice', log.uuid, {
            ...log,
            version_id: recovery.version_id,
            lineage: recovery.item.lineage,
            breaths_done: Math.min(log.breaths_done, most),
            open_ms: null,
            steps_done: null,
            self_checks: null,
            pace_taps: null,
            tempo: null,
            enough_step: null,
            enough: false,
        });
    }
</script>

{#each logs as log (log.uuid)}
    <section class="card quiet" aria-label={t('patient.recovery.title')}>
        <p>{t('patient.recovery.was-it-you', { time: clockOf(log) })}</p>
        <div class="pairs">
            <button type="button" class="button second" onclick={() => say(log, true)}
                >{t('patient.recovery.me')}</button
            >
            <button type="button" class="button second" onclick={() => say(log, false)}
                >{t('patient.recovery.not-me')}</button
            >
        </div>
    </section>
{/each}
{#if toDiary}<p role="status">{t('patient.recovery.diary')}</p>{/if}
