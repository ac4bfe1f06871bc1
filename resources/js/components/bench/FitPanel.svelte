<script lang="ts">
    import { untrack } from 'svelte';
    import { intoView } from '../../lib/intoView';
    import { inWords } from '../../shared/http';
    import { percent, short } from '../../shared/format';
    import type { DraftFields } from '../../types/pages';
    import type { BestPace } from '../../types/props';
    import type { Bench } from './bench.svelte';

    let { bench, measured, bestPace }: { bench: Bench; measured: Record<string, number>; bestPace: BestPace | null } =
        $props();

    interface Fit {
        text: string;
        changes: { label: string; set: Partial<DraftFields> }[];
    }

    const LIMITS = [
        ['inhale', 'inhale'],
        ['hold', 'hold'],
        ['exhale', 'exhale'],
    ] as const;
    /** What was measured stands in the fields already. */
    const known = (name: string): string => (measured[name] === undefined ? '' : String(measured[name]));
    let to = $state<Record<string, string>>(
        untrack(() => ({
            inhale: known('inhale'),
            hold: known('hold'),
            exhale: known('exhale'),
            rate: known('resting-rate'),
            minutes: '',
            from: known('resting-rate'),
            goal: '6',
            weeks: '',
        })),
    );
    let fit = $state.raw<Fit | null>(null);
    let tapped = $state.raw<{ count_s: number; spread: number; taps: number } | null>(null);
    let trouble = $state('');
    let answer = $state<HTMLElement>();
    let taps = $state.raw<number[]>([]);

    /** A pause this long begins the tapping anew. */
    const ANEW_MS = 4000;

    async function ask<T>(path: string, more: Record<string, unknown>): Promise<T | null> {
        trouble = '';
        try {
            return await bench.post<T>(path, { at: bench.active, ...more });
        } catch (problem) {
            trouble = inWords(problem);
            return null;
        }
    }

    async function find(which: 'limits' | 'rate' | 'weeks' | 'minutes'): Promise<void> {
        const typed = $state.snapshot(to);
        const wanted = {
            limits: { inhale: typed.inhale, hold: typed.hold, exhale: typed.exhale },
            rate: { rate: typed.rate },
            weeks: { from: typed.from, rate: typed.goal, weeks: typed.weeks },
            minutes: { minutes: typed.minutes },
        };
        fit = await ask<Fit>('fit', { to: wanted[which] });
        await intoView(() => answer);
    }

    async function tap(): Promise<void> {
        const now = performance.now();
        taps = taps.length > 0 && now - (taps[taps.length - 1] ?? 0) > ANEW_MS ? [now] : [...taps, now];
        tapped = null;
        if (taps.length >= 4) tapped = await ask('taps', { taps: taps.map((each) => Math.round(each)) });
    }

    function keydown(event: KeyboardEvent): void {
        if (event.key !== ' ') return;
        event.preventDefault(); // the button would tap again when the bar is let go
        if (!event.repeat) void tap();
    }
</script>

<div class="grid gap-1 text-[0.925rem] leading-8">
    <p>
        Comfortable at most {#each LIMITS as [name, label] (name)}<input
                class="slot small"
                aria-label="Comfortable {label}, seconds"
                inputmode="decimal"
                bind:value={to[name]}
            />
            s {label}{name === 'exhale' ? '' : ', '}{/each}
        <button type="button" class="linklike" onclick={() => find('limits')}>fit to this patient</button>
    </p>
    <p>
        To <input class="slot small" aria-label="Breaths a minute to fit to" inputmode="decimal" bind:value={to.rate} />
        breaths a minute <button type="button" class="linklike" onclick={() => find('rate')}>fit to the rate</button>,
        or to <input class="slot small" aria-label="Minutes to fit to" inputmode="decimal" bind:value={to.minutes} />
        min <button type="button" class="linklike" onclick={() => find('minutes')}>fit to the time</button>
    </p>
    {#if bestPace}{@const best = bestPace}
        <p>
            Measured on {best.on}: the heart swings most at {short(best.pace, 1)} a minute{best.as_good.length > 0
                ? `, ${best.as_good.map((each) => short(each, 1)).join(' and ')} not clearly different`
                : ''}
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    to.rate = String(best.pace);
                    void find('rate');
                }}>fit to this pace</button
            >
        </p>{/if}
    <p>
        From
        <input class="slot small" aria-label="Breaths a minute now" inputmode="decimal" bind:value={to.from} />
        to
        <input class="slot small" aria-label="Breaths a minute in the end" inputmode="decimal" bind:value={to.goal} />
        breaths a minute in
        <input class="slot small" aria-label="Weeks to get there" inputmode="numeric" bind:value={to.weeks} /> weeks
        <button type="button" class="linklike" onclick={() => find('weeks')}>step by step</button>
    </p>
    <p>
        <button
            type="button"
            class="tap"
            onkeydown={keydown}
            onpointerdown={(event) => {
                event.preventDefault();
                void tap();
            }}>Tap the counts</button
        >
        <span class="text-muted" role="status"
            >{#if tapped}{short(tapped.count_s)} s a count from {tapped.taps} taps, spread {percent(
                    tapped.spread,
                )}{:else if taps.length > 0}{taps.length} of at least 4 taps{:else}by pointer or space bar, along with
                the breath or your voice{/if}</span
        >
        {#if tapped}<button
                type="button"
                class="linklike"
                onclick={() => {
                    if (tapped) bench.set({ count_length: tapped.count_s });
                }}>take {short(tapped.count_s)} s</button
            >{/if}
    </p>
    <div bind:this={answer}>
        {#if trouble}<p class="font-semibold text-clay" role="alert">{trouble}</p>{/if}
        <div role="status">
            {#if fit}<p>
                    {fit.text}
                    {#each fit.changes as change (change.label)}<button
                            type="button"
                            class="linklike"
                            onclick={() => bench.set(change.set)}>{change.label}</button
                        >
                    {/each}
                </p>{/if}
        </div>
    </div>
</div>

<style>
    .tap {
        border: 1px solid var(--ink);
        background: var(--card);
        padding: 0.1rem 0.9rem;
        border-radius: 2px;
        font-weight: 600;
        touch-action: manipulation;
        cursor: pointer;
    }
</style>
