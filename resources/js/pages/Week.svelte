<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import { tick } from 'svelte';
    import Ask from '../components/asking/Ask.svelte';
    import DateSlot from '../components/DateSlot.svelte';
    import Room from '../components/Room.svelte';
    import AppointmentForm from '../components/week/AppointmentForm.svelte';
    import AwayForm from '../components/week/AwayForm.svelte';
    import Box from '../components/week/Box.svelte';
    import Day from '../components/week/Day.svelte';
    import HourRuler from '../components/week/HourRuler.svelte';
    import { readDay } from '../lib/dates';
    import { along, clock, daysShown, moved, NARROWEST, rulerOf, snapped } from '../lib/week';
    import { WeekMove } from '../lib/weekMove.svelte';
    import type { Place, WeekAbsence, WeekAppointment, WeekProps } from '../types/week';

    let week: WeekProps = $props();

    /** So many pixels are a move of the hand; less is a tap. */
    const A_MOVE = 4;

    const move = new WeekMove();
    let asked: { appointment: WeekAppointment | null; place: Partial<Place> } | null = $state(null);
    let isAsking = $state(false);
    let isAway = $state(false);
    let absence: WeekAbsence | null = $state(null);
    let isEndingAway = $state(false);
    let said = $state('');
    let dragged = false;

    const people = $derived(week.people.filter((each) => each.shown));
    const shown = $derived(week.appointments.map((each) => ({ ...each, ...move.placeOf(each) })));
    const days = $derived(
        daysShown(week.days, [...week.appointments, ...week.absences], move.place ? [move.place.day] : []),
    );
    const ruler = $derived(rulerOf(shown));
    const nameOf = (id: number): string => week.people.find((each) => each.id === id)?.name ?? '';
    const original = (id: number): WeekAppointment | undefined => week.appointments.find((each) => each.id === id);

    const wide = (minutes: number): number => (Math.max(NARROWEST, minutes) / (ruler.to - ruler.from)) * 100;
    const address = (monday: string, whose: string): string => `/week?of=${monday}&whose=${whose}`;

    function words(each: WeekAppointment): string {
        const day = week.days.find((one) => one.date === each.day);
        return [
            `${each.name}${each.born ? `, born ${each.born}` : ''}`,
            each.kind,
            `${day?.name ?? ''} ${day?.day ?? ''}, ${clock(each.minute)} to ${clock(each.minute + each.minutes)}`,
            `with ${nameOf(each.practitioner)}`,
        ].join(', ');
    }

    async function go(each: WeekAppointment, to: Place): Promise<void> {
        move.to(each, to);
        await tick();
        // Under another day or person it is drawn anew.
        document.querySelector<HTMLElement>(`[data-appointment="${each.id}"]`)?.focus();
        said = `${words({ ...each, ...to })}. Enter keeps it, Escape puts it back.`;
    }

    function key(each: WeekAppointment, event: KeyboardEvent): void {
        const before = original(each.id);
        if (!before || before.is_over || move.isSending) return;
        if (move.isMoving(before) && (event.key === 'Enter' || event.key === 'Escape')) {
            event.preventDefault();
            event.stopPropagation();
            if (event.key === 'Enter') move.keep(before);
            else leave();
            return;
        }
        const to = moved(
            move.placeOf(before),
            each.minutes,
            event,
            days.map((day) => day.date),
            people.map((person) => person.id),
        );
        if (to) {
            event.preventDefault();
            void go(before, to);
        }
    }

    function leave(): void {
        move.leave();
        said = 'It stays where it was.';
    }

    /** What was moved by keys and left is not kept; drawn anew under another lane it comes back at once. */
    function left(each: WeekAppointment): void {
        setTimeout(() => {
            const at = document.activeElement?.getAttribute('data-appointment');
            if (move.id === each.id && !move.isSending && !dragged && at !== String(each.id)) leave();
        });
    }

    function press(each: WeekAppointment, event: PointerEvent): void {
        const before = original(each.id);
        // A finger scrolls; it opens the box, where everything can be changed.
        if (!before || before.is_over || event.button !== 0 || event.pointerType === 'touch' || move.isSending) return;
        const lane = (event.currentTarget as Element).closest('ul');
        if (!lane || getComputedStyle(lane).display === 'grid') return;
        const perMinute = lane.getBoundingClientRect().width / (ruler.to - ruler.from);
        const follow = (now: PointerEvent): void => {
            const across = now.clientX - event.clientX;
            const down = now.clientY - event.clientY;
            if (!dragged && Math.hypot(across, down) < A_MOVE) return;
            dragged = true;
            const under = document
                .elementsFromPoint(now.clientX, now.clientY)
                .map((one) => one.closest<HTMLElement>('[data-day]'))
                .find((one) => one !== null);
            const at = move.placeOf(before);
            move.to(before, {
                day: under?.dataset['day'] ?? at.day,
                practitioner: under?.dataset['person'] ? Number(under.dataset['person']) : at.practitioner,
                minute: snapped(before.minute + across / perMinute, before.minutes),
            });
        };
        const done = (keep: boolean): void => {
            window.removeEventListener('pointermove', follow);
            window.removeEventListener('pointerup', up);
            window.removeEventListener('pointercancel', cancel);
            window.removeEventListener('keydown', escape, true);
            if (!dragged) return;
            if (keep) move.keep(before);
            else leave();
            // The click that ends it opens nothing.
            setTimeout(() => {
                dragged = false;
            });
        };
        const up = (): void => done(true);
        const cancel = (): void => done(false);
        const escape = (now: KeyboardEvent): void => {
            if (now.key === 'Escape') done(false);
        };
        window.addEventListener('pointermove', follow);
        window.addEventListener('pointerup', up);
        window.addEventListener('pointercancel', cancel);
        window.addEventListener('keydown', escape, true);
    }

    function open(each: WeekAppointment): void {
        if (dragged || move.id !== null) return;
        asked = { appointment: original(each.id) ?? null, place: {} };
        isAsking = true;
    }

    function take(place: Partial<Place>): void {
        // The end of a drawing hand is no tap on what lies under it.
        if (dragged) return;
        asked = { appointment: null, place };
        isAsking = true;
    }

    const begin = $derived(week.is_now ? week.now.day : week.monday);
</script>

<Room title="Week" current="week">
    <div class="flex flex-wrap items-baseline gap-x-6 gap-y-2 pt-5 pb-3">
        <h1 class="text-[1.45rem]">Week {week.number}</h1>
        <nav aria-label="Weeks" class="flex flex-wrap items-baseline gap-x-4 text-[0.95rem]">
            <Link class="linklike" href={address(week.before, week.whose)}>The week before</Link>
            {#if !week.is_now}<Link class="linklike" href="/week?whose={week.whose}">This week</Link>{/if}
            <Link class="linklike" href={address(week.after, week.whose)}>The week after</Link>
        </nav>
        <label class="flex items-baseline gap-2 text-[0.95rem]" for="week-of"
            >Week of <DateSlot
                id="week-of"
                of="Week of"
                size="slot"
                class="w-[9.5rem]"
                bind:value={
                    () => week.monday,
                    (day) => {
                        const known = day && /^\d{4}-\d\d-\d\d$/.test(day) ? readDay(day) : null;
                        if (known) router.visit(address(known, week.whose));
                    }
                }
            /></label
        >
        {#if week.people.length > 1}<label class="text-[0.95rem]"
                >Whose <select
                    class="slot small"
                    value={week.whose}
                    onchange={(event) => router.visit(address(week.monday, event.currentTarget.value))}
                    ><option value="everyone">everyone’s</option>{#each week.people as person (person.id)}<option
                            value={String(person.id)}>{person.id === week.me ? 'mine' : person.name}</option
                        >{/each}</select
                ></label
            >{/if}
        <span class="ml-auto flex gap-3 print:hidden">
            <Button size="sm" onclick={() => take({ day: begin })}>New appointment</Button>
            <Button
                size="sm"
                outline
                onclick={() => {
                    isAway = true;
                }}>Away</Button
            >
        </span>
    </div>
    {#if move.problem}<p role="alert" class="pb-2 font-semibold text-clay">
            Not moved. {move.problem}
        </p>{/if}
    {#if move.last}<p class="pb-2">
            {move.last.name} was moved.
            <button type="button" class="linklike" disabled={move.isSending} onclick={() => move.putBack()}
                >Put it back</button
            >
        </p>{/if}
    <p class="visually-hidden" aria-live="polite">{said}</p>
    <HourRuler {ruler} />
    {#each days as day (day.date)}
        <Day
            {day}
            {people}
            appointments={shown.filter((each) => each.day === day.date)}
            absences={week.absences.filter((each) => each.day === day.date)}
            {ruler}
            now={week.now.day === day.date ? week.now.minute : null}
            free={take}
            away={(one) => {
                absence = one;
                isEndingAway = true;
            }}
        >
            {#snippet box(each)}<Box
                    appointment={each}
                    left={along(ruler, each.minute)}
                    width={wide(each.minutes)}
                    isMoving={move.id === each.id}
                    words={words(each)}
                    open={() => open(each)}
                    press={(event) => press(each, event)}
                    key={(event) => key(each, event)}
                    leave={() => left(each)}
                />{/snippet}
        </Day>
    {/each}
    <p class="pt-3 text-[0.875rem] text-muted print:hidden">
        A box opens by a tap. With a mouse it is drawn to its new place, with the arrow keys it goes there: Enter keeps
        it, Escape puts it back. A dashed box is remote, a thick one is a first appointment. <Link
            class="linklike"
            href="/account#calendar">In your own calendar</Link
        >
    </p>
    <Ask
        bind:open={isAsking}
        title={asked?.appointment
            ? `${asked.appointment.name}${asked.appointment.born ? `, born ${asked.appointment.born}` : ''}`
            : 'New appointment'}
    >
        {#if asked}{#key asked}<AppointmentForm
                    appointment={asked.appointment}
                    place={asked.place}
                    kinds={week.kinds}
                    people={week.people}
                    me={week.me}
                    done={() => {
                        isAsking = false;
                    }}
                />{/key}{/if}
    </Ask>
    <Ask bind:open={isAway} title="Away">
        <AwayForm
            people={week.people}
            me={week.me}
            day={begin}
            done={() => {
                isAway = false;
            }}
        />
    </Ask>
    <Ask bind:open={isEndingAway} title="{absence ? nameOf(absence.practitioner) : ''}, away">
        <p class="mt-2">{absence?.reason ?? 'No reason is said.'}</p>
        <p class="mt-4 flex gap-5">
            <Button
                size="sm"
                onclick={() => {
                    if (absence)
                        router.delete(`/absences/${absence.id}`, {
                            preserveScroll: true,
                            onSuccess: () => {
                                isEndingAway = false;
                            },
                        });
                }}>Is there after all</Button
            ><button
                type="button"
                class="linklike"
                onclick={() => {
                    isEndingAway = false;
                }}>Leave it as it is</button
            >
        </p>
    </Ask>
</Room>
