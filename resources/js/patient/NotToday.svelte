<script lang="ts">
    import { onMount } from 'svelte';
    import * as outbox from './keeping/outbox';
    import { lengthOf, t } from './words';
    import type { NotToday, TodayItem, TodaySlot } from './types';

    interface Props {
        item: TodayItem;
        slot: TodaySlot;
        /** What else is still to come today. */
        others: TodaySlot[];
        day: string;
        isPaused: boolean;
        onshort: () => void;
        ondone: () => void;
    }

    let { item, slot, others, day, isPaused, onshort, ondone }: Props = $props();

    const REASONS: NotToday[] = ['tired', 'busy', 'ill', 'symptoms'];
    let heading: HTMLHeadingElement | undefined = $state();
    onMount(() => heading?.focus());

    function say(reason: NotToday): void {
        // Who is ill says it once, for all that is still to come today.
        for (const each of reason === 'ill' ? [slot, ...others] : [slot])
            void outbox.enqueue('put-off', `put-off:${day}:${each.lineage}:${each.anchor}`, {
                day,
                lineage: each.lineage,
                anchor: each.anchor,
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
            >{t(`patient.put-off.reason.${reason}`)}{#if reason === 'ill' && others.length > 0}<span
                    class="small muted sub">{t('patient.put-off.for-all')}</span
                >{/if}</button
        >{/each}
</div>
<p class="small muted">{t('patient.put-off.symptoms-text')}</p>
<button type="button" class="button plain" onclick={ondone}>{t('patient.practice.back')}</button>

<style>
    h3 {
        font-size: 1.1rem;
    }
    .sub {
        display: block;
        font-weight: 400;
    }
    h3:focus {
        outline: none;
    }
</style>
