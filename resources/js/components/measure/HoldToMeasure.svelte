<script lang="ts">
    import { short } from '../../shared/format';

    let { label, onmeasured }: { label: string; onmeasured: (seconds: number) => void } = $props();

    let begun = $state<number | null>(null);

    function start(): void {
        begun ??= performance.now();
    }

    function end(): void {
        if (begun === null) return;
        const seconds = (performance.now() - begun) / 1000;
        begun = null;
        if (seconds >= 0.5) onmeasured(Number(short(seconds, 1)));
    }

    function key(event: KeyboardEvent, isDown: boolean): void {
        if (event.key !== ' ') return;
        event.preventDefault();
        if (isDown) {
            if (!event.repeat) start();
        } else end();
    }
</script>

<button
    type="button"
    class="hold"
    aria-label="Press and hold: {label}"
    onkeydown={(event) => key(event, true)}
    onkeyup={(event) => key(event, false)}
    onblur={() => {
        begun = null;
    }}
    onpointerdown={(event) => {
        if (event.currentTarget instanceof HTMLElement) event.currentTarget.setPointerCapture(event.pointerId);
        start();
    }}
    onpointerup={end}
    onpointercancel={() => {
        begun = null;
    }}>{begun === null ? 'press and hold' : 'let go at the first urge'}</button
>

<style>
    .hold {
        border: 1px solid var(--ink);
        background: var(--card);
        padding: 0.2rem 0.8rem;
        min-width: 11rem;
        border-radius: 2px;
        touch-action: none;
        user-select: none;
        cursor: pointer;
    }
</style>
