<script lang="ts">
    import { line, type Point } from '../shared/diaryLine';
    import { t } from './words';

    interface Props {
        name: string;
        from: string;
        today: string;
        points: Point[];
        changes: { date: string; number: number }[];
    }

    let { name, from, today, points, changes }: Props = $props();

    const WIDTH = 340;
    const HEIGHT = 96;
    const drawn = $derived(line(points, from, today, WIDTH, HEIGHT));
</script>

<figure>
    <figcaption class="row">
        <span>{name}</span><span class="muted small">{points.length > 0 ? points[points.length - 1]?.value : ''}</span>
    </figcaption>
    <svg viewBox="-16 -6 {WIDTH + 24} {HEIGHT + 22}" role="img" aria-label={t('patient.diary.chart-of', { name })}>
        {#each [0, 5, 10] as value (value)}<path class="grid" d="M0 {HEIGHT - (value / 10) * HEIGHT}H{WIDTH}" /><text
                x="-5"
                y={HEIGHT - (value / 10) * HEIGHT + 4}
                text-anchor="end">{value}</text
            >{/each}
        {#each changes as change (change.number)}<path class="change" d="M{drawn.x(change.date)} -4V{HEIGHT}" /><text
                x={drawn.x(change.date) + 3}
                y={HEIGHT + 13}>{change.number}</text
            >{/each}
        <path class="line" d={drawn.path} />
        {#each drawn.dots as dot (dot.date)}<circle class:late={dot.late} cx={dot.x} cy={dot.y} r="3" />{/each}
    </svg>
    <table class="visually-hidden">
        <caption>{name}</caption><tbody
            >{#each points as point (point.date)}<tr><th scope="row">{point.date}</th><td>{point.value}</td></tr
                >{/each}</tbody
        >
    </table>
</figure>

<style>
    figure {
        margin: 0;
    }
    svg {
        display: block;
        width: 100%;
        height: auto;
    }
    text {
        font-size: 11px;
        fill: var(--muted);
    }
    .grid {
        stroke: var(--rule);
    }
    .change {
        stroke: var(--ochre);
        stroke-dasharray: 3 3;
    }
    .line {
        fill: none;
        stroke: var(--ink);
        stroke-width: 1.8;
        stroke-linejoin: round;
    }
    circle {
        fill: var(--ink);
    }
    circle.late {
        fill: var(--paper);
        stroke: var(--ink);
        stroke-width: 1.5;
    }
</style>
