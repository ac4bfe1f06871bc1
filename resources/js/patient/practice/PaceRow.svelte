<script lang="ts">
    import { t } from '../words';
    import type { TodayItem } from '../types';

    let { tempo, onpace }: { tempo: NonNullable<TodayItem['tempo']>; onpace: (factor: number) => void } = $props();

    /** A step slower or faster, within what was prescribed, from the next breath on. */
    const STEP = 0.05;
    let factor = $state(1);

    function change(by: number): void {
        factor = Math.max(tempo.fastest, Math.min(tempo.slowest, Math.round((factor + by) * 100) / 100));
        onpace(factor);
    }
</script>

<div class="row">
    <button type="button" class="button plain" disabled={factor >= tempo.slowest} onclick={() => change(STEP)}
        >{t('patient.practice.slower')}</button
    >
    <span class="small muted" role="status"
        >{factor === 1
            ? t('patient.practice.as-prescribed')
            : t('patient.practice.from-next', { percent: Math.round(factor * 100) })}</span
    >
    <button type="button" class="button plain" disabled={factor <= tempo.fastest} onclick={() => change(-STEP)}
        >{t('patient.practice.faster')}</button
    >
</div>

<style>
    .row {
        flex-wrap: wrap;
        min-width: 0;
    }
    .row .button {
        max-width: 100%;
    }
</style>
