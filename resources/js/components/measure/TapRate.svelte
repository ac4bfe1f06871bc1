<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { onMount } from 'svelte';
    import { sendSignedIn } from '../../lib/send';
    import { inWords } from '../../shared/http';
    import { percent, short } from '../../shared/format';

    interface Rate {
        rate: number;
        median_s: number;
        variation: number;
        cross_check: number | null;
        doubtful: { interval: number; kind: 'missed' | 'double' }[];
    }
    interface Props {
        patientId: string;
        onkeep: (taps: number[]) => void;
    }

    let { patientId, onkeep }: Props = $props();

    const KINDS = { missed: 'a tap may be missing', double: 'perhaps tapped twice' } as const;
    let taps = $state.raw<number[]>([]);
    let isRunning = $state(false);
    let seconds = $state(60);
    let left = $state(0);
    let isQuiet = $state(true);
    let rate = $state.raw<Rate | null>(null);
    let trouble = $state('');
    let end = 0;

    onMount(() => {
        const timer = setInterval(() => {
            if (!isRunning) return;
            left = Math.max(0, Math.ceil((end - performance.now()) / 1000));
            if (left === 0) {
                isRunning = false;
                void ask();
            }
        }, 200);
        return () => clearInterval(timer);
    });

    /** The first tap starts the clock. */
    function tap(): void {
        const now = performance.now();
        if (!isRunning) {
            taps = [];
            rate = null;
            without = null;
            end = now + seconds * 1000;
            left = seconds;
            isRunning = true;
        }
        taps = [...taps, Math.round(now)];
    }

    function key(event: KeyboardEvent): void {
        if (event.key !== ' ') return;
        event.preventDefault();
        if (!event.repeat) tap();
    }

    async function ask(): Promise<void> {
        trouble = '';
        try {
            rate = await sendSignedIn<Rate>(`/patients/${patientId}/measure/rate`, 'POST', { taps });
        } catch (problem) {
            rate = null;
            trouble = inWords(problem, 'The taps are still here; try again.');
        }
    }

    /** The rate before anything was left out or put in, so that the change is seen. */
    let without = $state<number | null>(null);

    const at = (index: number): number => 4 + (((taps[index] ?? 0) - (taps[0] ?? 0)) / (seconds * 1000)) * 472;

    function change(next: number[]): void {
        without ??= rate?.rate ?? null;
        taps = next;
        void ask();
    }

    function leaveOut(index: number): void {
        change(taps.filter((_, other) => other !== index));
    }

    /** A tap half-way, where one was missed. */
    function putIn(index: number): void {
        const middle = Math.round(((taps[index - 1] ?? 0) + (taps[index] ?? 0)) / 2);
        change([...taps.slice(0, index), middle, ...taps.slice(index)]);
    }
</script>

<div class="text-[0.95rem]">
    <p class="flex flex-wrap items-center gap-x-5 gap-y-1">
        <label
            ><input
                type="radio"
                name="seconds"
                class="mr-1 border-gray-300 text-primary-700 focus:ring-primary-500"
                value={60}
                bind:group={seconds}
                disabled={isRunning}
            />60 s</label
        >
        <label
            ><input
                type="radio"
                name="seconds"
                class="mr-1 border-gray-300 text-primary-700 focus:ring-primary-500"
                value={30}
                bind:group={seconds}
                disabled={isRunning}
            />30 s</label
        >
        <label
            ><input
                type="checkbox"
                class="mr-1 size-4 rounded-sm border-gray-300 text-primary-700"
                bind:checked={isQuiet}
            />quiet: the screen gives nothing away</label
        >
    </p>
    <button
        type="button"
        class="pad"
        onkeydown={key}
        onpointerdown={(event) => {
            event.preventDefault();
            tap();
        }}
    >
        {isRunning
            ? isQuiet
                ? 'going on'
                : `${taps.length} inhales, ${left} s left`
            : 'Tap at the start of each inhale'}
    </button>
    {#if isRunning}<button
            type="button"
            class="linklike"
            onclick={() => {
                isRunning = false;
                void ask();
            }}>end now</button
        >{/if}
    {#if trouble}<p role="alert" class="font-semibold text-clay">
            {trouble}
            {#if taps.length > 0}<button type="button" class="linklike" onclick={ask}>Try again</button>{/if}
        </p>{/if}
    {#if rate && !isRunning}
        <p role="status">
            <strong class="font-serif text-[1.4rem]">{short(rate.rate, 1)}</strong>
            breaths a minute from {taps.length} taps; median {short(rate.median_s, 1)} s, variation {percent(
                rate.variation,
            )}{rate.cross_check === null ? '' : `; the last 30 s doubled: ${rate.cross_check}`}.
        </p>
        <svg
            class="mt-2 block w-full"
            viewBox="0 0 480 52"
            role="img"
            aria-label="{taps.length} taps over {short(((taps[taps.length - 1] ?? 0) - (taps[0] ?? 0)) / 1000, 0)} s"
        >
            {#each rate.doubtful as doubt (doubt.interval)}<rect
                    x={at(doubt.interval - 1) + 3}
                    y="6"
                    width={Math.max(2, at(doubt.interval) - at(doubt.interval - 1) - 6)}
                    height="26"
                    fill="none"
                    stroke="var(--clay)"
                    stroke-dasharray="3 3"
                />{/each}
            {#each taps as tap, index (tap)}<line
                    x1={at(index)}
                    x2={at(index)}
                    y1="8"
                    y2="34"
                    stroke="var(--ink)"
                    stroke-width="2.5"
                />{/each}
            <path d="M4 38H476" stroke="var(--ink)" />
            {#each [0, 15, 30, 45, 60].filter((second) => second <= seconds) as second (second)}<path
                    d="M{4 + (second / seconds) * 472} 38v5"
                    stroke="var(--ink)"
                /><text
                    x={4 + (second / seconds) * 472}
                    y="51"
                    font-size="10"
                    text-anchor={second === 0 ? 'start' : second === seconds ? 'end' : 'middle'}
                    fill="var(--muted)">{second}</text
                >{/each}
        </svg>
        {#if without !== null}<p>With the doubtful ones: {short(without, 1)} a minute.</p>{/if}
        {#each rate.doubtful as doubt (doubt.interval)}
            <p>
                Between tap {doubt.interval} and {doubt.interval + 1}: {KINDS[doubt.kind]}.
                {#if doubt.kind === 'double'}<button
                        type="button"
                        class="linklike"
                        onclick={() => leaveOut(doubt.interval)}>Leave tap {doubt.interval + 1} out</button
                    >{:else}<button type="button" class="linklike" onclick={() => putIn(doubt.interval)}
                        >Put one in between</button
                    >{/if}
            </p>
        {/each}
        <Button size="sm" class="mt-1" onclick={() => onkeep(taps)}>Keep {short(rate.rate, 1)} a minute</Button>
    {/if}
</div>

<style>
    .pad {
        display: block;
        width: 100%;
        max-width: 26rem;
        margin: 0.5rem 0;
        padding: 1.6rem 1rem;
        border: 1px solid var(--ink);
        background: var(--card);
        font-family: var(--serif);
        font-size: 1.15rem;
        touch-action: manipulation;
        cursor: pointer;
    }
</style>
