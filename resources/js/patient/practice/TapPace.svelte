<script lang="ts">
    import { rateOf } from '../../player/taps';
    import { t, tn } from '../words';

    let { title, ontaps }: { title: string; ontaps: (taps: number[] | null) => void } = $props();

    const ENOUGH = 5;
    let taps = $state.raw<number[]>([]);
    const rate = $derived(rateOf(taps, ENOUGH));

    /** In ms from the first one. Once there are enough, the next tap begins anew. */
    function tap(event: MouseEvent): void {
        const at = Math.round(event.timeStamp);
        taps = rate === null ? [...taps, at] : [at];
        ontaps(taps.length < ENOUGH ? null : taps.map((each) => each - (taps[0] ?? 0)));
    }
</script>

<div class="stack" role="group" aria-labelledby="pace">
    <h2 id="pace">{title}</h2>
    <p class="small muted">{t('patient.pace.hint')}</p>
    <button type="button" class="button second" onclick={tap}
        >{t(rate === null ? 'patient.pace.tap' : 'patient.pace.again')}</button
    >
    <p class="small" role="status">
        {rate === null
            ? taps.length > 0
                ? tn('patient.pace.taps', taps.length)
                : ''
            : t('patient.pace.about', { rate: rate.toFixed(1) })}
    </p>
</div>
