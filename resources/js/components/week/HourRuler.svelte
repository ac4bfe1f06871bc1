<script lang="ts">
    import { along, type Ruler } from '../../lib/week';

    /** The hours of all days. */
    let { ruler }: { ruler: Ruler } = $props();

    const quarters = $derived(
        Array.from({ length: (ruler.to - ruler.from) / 15 + 1 }, (_, at) => ruler.from + at * 15),
    );
</script>

<div class="ruler" aria-hidden="true">
    <div class="scale">
        {#each quarters as minute (minute)}<span
                class="tick"
                class:hour={minute % 60 === 0}
                style:left="{along(ruler, minute)}%"
                >{#if minute % 60 === 0 && minute < ruler.to}<span class="figure">{minute / 60}</span>{/if}</span
            >{/each}
    </div>
</div>

<style>
    .ruler {
        padding-left: 9rem;
        position: sticky;
        top: 0;
        z-index: 3;
        background: var(--paper);
    }
    .scale {
        position: relative;
        height: 2rem;
        border-bottom: 1px solid var(--ink);
    }
    .tick {
        position: absolute;
        bottom: 0;
        height: 5px;
        border-left: 1px solid var(--ink);
    }
    .tick.hour {
        height: 10px;
    }
    .figure {
        position: absolute;
        bottom: 8px;
        left: 4px;
        font-size: 0.8125rem;
        color: var(--muted);
        font-variant-numeric: tabular-nums;
    }
    @media (max-width: 767px) {
        .ruler {
            display: none;
        }
    }
</style>
