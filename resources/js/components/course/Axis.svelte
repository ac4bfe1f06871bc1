<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { dayAxis, plusDays } from '../../lib/axis';
    import { dayMonth, percent } from '../../lib/format';
    import { tallyInWords } from '../../lib/tally';
    import Tally from '../Tally.svelte';
    import type { CourseProgramme } from '../../types/course';

    let { programme, patientId }: { programme: CourseProgramme; patientId: string } = $props();

    const LEFT = 150;
    const WIDTH = 1056;
    const RATINGS = 96;
    const axis = $derived(dayAxis(programme.from, programme.to, LEFT, WIDTH));
    const weeks = $derived(Array.from({ length: Math.ceil(axis.days / 7) }, (_, week) => ({ number: week + 1, x: LEFT + week * 7 * axis.dayWidth, date: plusDays(programme.from, week * 7) })));
    const edge = LEFT + WIDTH;
    const shown = $derived(programme.versions
        .map((version) => ({
            ...version,
            x: Math.max(axis.x(version.from), LEFT),
            end: version.to === null ? edge : Math.min(axis.x(version.to) + axis.dayWidth, edge),
        }))
        .filter((version) => version.end > version.x && version.x < edge));
    const today = $derived(axis.x(programme.today) + axis.dayWidth);
    const ratings = $derived.by(() => {
        const perDay: Record<string, number> = {};
        return programme.ratings.map((rating) => {
            const nth = (perDay[rating.day] = (perDay[rating.day] ?? 0) + 1);
            return { ...rating, x: axis.x(rating.day) + Math.min(axis.dayWidth * 0.92, nth * Math.min(6, axis.dayWidth / 4)) };
        });
    });
    const y = (value: number): number => RATINGS - 8 - (value / 10) * (RATINGS - 16);
</script>

<div class="course-axis" role="group" aria-label="Course from {dayMonth(programme.from)} to {dayMonth(programme.today)}">
    <svg width={edge} height="30" aria-hidden="true">
        {#each weeks as week (week.number)}<text x={week.x + 4} y="13" font-size="13" fill="#596159">week {week.number} · {dayMonth(week.date)}</text>{/each}
        <path d="M{LEFT} 20H{edge}" stroke="#24302f" />
        {#each Array.from({ length: axis.days + 1 }).keys() as day (day)}<path d="M{LEFT + day * axis.dayWidth} 20v{day % 7 === 0 ? 9 : 4}" stroke="#24302f" />{/each}
    </svg>
    <div class="row">
        <h2>Programme</h2>
        <div class="band">
            {#each shown as version (version.number)}
                <Link href="/patients/{patientId}/versions/{version.number}" class="version-box" data-version={version.number} aria-label="Version {version.number}: {version.summary}">
                    <svg width={version.end - version.x - 2} height="30" class="block" aria-hidden="true">
                        <rect x="0.5" y="0.5" width={version.end - version.x - 3} height="27" fill="#fffdf8" stroke="#24302f" />
                        <svg width={version.end - version.x - 6}><text x="8" y="19" font-size="13.5" fill="#24302f"><tspan font-weight="700">{version.number}</tspan>  {version.summary}</text></svg>
                    </svg>
                </Link>
            {/each}
        </div>
    </div>
    {#each programme.exercises as exercise, index (index)}
        <div class="row">
            <h2>{exercise.name}<span>{exercise.adherence.share === null ? 'nothing due yet' : `${percent(exercise.adherence.share)} practised`}</span></h2>
            <div class="tallies" role="img" aria-label="{exercise.name}: {tallyInWords(exercise.days.map((day) => day.strokes))}">
                <div aria-hidden="true"><Tally days={exercise.days.map((day) => day.strokes)} dayWidth={axis.dayWidth} stroke={Math.min(5, axis.dayWidth / 5)} height={17} /></div>
            </div>
        </div>
    {/each}
    <div class="row">
        <h2>{programme.symptom}<span>before <b class="ring"></b> after <b class="dot"></b></span></h2>
        <svg class="overflow-visible" width={WIDTH} height={RATINGS} viewBox="{LEFT} 0 {WIDTH} {RATINGS}" role="img" aria-label="{programme.symptom}, 0 to 10, before and after {ratings.length} practices. The practices are listed below.">
            {#each [0, 5, 10] as level (level)}
                <path d="M{LEFT} {y(level)}H{edge}" stroke="#d9cfba" /><text x={LEFT - 6} y={y(level) + 4} font-size="11" text-anchor="end" fill="#596159">{level}</text>
            {/each}
            {#each ratings as rating, index (index)}
                {#if rating.before !== null && rating.after !== null}<path d="M{rating.x} {y(rating.before)}V{y(rating.after)}" stroke="#24302f" stroke-width="1.1" />{/if}
                {#if rating.before !== null}<circle cx={rating.x} cy={y(rating.before)} r="2.3" fill="#faf6ec" stroke="#24302f" />{/if}
                {#if rating.after !== null}<circle cx={rating.x} cy={y(rating.after)} r="2.3" fill="#5d4f7a" />{/if}
            {/each}
            {#if programme.versions.length > 1}
                {#each shown.slice(1) as version (version.number)}<path d="M{version.x} 0V{RATINGS}" stroke="#24302f" stroke-dasharray="1.5 4" />{/each}
            {/if}
            <path d="M{Math.min(today, edge - 1)} 0V{RATINGS}" stroke="#a63f28" />
        </svg>
    </div>
</div>

<style>
    .course-axis { overflow-x: auto; }
    .row { display: grid; grid-template-columns: 150px 1056px; align-items: center; padding: 0.3rem 0; }
    .row h2 { font-family: var(--sans); font-size: 0.925rem; font-weight: 700; padding-right: 0.5rem; }
    .row h2 span { display: block; font-weight: 400; font-size: 0.8125rem; color: var(--muted); }
    .band { display: flex; }
    .ring, .dot { display: inline-block; width: 0.5rem; height: 0.5rem; border-radius: 50%; border: 1px solid var(--ink); }
    .dot { background: var(--heather); border-color: var(--heather); }
</style>
