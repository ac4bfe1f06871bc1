<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import type { ReliabilityLine } from '../../types/clinic';

    /** Spread and reliability by which changes are judged where none is shipped; only the lead changes them. */
    let { lines, canChange }: { lines: ReliabilityLine[]; canChange: boolean } = $props();

    const FIELDS = [
        ['sd', 'spread (SD) in points'],
        ['reliability', 'reliability'],
    ] as const;
    const shown = (value: number | null): string => (value === null ? '' : String(value));
    let typed = $state<Record<string, { sd: string; reliability: string }>>(
        untrack(() =>
            Object.fromEntries(
                lines.map((line) => [line.key, { sd: shown(line.sd), reliability: shown(line.reliability) }]),
            ),
        ),
    );
    let errors = $state<Record<string, string>>({});

    function keep(event: SubmitEvent): void {
        event.preventDefault();
        errors = {};
        router.put(
            '/clinic/reliabilities',
            { reliabilities: $state.snapshot(typed) },
            {
                preserveScroll: true,
                preserveState: true,
                onError: (problems) => {
                    errors = problems;
                },
            },
        );
    }
</script>

<form onsubmit={keep} novalidate>
    <ul>
        {#each lines as line (line.key)}
            {@const mine = typed[line.key]}
            <li class="border-t border-rule py-1 text-[0.925rem]">
                <span class="block font-semibold">{line.name}</span>
                {#if canChange && mine}
                    {#each FIELDS as [field, label] (field)}
                        {@const error = errors[`reliabilities.${line.key}.${field}`]}
                        {@const id = `reliability-${line.key}-${field}`}
                        <label class="flex items-baseline justify-between gap-4">
                            <span>{label}</span>
                            <input
                                class="slot small w-[4.5rem]"
                                inputmode="decimal"
                                aria-label="{line.name}: {label}"
                                bind:value={mine[field]}
                                aria-invalid={error ? 'true' : undefined}
                                aria-describedby={error ? id : undefined}
                            />
                        </label>
                        {#if error}<p {id} class="text-sm font-semibold text-clay">{error}</p>{/if}
                    {/each}
                {:else if line.sd === null}
                    <span class="text-muted">Not entered: a change is shown in points, and nothing is claimed.</span>
                {:else}
                    spread (SD) <strong>{line.sd}</strong> points, reliability <strong>{line.reliability}</strong>
                {/if}
            </li>
        {/each}
    </ul>
    {#if canChange}<Button type="submit" size="sm" outline class="mt-2">Keep the reliabilities</Button>{:else}
        <p class="mt-1 text-sm text-muted">The clinic’s lead sets these.</p>
    {/if}
</form>
