<script lang="ts">
    import { short } from '../../shared/format';
    import { breathGeometry } from '../../shared/ridge';
    import type { RidgeShape } from '../../shared/timeline';
    import type { Bench } from './bench.svelte';

    let { bench, shape, width, height }: { bench: Bench; shape: RidgeShape; width: number; height: number } = $props();

    const STEP = 0.5;
    const BETWEEN_MS = 250;
    let asked = 0;
    const MOST = 60;
    const NAMES: Record<string, string> = {
        inhale: 'Inhale',
        'top-up': 'Top-up',
        hold: 'Hold',
        exhale: 'Exhale',
        rest: 'Rest',
    };

    let box: HTMLDivElement | undefined = $state();
    /** While dragging: the phase, its counts when it began, and where the pointer is, in the drawing's units. */
    let drag = $state.raw<{ phase: string; counts: number; from: number; perCount: number; x: number } | null>(null);

    const counts = $derived(bench.mine.figures?.counts ?? null);
    const geometry = $derived(breathGeometry(shape, width, height));
    const kinds = $derived(shape.cues.map((cue) => cue.kind as string));
    /** A handle at the end of each phase that has counts. */
    const handles = $derived(
        counts === null
            ? []
            : geometry.phases
                  .map((phase, at) => ({ phase: kinds[at] ?? '', from: phase.from, to: phase.to }))
                  .filter(
                      (each, at, all) =>
                          (counts[each.phase] ?? 0) > 0 && all.findIndex((other) => other.phase === each.phase) === at,
                  ),
    );
    const wanted = $derived(drag === null ? 0 : clamp(drag.phase, drag.counts + (drag.x - drag.from) / drag.perCount));

    function clamp(phase: string, value: number): number {
        const least = phase === 'inhale' || phase === 'exhale' ? STEP : 0;
        return Math.min(MOST, Math.max(least, Math.round(value / STEP) * STEP));
    }

    function unit(event: PointerEvent): number {
        const bounds = box?.getBoundingClientRect();
        return bounds ? ((event.clientX - bounds.left) / bounds.width) * width : 0;
    }

    function start(event: PointerEvent, handle: { phase: string; from: number; to: number }): void {
        const now = counts?.[handle.phase] ?? 0;
        if (now <= 0 || !(event.currentTarget instanceof HTMLElement)) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        bench.frozen = shape;
        drag = {
            phase: handle.phase,
            counts: now,
            from: handle.to,
            perCount: (handle.to - handle.from) / now,
            x: handle.to,
        };
    }

    function move(event: PointerEvent): void {
        if (!drag) return;
        drag = { ...drag, x: unit(event) };
        // PHP answers now and then while dragging; the drawing stands still until the pointer is let go.
        if (wanted !== counts?.[drag.phase] && event.timeStamp - asked > BETWEEN_MS) {
            asked = event.timeStamp;
            ask(drag.phase, wanted);
        }
    }

    function end(): void {
        if (drag && counts && wanted !== counts[drag.phase]) ask(drag.phase, wanted);
        drag = null;
        bench.frozen = null;
    }

    /** PHP makes the ratio of the counts. */
    function ask(phase: string, value: number): void {
        bench.setCounts({ ...counts, [phase]: value });
    }

    function key(event: KeyboardEvent, phase: string): void {
        const by = { ArrowRight: STEP, ArrowUp: STEP, ArrowLeft: -STEP, ArrowDown: -STEP }[event.key];
        if (by === undefined || !counts) return;
        event.preventDefault();
        const next = clamp(phase, (counts[phase] ?? 0) + by);
        if (next !== counts[phase]) ask(phase, next);
    }
</script>

<div class="handles" bind:this={box}>
    {#each handles as handle (handle.phase)}
        <div
            class="handle"
            role="slider"
            tabindex="0"
            aria-label="{NAMES[handle.phase] ?? handle.phase}, counts"
            aria-valuemin="0"
            aria-valuemax={MOST}
            aria-valuenow={counts?.[handle.phase] ?? 0}
            style:left="{(handle.to / width) * 100}%"
            onpointerdown={(event) => start(event, handle)}
            onpointermove={move}
            onpointerup={end}
            onpointercancel={() => {
                drag = null;
                bench.frozen = null;
            }}
            onkeydown={(event) => key(event, handle.phase)}
        ></div>
    {/each}
    {#if drag}
        <div
            class="ghost"
            style:left="{Math.max(
                0,
                Math.min(100, ((drag.from + (wanted - drag.counts) * drag.perCount) / width) * 100),
            )}%"
        >
            <span>{short(wanted)}</span>
        </div>
    {/if}
</div>

<style>
    .handles {
        position: absolute;
        inset: 0 0 2.2rem 0;
        pointer-events: none;
    }
    .handle {
        position: absolute;
        top: 0;
        bottom: 0;
        width: 1.5rem;
        margin-left: -0.75rem;
        cursor: ew-resize;
        pointer-events: auto;
        touch-action: none;
    }
    .handle::after {
        content: '';
        position: absolute;
        left: 0.65rem;
        bottom: 0;
        width: 0.2rem;
        height: 1rem;
        background: var(--ink);
        border-radius: 1px;
    }
    .handle:hover::after {
        background: var(--reed);
        height: 100%;
    }
    .ghost {
        position: absolute;
        top: 0;
        bottom: 0;
        border-left: 2px dashed var(--clay);
    }
    .ghost span {
        position: absolute;
        top: -0.2rem;
        left: 0.3rem;
        background: var(--card);
        color: var(--clay);
        font-weight: 700;
        padding: 0 0.3rem;
    }
</style>
