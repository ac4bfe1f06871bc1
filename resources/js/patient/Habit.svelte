<script lang="ts">
    import * as outbox from './keeping/outbox';
    import { usedToday, whyPaused, type SaidHere } from './keeping/day';
    import { t, told } from './words';
    import type { Rules, Tick, TodayItem } from './types';

    interface Props {
        item: TodayItem;
        here: SaidHere;
        rules: Rules;
        version: number;
        /** When the day began. */ from: string;
    }

    let { item, here, rules, version, from }: Props = $props();

    const paused = $derived(whyPaused(item, here, rules) !== null);
    const most = $derived(item.as_needed?.most ?? 1);
    const room = $derived(item.as_needed?.room ?? 0);
    const done = $derived(usedToday(item, here.ticks, Date.parse(from)));

    /** A double tap is one. */
    const TWICE_MS = 800;
    let tickedAt = -TWICE_MS;

    function tick(event: MouseEvent): void {
        if (event.timeStamp - tickedAt < TWICE_MS) return;
        tickedAt = event.timeStamp;
        const uuid = outbox.newId();
        const body: Tick = {
            uuid,
            version_id: version,
            lineage: item.lineage,
            ticked_at: new Date().toISOString(),
        };
        void outbox.enqueue('tick', uuid, body);
    }
</script>

<section class="card quiet" aria-label={t(item.name)}>
    <div class="row">
        <div>
            <h2>{t(item.name)}</h2>
            <p class="small muted">{t('patient.today.habit', { when: item.as_needed?.use_when ?? '' })}</p>
        </div>
        <button type="button" class="button second now" disabled={paused || done >= room} onclick={tick}
            >{t('patient.today.tick')}<span class="visually-hidden"> {t(item.name)}</span></button
        >
    </div>
    <p class="small" role="status">{t('patient.today.ticked', { done, most })}</p>
    <details class="small">
        <summary>{t('patient.today.show-how')}</summary>
        {#each item.told as part (part.part)}{#if part.part !== 'when' && part.part !== 'length'}
                <p><strong>{part.label}</strong> {told(item, part.part).join(' ')}</p>
            {/if}{/each}
    </details>
</section>

<style>
    .now {
        flex: 0 0 auto;
    }
</style>
