<script lang="ts">
    import type { Snippet } from 'svelte';
    import type { Attachment } from 'svelte/attachments';
    import { along, stacked, type Ruler } from '../../lib/week';
    import type { Place, WeekAbsence, WeekAppointment, WeekDay, WeekPerson } from '../../types/week';

    /** A day: a lane for each person under the ruler of the week. */
    interface Props {
        day: WeekDay;
        people: WeekPerson[];
        appointments: WeekAppointment[];
        absences: WeekAbsence[];
        ruler: Ruler;
        now: number | null;
        box: Snippet<[WeekAppointment & { row: number; meets: boolean }]>;
        /** Where nothing stands yet. */
        free: (place: Place) => void;
        away: (absence: WeekAbsence) => void;
    }

    let { day, people, appointments, absences, ruler, now, box, free, away }: Props = $props();

    const first = (name: string): string => name.split(' ')[0] ?? name;

    /** With a mouse an empty place of a lane can be taken; by keys the button above does the same. */
    const taking =
        (practitioner: number): Attachment<HTMLElement> =>
        (lane) => {
            const take = (event: MouseEvent): void => {
                if (event.target !== lane) return;
                const { left, width } = lane.getBoundingClientRect();
                const minute = ruler.from + ((event.clientX - left) / width) * (ruler.to - ruler.from);
                free({ day: day.date, minute: Math.floor(minute / 15) * 15, practitioner });
            };
            lane.addEventListener('click', take);
            return () => {
                lane.removeEventListener('click', take);
            };
        };
</script>

<section class="day" aria-labelledby="day-{day.date}">
    <h2 id="day-{day.date}">
        {day.name} <span class="text-[0.875rem] font-normal text-muted">{day.day}{day.is_today ? ', today' : ''}</span>
    </h2>
    <div class="lanes">
        {#each people as person (person.id)}
            {@const mine = appointments.filter((each) => each.practitioner === person.id)}
            {@const lane = stacked(mine)}
            {@const gone = absences.filter((each) => each.practitioner === person.id)}
            <div class="lane" class:empty={mine.length === 0}>
                <h3 title={person.name}>{first(person.name)}</h3>
                <ul
                    data-day={day.date}
                    data-person={person.id}
                    style:height="{mine.length === 0 && gone.length === 0 ? 1.75 : lane.rows * 2.625}rem"
                    {@attach taking(person.id)}
                >
                    {#each gone as absence (absence.id)}
                        <li
                            class="away"
                            style:left="{along(ruler, absence.from)}%"
                            style:width="{along(ruler, absence.to) - along(ruler, absence.from)}%"
                        >
                            <button type="button" class="on-paper" onclick={() => away(absence)}
                                >away{absence.reason ? `, ${absence.reason}` : ''}</button
                            >
                        </li>
                    {/each}
                    {#each lane.boxes as each (each.id)}{@render box(each)}{/each}
                </ul>
            </div>
        {/each}
        {#if now !== null && now >= ruler.from && now <= ruler.to}<svg
                class="now"
                style:left="calc(3.5rem + (100% - 3.5rem) * {along(ruler, now) / 100})"
                aria-hidden="true"><path d="M1 0v9999" stroke="var(--clay)" stroke-width="1.5" /></svg
            >{/if}
    </div>
</section>

<style>
    .day {
        display: grid;
        grid-template-columns: 5.5rem 1fr;
        padding: 0.5rem 0;
        border-bottom: 1px solid var(--rule);
    }
    h2 {
        font-size: 1.2rem;
        line-height: 1.25;
    }
    h2 span {
        display: block;
        font-family: var(--sans);
    }
    .lanes {
        position: relative;
        display: grid;
        gap: 0.25rem;
    }
    .lane {
        display: grid;
        grid-template-columns: 3.5rem 1fr;
    }
    h3 {
        font-family: var(--sans);
        font-size: 0.8125rem;
        font-weight: 400;
        color: var(--muted);
        padding-top: 0.25rem;
        overflow: hidden;
        text-overflow: ellipsis;
    }
    ul {
        position: relative;
        cursor: copy;
    }
    .away {
        position: absolute;
        top: 0;
        height: 2.375rem;
        overflow: hidden;
        border-top: 2px dotted var(--muted);
        white-space: nowrap;
    }
    .away button {
        padding: 0 0.375rem;
        font-size: 0.875rem;
        color: var(--muted);
    }
    .away button:hover {
        text-decoration: underline;
    }
    .now {
        position: absolute;
        top: 0;
        width: 2px;
        height: 100%;
        pointer-events: none;
    }
    @media (max-width: 767px) {
        .day,
        .lane {
            display: block;
        }
        .lane.empty:not(:has(.away)) {
            display: none;
        }
        ul {
            height: auto !important;
            display: grid;
            gap: 0.375rem;
        }
        .away {
            position: static;
            width: auto !important;
            height: auto;
        }
        .now {
            display: none;
        }
    }
</style>
