<script lang="ts">
    import { onMount } from 'svelte';
    import { isPaused, usedToday } from './day';
    import * as outbox from './outbox';
    import { t } from './words';
    import type { TodayItem } from './types';

    interface Props { items: TodayItem[]; /** When the day began; unknown before the PIN. */ from: string | null; /** Ids of practices that the items' numbers include. */ counted?: string[]; emergency: string; onbegin: (item: TodayItem) => void }

    let { items, from, counted = [], emergency, onbegin }: Props = $props();

    let practices = $state.raw(outbox.practices());
    onMount(() => outbox.onChange(() => { practices = outbox.practices(); }));

    /** Before the PIN the day's beginning is not known here: what was used lately counts. */
    const LATELY_MS = 12 * 3_600_000;
    const since = $derived(from ? Date.parse(from) : Date.now() - LATELY_MS);
</script>

{#each items as item (item.lineage)}
    {@const used = usedToday(item, practices.filter((log) => !counted.includes(log.uuid)), since)}
    {@const most = item.as_needed?.most ?? 1}
    <section class="card quiet" aria-label={t(item.name)}>
        <div class="row">
            <div><h2>{t(item.name)}</h2><p class="small muted">{t('patient.today.use-when', { when: item.as_needed?.use_when ?? '', most })}</p></div>
            <button type="button" class="button second now" disabled={isPaused(item, practices)} onclick={() => onbegin(item)}>{isPaused(item, practices) ? t('patient.today.paused') : t('patient.today.now')}<span class="visually-hidden"> {t(item.name)}</span></button>
        </div>
        {#if used >= most}<p class="small">{t('patient.today.most-reached', { most: used })} {emergency}</p>
        {:else if used > 0}<p class="small muted">{t('patient.today.used', { done: used, most })}</p>{/if}
    </section>
{/each}

<style>
    .now { flex: 0 0 auto; }
</style>
