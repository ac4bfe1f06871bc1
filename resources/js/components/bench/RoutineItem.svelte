<script lang="ts">
    import type { BenchChoices, RoutineStep } from '../../types/pages';
    import StepRow from '../exercises/StepRow.svelte';
    import type { Bench } from './bench.svelte';

    let { bench, choices }: { bench: Bench; choices: BenchChoices } = $props();

    const steps = $derived(bench.fields.steps ?? []);
    const errors = $derived(bench.state === 'asking' ? {} : bench.mine.errors);

    function put(next: RoutineStep[]): void {
        bench.fields.steps = next;
        bench.typed();
    }

    function move(index: number, by: number): void {
        const next = $state.snapshot(steps);
        const [step] = next.splice(index, 1);
        if (step) next.splice(index + by, 0, step);
        put(next);
    }
</script>

<p class="font-serif text-[1.2rem]">
    The routine <input
        class="slot"
        aria-label="Name of the routine"
        bind:value={bench.fields.routine_name}
        oninput={() => bench.typed()}
        aria-invalid={errors.routine_name ? 'true' : undefined}
    />,
    <input
        class="slot"
        aria-label="Practices a day"
        inputmode="numeric"
        bind:value={bench.fields.times_a_day}
        oninput={() => bench.typed()}
        aria-invalid={errors.times_a_day ? 'true' : undefined}
    /> × a day.
</p>
<ol class="mt-2">
    {#each steps as step, index (index)}
        <StepRow
            {step}
            {index}
            last={index === steps.length - 1}
            techniques={choices.techniques.filter((each) => !each.is_recovery && each.defaults.own_name === null)}
            body={choices}
            kinds={choices.kinds}
            {errors}
            onchange={(next) => put(steps.map((each, at) => (at === index ? next : each)))}
            onremove={() => put(steps.filter((_, at) => at !== index))}
            onmove={(by) => move(index, by)}
        />
    {/each}
</ol>
<button type="button" class="plain mt-1 text-sm" onclick={() => put([...steps, { kind: 'free', seconds: 30 }])}
    >Add a step</button
>
{#if bench.mine.grows}<p class="mt-1 text-sm text-muted">
        A step up would change one exercise, on its own ladder: {bench.mine.grows}.
    </p>{/if}
{#each ['routine_name', 'steps', 'times_a_day'] as field (field)}{#if errors[field]}<p class="font-semibold text-clay">
            {errors[field]}
        </p>{/if}{/each}
