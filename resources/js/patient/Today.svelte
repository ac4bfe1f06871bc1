<script lang="ts">
    import { onMount } from 'svelte';
    import Ridge from '../components/Ridge.svelte';
    import Tally from '../components/Tally.svelte';
    import { dismiss, onChange, pausedHere, waiting } from './queue';
    import { t, tn } from './words';
    import type { TodayData, TodayItem, TodaySlot } from './types';

    interface Props {
        today: TodayData;
        isStale: boolean;
        onbegin: (item: TodayItem, slot: TodaySlot | null) => void;
        onchange: () => void;
        onlock: () => void;
        onform: (id: string) => void;
        ondiary: () => void;
    }

    let { today, isStale, onbegin, onchange, onlock, onform, ondiary }: Props = $props();

    let queue = $state.raw(waiting());
    let stoppedHere = $state(pausedHere());

    onMount(() => {
        refresh(false);
        return onChange(refresh);
    });

    function refresh(stored: boolean): void {
        queue = waiting();
        stoppedHere = pausedHere();
        if (stored) onchange();
    }

    const unsent = $derived(queue.filter((each) => each.refused === null));
    const refused = $derived(queue.filter((each) => each.refused !== null));
    /** What waits here fills its slots, so that nothing is asked for twice. */
    const slots = $derived.by(() => {
        const left = unsent.map((each) => each.log);
        return today.slots.map((slot) => {
            const index = left.findIndex((log) => log.lineage === slot.lineage && log.anchor === slot.anchor && new Date(log.started_at).toDateString() === new Date().toDateString());
            if (slot.done || index === -1) return slot;
            const [log] = left.splice(index, 1);
            const at = new Date(log?.started_at ?? '').toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
            return { ...slot, done: { at, stroke: log?.stop_symptom ? 'stopped' as const : 'done' as const } };
        });
    });
    const isLeft = (index: number | null): boolean => index !== null && slots[index]?.done === null;
    const nextIndex = $derived(isLeft(today.next) ? today.next : slots.findIndex((slot) => slot.done === null));
    const next = $derived(nextIndex === null || nextIndex === -1 ? null : (slots[nextIndex] ?? null));
    const item = $derived(today.items.find((each) => each.lineage === next?.lineage) ?? null);
    const done = $derived(slots.filter((slot) => slot.done !== null).length);
    const minutes = (each: TodayItem): string => `${Math.floor(each.seconds / 60)} min${each.seconds % 60 ? ` ${each.seconds % 60}` : ''}`;
    const paused = $derived(stoppedHere || today.items.some((each) => each.paused));
    const itemPaused = $derived(stoppedHere || (item?.paused ?? false));
</script>

<main>
    <div>
        <p class="muted">{today.day.label}</p>
        <h1>
            {#if today.state === 'running' && next}{t('patient.today.next', { anchor: t(`anchor.${next.anchor}`) })}
            {:else if today.state === 'running' && slots.length > 0}{t('patient.today.all-done')}
            {:else}{t('patient.today.none-due')}{/if}
        </h1>
        <p class="muted">
            {#if today.state === 'running'}
                {slots.length > 0 ? t('patient.today.of', { done, all: slots.length }) : t('patient.today.rest-day')}
            {:else if today.state === 'not-yet'}{t('patient.today.not-yet', { date: today.starts_on ?? '' })}
            {:else if today.state === 'over'}{t('patient.today.over')}
            {:else}{t('patient.today.no-programme')}{/if}
        </p>
    </div>

    {#if today.note}
        <div class="card quiet"><h2>{t('patient.today.changed')}</h2><p class="small note">{today.note}</p></div>
    {/if}

    {#each today.asked as asked (asked.id)}
        <div class="card quiet"><h2>{t('patient.form.asked')}</h2>
            <div class="row"><span>{asked.title}</span><button type="button" class="button second" onclick={() => onform(asked.id)}>{asked.answered > 0 ? t('patient.form.go-on', { answered: asked.answered, of: asked.of }) : t('patient.form.answer')}<span class="visually-hidden"> {asked.title}</span></button></div></div>
    {/each}

    {#if paused}
        <div class="card urgent" role="status">
            <h2>{t('patient.today.paused')}</h2>
            <p>{t('patient.today.paused-text')}</p>
            {#if stoppedHere}<p>{today.emergency}</p>{/if}
        </div>
    {/if}

    {#if next && item}
        <section class="card" aria-label={t(item.name)}>
            <div class="row"><h2>{t(item.name)}</h2><span class="muted">{minutes(item)}</span></div>
            <Ridge shape={item.ridge} width={316} height={78} label={t(item.name)} />
            <p class="small muted">
                {t(item.position)} {item.props.length > 0 ? t('patient.practice.with', { props: item.props.map((prop) => t(prop)).join(', ') }) : ''}
                {item.why} {item.breaths === null ? '' : `${tn('patient.today.breaths', item.breaths)}.`}
            </p>
            <button type="button" class="button" disabled={itemPaused} onclick={() => onbegin(item, next)}>{itemPaused ? t('patient.today.paused') : t('patient.today.begin')}</button>
        </section>
    {/if}

    {#if slots.length > 0}
        <ul class="lines">
            {#each slots as slot, index (slot.anchor + slot.lineage)}
                {#if index !== nextIndex}
                    <li class="row">
                        <span>{t(`anchor.${slot.anchor}`)} <span class="muted">· {slot.done ? t('patient.today.done-at', { time: slot.done.at }) : `${slot.from}–${slot.to}`}</span></span>
                        {#if slot.done}<Tally days={[[slot.done.stroke]]} height={18} />
                        {:else}
                            {@const its = today.items.find((each) => each.lineage === slot.lineage)}
                            {#if its && !its.paused && !stoppedHere}<button type="button" class="button plain" onclick={() => onbegin(its, slot)}>{t('patient.today.begin')}<span class="visually-hidden"> {t(`anchor.${slot.anchor}`)}</span></button>{/if}
                        {/if}
                    </li>
                {/if}
            {/each}
        </ul>
    {/if}

    {#if today.state === 'running'}
        {#each today.items.filter((each) => each.as_needed !== null) as each (each.lineage)}
            <section class="card quiet" aria-label={t(each.name)}>
                <div class="row"><h2>{t(each.name)}</h2></div>
                <p class="small">{t('patient.today.use-when', { when: each.as_needed?.use_when ?? '', most: each.as_needed?.most ?? 1 })}</p>
                <button type="button" class="button second" disabled={each.paused} onclick={() => onbegin(each, null)}>{t('patient.today.begin')}<span class="visually-hidden"> {t(each.name)}</span></button>
            </section>
        {/each}
    {/if}
    {#if today.state === 'running' && !next && !paused}
        {#each today.items.filter((each) => each.as_needed === null) as each (each.lineage)}
            <section class="card quiet" aria-label={t(each.name)}>
                <div class="row"><h2>{t(each.name)}</h2><span class="muted">{minutes(each)}</span></div>
                <button type="button" class="button second" onclick={() => onbegin(each, null)}>{t('patient.today.once-more')}</button>
            </section>
        {/each}
    {/if}

    {#each refused as each (each.log.uuid)}
        <div class="card urgent" role="alert">
            <p>{t('patient.today.refused')} {each.refused}</p>
            <button type="button" class="button second" onclick={() => dismiss(each.log.uuid)}>{t('patient.today.dismiss')}</button>
        </div>
    {/each}
    {#if unsent.length > 0}<p class="small" role="status">{tn('patient.today.waiting', unsent.length)}</p>{/if}
    {#if isStale}<p class="small muted" role="status">{t('patient.today.offline')}</p>{/if}

    <button type="button" class="button second" onclick={ondiary}>{t('patient.diary.open')}</button>
    <div class="foot row">
        <p class="small muted">{t('patient.today.nobody')}</p>
        <button type="button" class="button plain" onclick={onlock}>{t('patient.today.lock')}</button>
    </div>
</main>

<style>
    .note { white-space: pre-line; }
</style>
