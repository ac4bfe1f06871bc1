<script lang="ts">
    import { onMount, untrack } from 'svelte';
    import Ridge from '../shared/Ridge.svelte';
    import Tally from '../shared/Tally.svelte';
    import CallClinic from './help/CallClinic.svelte';
    import { nextSlot, saidHere, whatIsPaused, whyPaused, withWaiting } from './keeping/day';
    import Habit from './Habit.svelte';
    import HelpCard from './help/HelpCard.svelte';
    import Needed from './Needed.svelte';
    import NotToday from './NotToday.svelte';
    import * as outbox from './keeping/outbox';
    import RecoveryCard from './help/RecoveryCard.svelte';
    import SecondLookCard from './help/SecondLookCard.svelte';
    import { secondLooks } from './keeping/secondLooks';
    import Unsent from './Unsent.svelte';
    import { anchorOf, lengthOf, ridgeWords, t, tallyWords, tn, told } from './words';
    import WasThatYou from './WasThatYou.svelte';
    import type { TodayData, TodayItem, TodaySlot } from './types';

    interface Props {
        today: TodayData;
        isOffline: boolean;
        /** Milliseconds by which the server's clock is ahead. */
        offset: number;
        onbegin: (item: TodayItem, slot: TodaySlot | null, isShort?: boolean) => void;
        onform: (form: TodayData['asked'][number]) => void;
        oncheck: () => void;
        onlock: () => void;
        /** Begins the help for breathlessness, where there is one. */
        onrecover?: (() => void) | undefined;
    }

    let { today, isOffline, offset, onbegin, onform, oncheck, onlock, onrecover }: Props = $props();

    let waiting = $state.raw(outbox.all());
    let puttingOff = $state(false);
    onMount(() =>
        outbox.onChange(() => {
            waiting = outbox.all();
        }),
    );

    const CLOCK_OFF_MS = 300_000;
    const isRunning = $derived(today.day.state === 'running');
    const here = $derived(saidHere(waiting, today, offset));
    const slots = $derived(withWaiting(today, waiting, offset));
    const nextIndex = $derived(nextSlot(slots, Date.now() + offset));
    const next = $derived(nextIndex === null ? null : (slots[nextIndex] ?? null));
    const itemOf = (slot: TodaySlot | null): TodayItem | null =>
        today.items.find((each) => each.lineage === slot?.lineage) ?? null;
    const item = $derived(itemOf(next));
    const done = $derived(slots.filter((slot) => slot.done !== null).length);
    const planned = $derived(today.items.filter((each) => each.as_needed === null));
    const needed = $derived(today.items.filter((each) => each.as_needed !== null));
    const paused = $derived(today.items.filter((each) => whyPaused(each, here, today.rules) !== null));
    const notPaused = $derived(today.items.filter((each) => !paused.includes(each)));
    /** Each reason once, with what it pauses. */
    const reasons = $derived(whatIsPaused(today.items, here, today.rules));
    const needsHelp = $derived(
        here.unsettled || here.urgent || here.practices.some((log) => log.stop_class === 'get-help'),
    );
    let looks = $state.raw(untrack(() => secondLooks.of(today.owner)));
    const hasRecovery = $derived(isRunning && today.items.some((each) => each.recovery));
    interface Answers {
        answers: object;
        done: boolean;
    }
    /** What is asked, with what was answered here and waits. */
    const asked = $derived(
        today.asked
            .map((form) => ({
                form,
                here: waiting.find((each) => each.id === `form:${form.id}` && each.refused === null)?.body as
                    Answers | undefined,
            }))
            .filter(({ here }) => here?.done !== true)
            .map(({ form, here }) => ({ ...form, answered: here ? Object.keys(here.answers).length : form.answered })),
    );
    const checkDue = $derived(
        today.check_due && !waiting.some((each) => each.kind === 'home-check' && each.refused === null),
    );

    /** Another practice is next: its own question is not asked yet. The same one, fetched anew, keeps what is open. */
    const nextKey = $derived(next ? `${next.lineage}:${next.anchor}` : '');
    $effect(() => {
        void nextKey;
        puttingOff = false;
    });
</script>

<main>
    <div>
        <p class="muted">{today.isOld ? '' : today.day.label}</p>
        <h1>
            {#if isRunning && next}{t('patient.today.next', { anchor: anchorOf(next) })}
            {:else if isRunning && slots.length > 0}{t('patient.today.all-done')}
            {:else}{t('patient.today.none-due')}{/if}
        </h1>
        <p class="muted">
            {#if today.isOld}{t('patient.today.old')} {paused.length === 0 ? t('patient.today.old-free') : ''}
            {:else if isRunning}{slots.length > 0
                    ? t('patient.today.of', { done, all: slots.length })
                    : t('patient.today.rest-day')}
            {:else if today.day.state === 'not-yet'}{t('patient.today.not-yet', { date: today.day.starts_on ?? '' })}
            {:else if today.day.state === 'over'}{t('patient.today.over')}
            {:else}{t('patient.today.no-programme')}{/if}
        </p>
    </div>

    {#if needsHelp}<HelpCard help={today} {onrecover} />{/if}
    {#each looks as look (look.uuid)}<SecondLookCard
            {look}
            onanswered={() => {
                looks = secondLooks.of(today.owner);
            }}
        />{/each}
    <WasThatYou recovery={today.recovery} />

    {#if today.day.note}
        <div class="card quiet">
            <h2>{t('patient.today.changed')}</h2>
            <p class="small note">{today.day.note}</p>
        </div>
    {/if}

    {#each asked as form (form.id)}
        <div class="card quiet">
            <h2>{t('patient.form.asked')}</h2>
            <div class="row">
                <span>{form.title}</span><button type="button" class="button second" onclick={() => onform(form)}
                    >{form.answered > 0
                        ? t('patient.form.go-on', { answered: form.answered, of: form.questions.length })
                        : t('patient.form.answer')}<span class="visually-hidden"> {form.title}</span></button
                >
            </div>
        </div>
    {/each}

    {#if paused.length > 0}
        <div class="card urgent" role="status">
            <h2>{t('patient.today.paused')}</h2>
            {#each reasons as each, index (index)}<p>
                    <strong>{each.names.map((name) => t(name)).join(', ')}.</strong>
                    {t(`patient.today.paused-text.${each.why}`)}{#if each.note}&nbsp;<q>{each.note}</q>{/if}
                </p>{/each}
            {#if notPaused.length > 0}<p>
                    {t('patient.today.not-paused', { names: notPaused.map((each) => t(each.name)).join(', ') })}
                </p>{/if}
            <CallClinic telephone={today.telephone} />
        </div>
    {/if}

    {#if next && item}
        <section class="card" aria-label={t(item.name)}>
            <div class="row">
                <h2>{t(item.name)}</h2>
                <span class="muted">{lengthOf(item.seconds)}</span>
            </div>
            <Ridge words={ridgeWords()} shape={item.ridge} width={316} height={78} label={t(item.name)} />
            <p class="small muted">
                {told(item, 'position').join(' ')}
                {item.needs.length > 0 ? t('patient.sheet.needs', { things: item.needs.join(', ') }) : ''}
                {item.why}
                {item.breaths === null ? '' : `${tn('patient.today.breaths', item.breaths)}.`}
            </p>
            {#if puttingOff}
                <NotToday
                    {item}
                    slot={next}
                    others={slots.filter((slot) => slot !== next && !slot.done && !slot.put_off)}
                    day={today.day.date}
                    isPaused={paused.includes(item)}
                    onshort={() => onbegin(item, next, true)}
                    ondone={() => {
                        puttingOff = false;
                    }}
                />
            {:else}
                <button
                    type="button"
                    class="button"
                    disabled={paused.includes(item)}
                    onclick={() => onbegin(item, next)}
                    >{paused.includes(item) ? t('patient.today.paused') : t('patient.today.begin')}</button
                >
                <button
                    type="button"
                    class="button plain"
                    onclick={() => {
                        puttingOff = true;
                    }}>{t('patient.put-off.open')}</button
                >
            {/if}
        </section>
    {/if}

    {#if slots.length > 0}
        <ul class="lines">
            {#each slots as slot, index (slot.anchor + slot.lineage)}
                {#if index !== nextIndex}
                    {@const its = itemOf(slot)}
                    <li class="row">
                        <span
                            >{anchorOf(slot)}{its ? `, ${t(its.name)}` : ''}
                            <span class="muted when"
                                >{slot.done
                                    ? t('patient.today.done-at', { time: slot.done.at })
                                    : slot.put_off
                                      ? t('patient.put-off.said', {
                                            reason: t(`patient.put-off.reason.${slot.put_off}`).toLowerCase(),
                                        })
                                      : `${slot.from}–${slot.to}`}</span
                            ></span
                        >
                        {#if slot.done}<Tally words={tallyWords()} days={[[slot.done.stroke]]} height={18} />{/if}
                        {#if its && !paused.includes(its) && (!slot.done || slot.done.stroke === 'partial')}
                            <button type="button" class="button plain" onclick={() => onbegin(its, slot)}
                                >{t(
                                    slot.put_off
                                        ? 'patient.put-off.after-all'
                                        : slot.done
                                          ? 'patient.today.again'
                                          : 'patient.today.begin',
                                )}<span class="visually-hidden"> {anchorOf(slot)}</span></button
                            >
                        {/if}
                    </li>
                {/if}
            {/each}
        </ul>
    {/if}

    {#if isRunning && needed.length > 0}<Needed
            items={needed}
            {here}
            rules={today.rules}
            from={today.day.from}
            emergency={today.emergency}
            onbegin={(each) => onbegin(each, null)}
        />{/if}
    {#if isRunning && today.day.version_id !== null}
        {#each needed.filter((each) => each.as_needed?.way === 'ticked') as habit (habit.lineage)}<Habit
                item={habit}
                {here}
                rules={today.rules}
                version={today.day.version_id}
                from={today.day.from}
            />{/each}
    {/if}
    {#if today.recovery && !hasRecovery && onrecover}<RecoveryCard onbegin={onrecover} />{/if}
    {#if isRunning && !next && paused.length === 0}
        {#each planned as each (each.lineage)}
            <section class="card quiet" aria-label={t(each.name)}>
                <div class="row">
                    <h2>{t(each.name)}</h2>
                    <span class="muted">{lengthOf(each.seconds)}</span>
                </div>
                <button type="button" class="button second" onclick={() => onbegin(each, null)}
                    >{t('patient.today.once-more')}</button
                >
            </section>
        {/each}
    {/if}
    {#if checkDue}
        <section class="card quiet" aria-label={t('patient.check.title')}>
            <div class="row due">
                <div>
                    <h2>{t('patient.check.title')}</h2>
                    <p class="small muted">{t('patient.check.due')}</p>
                </div>
                <button type="button" class="button second check" onclick={oncheck}>{t('patient.check.open')}</button>
            </div>
        </section>
    {/if}

    {#if today.appointment}<p>{today.appointment}</p>{/if}
    {#if paused.length === 0}<CallClinic telephone={today.telephone} />{/if}

    <Unsent {isOffline} />
    {#if isOffline}<p class="small muted" role="status">{t('patient.today.offline')}</p>{/if}
    {#if Math.abs(offset) > CLOCK_OFF_MS}<p class="small muted" role="status">
            {t('patient.today.clock', { minutes: Math.round(Math.abs(offset) / 60000) })}
        </p>{/if}

    <div class="foot row">
        <p class="small muted">{t('patient.today.nobody')}</p>
        <button type="button" class="button plain" onclick={onlock}>{t('patient.today.lock')}</button>
    </div>
</main>

<style>
    .when {
        display: block;
    }
    .note {
        white-space: pre-line;
    }
    /* Below the words where letters are very large. */
    .due {
        flex-wrap: wrap;
    }
    .due > div {
        flex: 1 1 9rem;
    }
    .check {
        flex: 0 1 auto;
    }
</style>
