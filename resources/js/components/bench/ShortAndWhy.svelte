<script lang="ts">
    import { short } from '../../shared/format';
    import type { BenchChoices, TechniqueChoice } from '../../types/pages';
    import type { Bench } from './bench.svelte';

    let { bench, choices, technique }: { bench: Bench; choices: BenchChoices; technique: TechniqueChoice | undefined } =
        $props();

    const field = $derived(
        technique?.length === 'minutes' ? 'minutes' : technique?.length === 'derived' ? null : 'breaths',
    );
    const given = $derived(field === null ? '' : String(bench.fields.short?.[field] ?? ''));

    /** Steps of a routine that are led on a bad day, counted from 0. */
    const chosen = $derived(
        Array.isArray(bench.fields.short?.steps) ? bench.fields.short.steps.map((step) => Number(step)) : [],
    );

    function toggle(step: number): void {
        const steps = chosen.includes(step)
            ? chosen.filter((each) => each !== step)
            : [...chosen, step].sort((a, b) => a - b);
        bench.fields.short = steps.length === 0 ? null : { steps };
        bench.typed();
    }

    function ask(check: string): void {
        const checks = bench.fields.checks ?? [];
        bench.fields.checks = checks.includes(check) ? checks.filter((each) => each !== check) : [...checks, check];
        bench.typed();
    }

    function set(event: Event): void {
        if (!(event.currentTarget instanceof HTMLInputElement) || field === null) return;
        const value = event.currentTarget.value.trim();
        bench.fields.short = value === '' ? null : { [field]: value };
        bench.typed();
    }
</script>

<div class="grid grid-cols-1 gap-2 text-[0.925rem]">
    {#if bench.fields.kind === 'routine'}
        <fieldset class="flex min-w-0 flex-wrap items-baseline gap-x-3">
            <legend class="float-left mr-3">On a bad day only these steps:</legend>
            {#each bench.fields.steps ?? [] as step, index (index)}
                <label class="min-[30rem]:whitespace-nowrap"
                    ><input
                        type="checkbox"
                        class="mr-1 size-4 rounded-sm border-gray-300 text-primary-700 focus:ring-primary-500"
                        checked={chosen.includes(index)}
                        onchange={() => toggle(index)}
                    />{index + 1}{step.kind === 'exercise' ? '' : `, ${step.kind}`}</label
                >
            {/each}
            <span class="text-muted"
                >{bench.mine.short
                    ? `${short(bench.mine.short.seconds / 60, 1)} min; counts in full.`
                    : 'the whole: nothing shorter is chosen.'}</span
            >
        </fieldset>
    {:else}
        <p>
            On a bad day at least
            {#if field}<input
                    class="slot small"
                    aria-label="Short version, {field}"
                    inputmode="decimal"
                    value={given}
                    placeholder="…"
                    oninput={set}
                />
                {field}{/if}
            {#if bench.mine.short}<span class="text-muted"
                    >{bench.mine.short.summary}, {short(bench.mine.short.seconds / 60, 1)} min; counts in full.</span
                >
            {:else}<span class="text-muted">the whole: there is nothing shorter.</span>{/if}
            {#if bench.mine.errors.short}<span class="font-semibold text-clay">{bench.mine.errors.short}</span>{/if}
        </p>
    {/if}
    <fieldset class="flex min-w-0 flex-wrap items-baseline gap-x-3">
        <legend class="float-left mr-3">Asked after each practice:</legend>
        {#each choices.checks as check (check.value)}
            <label class="min-[30rem]:whitespace-nowrap"
                ><input
                    type="checkbox"
                    class="mr-1 size-4 rounded-sm border-gray-300 text-primary-700 focus:ring-primary-500"
                    checked={(bench.fields.checks ?? []).includes(check.value)}
                    onchange={() => ask(check.value)}
                />{check.label}</label
            >
        {/each}
    </fieldset>
    <label class="flex flex-wrap items-baseline gap-2"
        >Why this patient does it
        <input
            class="slot small min-w-0 grow !text-left"
            maxlength="250"
            bind:value={bench.fields.why}
            oninput={() => bench.typed()}
            aria-invalid={bench.mine.errors.why ? 'true' : undefined}
        /></label
    >
    {#if bench.mine.errors.why}<p class="font-semibold text-clay">{bench.mine.errors.why}</p>{/if}
</div>
