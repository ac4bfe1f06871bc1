<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { dayAxis, plusDays } from '../../lib/axis';
    import { dayLines, unitOf, units } from '../../lib/courseDay';
    import { dayMonth, percent, plural, short } from '../../shared/format';
    import { strokesOf, tallyInWords } from '../../shared/tally';
    import Tally from '../../shared/Tally.svelte';
    import BeforeAfter from './BeforeAfter.svelte';
    import Felt from './Felt.svelte';
    import DiaryLines from './DiaryLines.svelte';
    import Points from './Points.svelte';
    import Scale from './Scale.svelte';
    import WeekBars from './WeekBars.svelte';
    import type { CoursePoint, CourseProgramme } from '../../types/course';

    let { programme, patientId, query }: { programme: CourseProgramme; patientId: string; query: string } = $props();

    const LEFT = 150;
    const WIDTH = 1056;
    const edge = LEFT + WIDTH;
    const axis = $derived(dayAxis(programme.from, programme.to, LEFT, WIDTH));
    const shown = $derived(
        programme.versions
            .map((version) => ({
                ...version,
                x: Math.max(axis.x(version.from), LEFT),
                end: version.to === null ? edge : Math.min(axis.x(version.to) + axis.dayWidth, edge),
            }))
            .filter((version) => version.end > version.x && version.x < edge && version.state !== 'replaced'),
    );
    const today = $derived(Math.min(axis.x(programme.today) + axis.dayWidth, edge - 1));

    /** Further measures stand in the table. */
    const MOST_MEASURES = 3;
    const earlier = (point: CoursePoint): string => (point.earlier === null ? '' : `, ${point.earlier}`);

    /** Where it is wider than the screen, it opens at today's end. */
    let drawing: HTMLDivElement | undefined = $state();
    $effect(() => {
        if (drawing) drawing.scrollLeft = drawing.scrollWidth;
    });

    /** The day, or week, whose values are read out. */
    let reading = $state<string | null>(null);
    const all = $derived(units(programme));
    const at = $derived(reading === null ? all.length - 1 : Math.max(0, all.indexOf(unitOf(programme, reading))));
    const day = $derived(all[at] ?? programme.today);
    const lines = $derived(dayLines(programme, day));
    const words = $derived(lines.map((line) => `${line.what} ${line.value}`).join('; ') || 'nothing noted');
    const named = $derived(programme.by_week ? `week of ${dayMonth(day)}` : dayMonth(day));

    function point(event: PointerEvent): void {
        if (!(event.currentTarget instanceof HTMLElement)) return;
        const x =
            event.clientX - event.currentTarget.getBoundingClientRect().left + event.currentTarget.scrollLeft - LEFT;
        const index = Math.floor(x / axis.dayWidth);
        if (x >= 0 && index < axis.days) {
            const date = plusDays(programme.from, index);
            if (date <= programme.today) reading = date;
        }
    }

    function key(event: KeyboardEvent): void {
        const to = {
            ArrowLeft: at - 1,
            ArrowRight: at + 1,
            Home: 0,
            End: all.length - 1,
            PageUp: at - 7,
            PageDown: at + 7,
        }[event.key];
        if (to === undefined || event.target !== event.currentTarget) return;
        event.preventDefault();
        reading = all[Math.min(all.length - 1, Math.max(0, to))] ?? null;
    }
</script>

<div
    class="course-axis"
    bind:this={drawing}
    role="group"
    aria-label="Course from {dayMonth(programme.from)} to {dayMonth(programme.today)}"
    onpointermove={point}
    onpointerdown={point}
>
    <Scale {axis} from={programme.from} left={LEFT} {edge} />
    <div class="row">
        <h2>Programme</h2>
        <div class="band">
            {#each shown as version (version.number)}
                <Link
                    href="/patients/{patientId}/versions/{version.number}{query}"
                    class="version-box"
                    data-version={version.number}
                    aria-label="Version {version.number}: {version.summary}"
                >
                    <svg width={version.end - version.x - 2} height="30" class="block" aria-hidden="true">
                        <rect
                            x="0.5"
                            y="0.5"
                            width={Math.max(1, version.end - version.x - 3)}
                            height="27"
                            fill="var(--card)"
                            stroke="var(--ink)"
                        />
                        <svg width={Math.max(1, version.end - version.x - 6)}
                            ><text x="8" y="19" font-size="13.5" fill="var(--ink)"
                                ><tspan font-weight="700">{version.number}</tspan> {version.summary}</text
                            ></svg
                        >
                    </svg>
                </Link>
            {/each}
        </div>
    </div>
    {#if programme.sessions.length > 0}
        <div class="row">
            <h2>Sessions</h2>
            <Points
                points={programme.sessions.map((session) => ({
                    day: session.day,
                    text: `${session.number}${session.signed ? '' : ', open'}`,
                    mark: 'session' as const,
                }))}
                {axis}
                left={LEFT}
                width={WIDTH}
            />
        </div>
    {/if}
    {#each programme.exercises as exercise, index (index)}
        <div class="row">
            <h2>
                {exercise.name}<span
                    >{exercise.uses !== null
                        ? exercise.agreed !== null
                            ? `ticked ${plural(exercise.uses, 'time', 'times')}, ${exercise.agreed} a day agreed`
                            : `as needed, ${plural(exercise.uses, 'time', 'times')}`
                        : exercise.adherence.share === null
                          ? 'nothing due yet'
                          : `${percent(exercise.adherence.share)} practised`}</span
                >
            </h2>
            {#if programme.by_week}<WeekBars {exercise} {axis} left={LEFT} width={WIDTH} />
            {:else}
                {@const days = exercise.days.map((each) => strokesOf(each.strokes)[0] ?? [])}
                <div class="tallies" role="img" aria-label="{exercise.name}: {tallyInWords(days)}">
                    <div aria-hidden="true">
                        <Tally {days} dayWidth={axis.dayWidth} stroke={Math.min(5, axis.dayWidth / 5)} height={17} />
                    </div>
                </div>
            {/if}
        </div>
    {/each}
    {#if programme.felt.length > 0}
        <div class="row">
            <h2>Followed<span>0–100 %, measured</span></h2>
            <Felt felt={programme.felt} {axis} left={LEFT} width={WIDTH} />
        </div>
    {/if}
    {#if programme.diary.length > 0}
        <div class="row">
            <h2>Diary<span>0–10</span></h2>
            <DiaryLines {programme} {axis} left={LEFT} width={WIDTH} />
        </div>
    {/if}
    {#if programme.ratings.length > 0}
        <div class="row">
            <h2 class="first-letter:uppercase">
                {programme.symptom}<span>before <b class="ring"></b> after <b class="dot"></b></span>
            </h2>
            <BeforeAfter {programme} {axis} left={LEFT} width={WIDTH} />
        </div>
    {/if}
    {#each programme.questionnaires as form (form.name)}
        <div class="row">
            <h2>{form.name}<span>{short(form.least)}–{short(form.most)}</span></h2>
            <Points
                points={form.points.map((each) => ({
                    day: each.day,
                    text: `${short(each.value, 1)} ${each.band}${earlier(each)}`,
                    mark: 'value' as const,
                }))}
                {axis}
                left={LEFT}
                width={WIDTH}
            />
        </div>
    {/each}
    {#each programme.measures
        .filter((measure) => measure.points.length > 1 || measure.goal !== null)
        .slice(0, MOST_MEASURES) as measure (measure.name)}
        <div class="row">
            <h2>
                {measure.name}<span class="inline!">, {measure.unit}</span>{#if measure.goal}<span
                        >goal: {measure.goal}</span
                    >{/if}
            </h2>
            <Points
                points={measure.points.map((each) => ({
                    day: each.day,
                    text: `${short(each.value, 1)}${earlier(each)}`,
                    mark: 'value' as const,
                }))}
                {axis}
                left={LEFT}
                width={WIDTH}
            />
        </div>
    {/each}
    <svg class="marks" width={edge} height="100%" aria-hidden="true">
        {#each shown.slice(1) as version (version.number)}<line
                x1={version.x}
                x2={version.x}
                y1="34"
                y2="100%"
                stroke="var(--ink)"
                stroke-dasharray="1.5 4"
            />{/each}
        <line x1={today} x2={today} y1="20" y2="100%" stroke="var(--clay)" />
        {#if reading !== null}<line
                x1={axis.x(day) + (axis.dayWidth * (programme.by_week ? 7 : 1)) / 2}
                x2={axis.x(day) + (axis.dayWidth * (programme.by_week ? 7 : 1)) / 2}
                y1="20"
                y2="100%"
                stroke="var(--reed)"
            />{/if}
    </svg>
</div>
<div
    class="reader"
    role="slider"
    tabindex="0"
    aria-label="Read out a {programme.by_week ? 'week' : 'day'}"
    aria-valuemin={0}
    aria-valuemax={all.length - 1}
    aria-valuenow={at}
    aria-valuetext="{named}: {words}"
    onkeydown={key}
>
    <strong>{named}</strong>
    {#if lines.length === 0}<span class="text-muted">nothing noted</span>{/if}
    {#each lines as line, index (index)}<span><span class="text-muted">{line.what}</span> {line.value}</span>{/each}
</div>

<style>
    .course-axis {
        position: relative;
        isolation: isolate;
        overflow-x: auto;
    }
    .row {
        display: grid;
        grid-template-columns: 150px 1056px;
        align-items: center;
        padding: 0.25rem 0;
    }
    .row h2 {
        position: sticky;
        left: 0;
        z-index: 1;
        background: var(--paper);
        align-self: stretch;
        align-content: center;
        /* What stands at the scales is beside it. */
        width: 124px;
        font-family: var(--sans);
        font-size: 0.925rem;
        font-weight: 700;
    }
    .row h2 span {
        display: block;
        font-weight: 400;
        font-size: 0.8125rem;
        color: var(--muted);
    }
    .band {
        display: flex;
    }
    .ring,
    .dot {
        display: inline-block;
        width: 0.5rem;
        height: 0.5rem;
        border-radius: 50%;
        border: 1px solid var(--ink);
    }
    .dot {
        background: var(--heather);
        border-color: var(--heather);
    }
    /* Under the values, that stand on it. */
    .marks {
        position: absolute;
        z-index: -1;
        inset: 0 auto auto 0;
        height: 100%;
        pointer-events: none;
    }
    .reader {
        display: flex;
        flex-wrap: wrap;
        gap: 0.1rem 1.1rem;
        padding: 0.3rem 0.5rem 0.3rem 150px;
        min-height: 2rem;
        font-size: 0.875rem;
    }
    .reader:focus-visible {
        outline: 3px solid var(--reed);
        outline-offset: -2px;
    }
    @media print {
        .course-axis {
            zoom: 0.8;
            overflow: visible;
        }
        .reader {
            display: none;
        }
    }
</style>
