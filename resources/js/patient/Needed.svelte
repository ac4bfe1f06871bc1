<script lang="ts">
    import { usedToday, whyPaused, type SaidHere } from './keeping/day';
    import { t } from './words';
    import type { Rules, TodayItem } from './types';

    interface Props {
        items: TodayItem[];
        here: SaidHere;
        rules: Rules;
        /** When the day began. */ from: string;
        emergency: string;
        onbegin: (item: TodayItem) => void;
    }

    let { items, here, rules, from, emergency, onbegin }: Props = $props();
</script>

{#each items.filter((each) => each.as_needed?.way !== 'ticked') as item (item.lineage)}
    {@const used = usedToday(item, here.practices, Date.parse(from))}
    {@const most = item.as_needed?.most ?? 1}
    {@const paused = whyPaused(item, here, rules) !== null}
    <section class="card quiet" aria-label={t(item.name)}>
        <div class="row">
            <div>
                <h2>{t(item.name)}</h2>
                <p class="small muted">{t('patient.today.use-when', { when: item.as_needed?.use_when ?? '', most })}</p>
            </div>
            <button type="button" class="button second now" disabled={paused} onclick={() => onbegin(item)}
                >{paused ? t('patient.today.paused') : t('patient.today.now')}<span class="visually-hidden">
                    {t(item.name)}</span
                ></button
            >
        </div>
        {#if used >= most}<p class="small">{t('patient.today.most-reached', { most: used })} {emergency}</p>
        {:else if used > 0}<p class="small muted">{t('patient.today.used', { done: used, most })}</p>{/if}
    </section>
{/each}

<style>
    .now {
        flex: 0 0 auto;
    }
</style>
