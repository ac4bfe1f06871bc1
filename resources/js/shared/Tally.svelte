<script lang="ts">
    import { stripMarks, tallyInWords, type TallyWords } from './tally';
    import type { Stroke } from './timeline';

    interface Props {
        days: Stroke[][];
        height?: number;
        stroke?: number;
        gap?: number;
        dayWidth?: number | null;
        label?: string;
        /** In which it is told to those who do not see it; the practitioner's where none are given. */
        words?: TallyWords;
    }

    let { days, height = 15, stroke = 4.2, gap = 6, dayWidth = null, label = '', words }: Props = $props();

    const strip = $derived(stripMarks(days, stroke, gap, dayWidth));
</script>

<svg
    class="tally"
    width={strip.width}
    height={height + 4}
    viewBox="0 -3 {strip.width} {height + 4}"
    role="img"
    aria-label={label === '' ? tallyInWords(days, words) : `${label}: ${tallyInWords(days, words)}`}
>
    {#each strip.marks as mark, index (index)}
        {#if mark.kind === 'done'}
            <line x1={mark.x + 0.6} y1="1" x2={mark.x - 0.4} y2={height - 1} />
        {:else if mark.kind === 'partial'}
            <line x1={mark.x} y1={height * 0.55} x2={mark.x} y2={height - 1} />
        {:else if mark.kind === 'missed'}
            <circle class="missed" cx={mark.x} cy={height - 2} r="1.1" />
        {:else if mark.kind === 'put-off'}
            <line class="put-off" x1={mark.x - 1.6} y1={height * 0.6} x2={mark.x + 1.6} y2={height * 0.6} />
        {:else if mark.kind === 'stopped'}
            <path class="stopped" d="M{mark.x - 2.6} 0h5.2l-2.6 {height - 1}z" />
        {:else if mark.kind === 'extra'}
            <line class="extra" x1={mark.x + 1} y1="-3" x2={mark.x + 1} y2={height * 0.62} />
        {/if}
    {/each}
</svg>
