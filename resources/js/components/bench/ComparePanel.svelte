<script lang="ts">
    import { intoView } from '../../lib/intoView';
    import { inWords } from '../../shared/http';
    import { short } from '../../shared/format';
    import type { RidgeShape } from '../../shared/timeline';
    import Ridge from '../../shared/Ridge.svelte';
    import type { Bench } from './bench.svelte';

    let { bench, before }: { bench: Bench; before: { ratio: string; count_length: number } | null } = $props();

    interface Side {
        notation: string;
        seconds: number;
        ridge: RidgeShape;
    }
    interface Answer {
        a: Side;
        b: Side;
        lines: { what: string; unit: string; a: number; b: number; difference: number }[];
    }

    const WIDTH = 620;
    let other = $state({ ratio: '', count_length: '1' });
    let answer = $state.raw<Answer | null>(null);
    let trouble = $state('');
    let sides = $state<HTMLElement>();

    const longest = $derived(answer ? Math.max(answer.a.seconds, answer.b.seconds) : 1);

    async function compare(with_: { ratio: string; count_length: string | number }): Promise<void> {
        trouble = '';
        try {
            answer = await bench.post<Answer>('compare', {
                a: with_,
                b: { ratio: bench.fields.ratio ?? '', count_length: bench.fields.count_length },
            });
        } catch (problem) {
            answer = null;
            trouble = inWords(problem);
        }
        await intoView(() => sides);
    }

    const differing = $derived(answer?.lines.filter((line) => Math.abs(line.difference) > 1e-9) ?? []);
</script>

<p class="text-[0.925rem] leading-8">
    Against
    <input
        class="slot small"
        aria-label="Ratio to compare with"
        bind:value={other.ratio}
        onkeydown={(event) => {
            if (event.key === 'Enter') {
                event.preventDefault();
                void compare(other);
            }
        }}
    />
    at
    <input
        class="slot small"
        aria-label="Seconds a count to compare with"
        inputmode="decimal"
        bind:value={other.count_length}
    />
    s a count <button type="button" class="linklike" onclick={() => compare(other)}>compare</button>
    {#if before}, or <button type="button" class="linklike" onclick={() => compare(before)}
            >with what is in force</button
        >{/if}
</p>
<div bind:this={sides}>
    {#if trouble}<p class="font-semibold text-clay" role="alert">{trouble}</p>{/if}
    {#if answer}
        {#each [answer.a, answer.b] as side, at (at)}
            <div class="flex items-center gap-3">
                <span class="w-20 shrink-0 text-[0.875rem] font-semibold"
                    >{at === 0 ? 'against' : 'here'} <span class="block text-muted">{side.notation}</span></span
                >
                <div style:width="{(side.seconds / longest) * 100}%">
                    <Ridge
                        shape={side.ridge}
                        width={Math.max(120, (side.seconds / longest) * WIDTH)}
                        height={46}
                        label="{side.notation}, {short(side.seconds)} s"
                    />
                </div>
            </div>
        {/each}
    {/if}
    <p class="text-[0.875rem]" role="status">
        {#if answer}{#each differing as line (line.what)}<span class="mr-4 inline-block"
                    >{line.what}
                    {short(line.a)} → {short(line.b)}
                    {line.unit} ({line.difference > 0 ? '+' : '−'}{short(Math.abs(line.difference))})</span
                >{:else}Nothing differs.{/each}{/if}
    </p>
</div>
