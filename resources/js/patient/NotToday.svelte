<script lang="ts">
    import { onMount } from 'svelte';
    import * as outbox from './keeping/outbox';
    import { lengthOf, t } from './words';
    import type { NotToday, TodayItem, TodaySlot } from './types';

    interface Props {
        item: TodayItem;
        slot: TodaySlot;
        day: string;
        isPaused: boolean;
        onshort: () => void;
        ondone: () => void;
    }

    let { item, slot, day, isPaused, onshort, ondone }: Props = $props();

    const REASONS: NotToday[] = ['tired', 'busy', 'ill', 'symptoms'];
    let heading: HTMLHeadingElement | undefined = $state();
    onMount(() => heading?.focus());

    function say(reason: NotToday): void {
        void outbox.enqueue('put-off', `put-off:${day}:${slot.lineage}:${slot.anchor}`, {
            day,
            lineage: slot.lineage,
            anchor: slot.anchor,
            reason,
            said_at: new Date().toISOString(),
        });
        ondone();
    }
</script>

<h3 tabindex="-1" bind:this={heading}>{t('patient.put-off.title')}</h3>
{#if item.short && !isPaused}
    <p>{t('patient.put-off.short-first', { length: lengthOf(item.short.seconds) })}</p>
    <button type="button" class="button" onclick={onshort}>{t('patient.put-off.short')}</button>
    <p>{t('patient.put-off.why')}</p>
{/if}
<div class="pairs">
    {#each REASONS as reason (reason)}<button type="button" class="button second" onclick={() => say(reason)}
            >{t(`patient.put-off.reason.${reason}`)}</button
        >{/each}
</div>
<p class="small muted">{t('patient.put-off.symptoms-text')}</p>
<button type="button" class="button plain" onclick={ondone}>{t('patient.practice.back')}</button>

<style>
    h3 {
        font-size: 1.1rem;
    }
    h3:focus {
        outline: none;
    }
</style>
