<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import { untrack } from 'svelte';

    interface Line {
        name: string;
        label: string;
        value: number;
        shipped: number;
    }
    /** From which numbers on something is proposed; only the lead changes them. */
    let { lines, canChange }: { lines: Line[]; canChange: boolean } = $props();

    let typed = $state<Record<string, string>>(
        untrack(() => Object.fromEntries(lines.map((line) => [line.name, String(line.value)]))),
    );
    let errors = $state<Record<string, string>>({});

    function keep(event: SubmitEvent): void {
        event.preventDefault();
        errors = {};
        router.put(
            '/clinic/thresholds',
            { thresholds: $state.snapshot(typed) },
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
        {#each lines as line (line.name)}
            {@const error = errors[`thresholds.${line.name}`]}
            <li class="border-t border-rule py-1">
                <label class="flex items-baseline justify-between gap-4 text-[0.925rem]"
                    ><span
                        >{line.label}{#if line.value !== line.shipped}<span class="text-muted">
                                · shipped {line.shipped}</span
                            >{/if}</span
                    >
                    {#if canChange}<input
                            class="slot small w-[4.5rem]"
                            inputmode="decimal"
                            bind:value={typed[line.name]}
                            aria-invalid={error ? 'true' : undefined}
                            aria-describedby={error ? `threshold-${line.name}` : undefined}
                        />
                    {:else}<strong>{line.value}</strong>{/if}</label
                >
                {#if error}<p id="threshold-{line.name}" class="text-sm font-semibold text-clay">{error}</p>{/if}
            </li>
        {/each}
    </ul>
    {#if errors.thresholds}<p role="alert" class="font-semibold text-clay">{errors.thresholds}</p>{/if}
    {#if canChange}<Button type="submit" size="sm" outline class="mt-2">Keep the thresholds</Button>{:else}<p
            class="mt-1 text-sm text-muted"
        >
            The clinic’s lead sets these.
        </p>{/if}
</form>
