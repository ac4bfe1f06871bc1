<script lang="ts">
    import type { BenchChoices, TechniqueChoice } from '../../types/pages';
    import { handsIn } from '../../lib/hands';
    import type { Bench } from './bench.svelte';
    import Things from './Things.svelte';

    type Typed = 'ratio' | 'count_length' | 'breaths' | 'minutes' | 'times_a_day' | 'use_when' | 'daily_most';

    interface Props {
        bench: Bench;
        choices: BenchChoices;
        technique: TechniqueChoice;
    }

    let { bench, choices, technique }: Props = $props();

    const errors = $derived(bench.state === 'asking' ? {} : bench.mine.errors) as Record<string, string>;
    const changed = (): void => bench.typed();

    /** By how much the arrow keys and the steppers change a number. The ratio is stepped on the ridge. */
    const STEPS: Record<string, number | undefined> = {
        count_length: 0.05,
        breaths: 1,
        minutes: 0.5,
        times_a_day: 1,
        daily_most: 1,
    };

    function step(field: Typed, by: number): void {
        const now = Number(bench.fields[field]);
        if (!Number.isFinite(now) || now + by <= 0) return;
        Object.assign(bench.fields, { [field]: Number((now + by).toFixed(2)) });
        changed();
    }

    function stepKey(event: KeyboardEvent, field: Typed): void {
        const by = STEPS[field];
        if (!by || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
        event.preventDefault();
        step(field, event.key === 'ArrowUp' ? by : -by);
    }

    /** Those of one length or one muscle group only where there are so many of them. */
    const parameters = $derived(
        technique.parameters.filter(({ name }) => {
            const nth = Number(/^(?:breaths|times)-(\d+)$/.exec(name)?.[1] ?? 0);
            const { steps, groups } = bench.fields.parameters;
            return nth <= Number(steps ?? groups ?? 99);
        }),
    );

    function use(how: string): void {
        bench.set(how === 'planned' ? { as_needed: false } : { as_needed: true, way: how });
    }

    /** In the order in which their problems are told. */
    const FIELDS = [
        'ratio',
        'count_length',
        'breaths',
        'minutes',
        'parameters',
        'effort',
        'position',
        'times_a_day',
        'way',
        'use_when',
        'daily_most',
        'hands',
        'start',
        'ending',
        'bells_first',
        'bells_last',
        'props',
        'own_prop',
        'technique',
        'own_name',
        'school',
        'gaze',
        'counting',
        'fade',
        'fastest',
        'slowest',
    ];
</script>

{#snippet wrong(field: string)}
    {#if errors[field]}<p id="{field}-error" class="text-[0.925rem] font-semibold text-clay">{errors[field]}</p>{/if}
{/snippet}

{#snippet text(field: Typed, label: string, mode: 'decimal' | 'numeric' | 'text')}
    {@const by = STEPS[field]}
    <span class="stepped">
        <input
            class="slot"
            aria-label={label}
            inputmode={mode}
            autocomplete="off"
            spellcheck="false"
            bind:value={bench.fields[field]}
            oninput={changed}
            onkeydown={(event) => stepKey(event, field)}
            aria-invalid={errors[field] ? 'true' : undefined}
            aria-describedby={errors[field] ? `${field}-error` : undefined}
        />
        {#if by}<span class="steppers">
                <button
                    type="button"
                    tabindex="-1"
                    aria-label="{label}, less"
                    onpointerdown={(event) => {
                        event.preventDefault();
                        step(field, -by);
                    }}>−</button
                ><button
                    type="button"
                    tabindex="-1"
                    aria-label="{label}, more"
                    onpointerdown={(event) => {
                        event.preventDefault();
                        step(field, by);
                    }}>+</button
                >
            </span>{/if}
    </span>
{/snippet}

{#snippet choice(
    field: 'position' | 'hands' | 'route_in' | 'route_out' | 'effort' | 'gaze',
    label: string,
    items: { value: string; label: string }[],
)}
    <select
        class="slot"
        aria-label={label}
        bind:value={bench.fields[field]}
        onchange={changed}
        aria-invalid={errors[field] ? 'true' : undefined}
    >
        {#each items as item (item.value)}<option value={item.value}>{item.label}</option>{/each}
    </select>
{/snippet}

<div class="font-serif text-[1.2rem] leading-[2rem]">
    Breathe
    {#if technique.has_ratio}{@render text('ratio', 'Ratio', 'text')}{/if}
    {#if technique.length === 'minutes'}low and easy, uncounted, for
        {@render text('minutes', 'Minutes', 'decimal')} minutes,
    {:else if technique.is_paced}at {@render text('count_length', 'Seconds a count', 'decimal')} s a {technique.key ===
        'walking'
            ? 'step'
            : 'count'},{/if}
    {#if technique.length === 'breaths'}for {@render text('breaths', 'Breaths', 'numeric')} breaths,
    {:else if technique.length === 'rounds'}for {@render text('breaths', 'Rounds', 'numeric')} rounds of two,{/if}
    {#each parameters as parameter (parameter.name)}
        {#if Object.keys(parameter.choices).length > 0}
            {parameter.label}
            <select
                class="slot"
                aria-label={parameter.label}
                bind:value={
                    () => String(Number(bench.fields.parameters[parameter.name] ?? 1)),
                    (value) => {
                        bench.fields.parameters[parameter.name] = value;
                    }
                }
                onchange={changed}
            >
                {#each Object.entries(parameter.choices) as [value, label] (value)}<option {value}>{label}</option
                    >{/each}
            </select>,
        {:else}
            <input
                class="slot"
                aria-label={parameter.label}
                inputmode="decimal"
                autocomplete="off"
                bind:value={bench.fields.parameters[parameter.name]}
                oninput={changed}
                aria-invalid={errors.parameters ? 'true' : undefined}
                aria-describedby={errors.parameters ? 'parameters-error' : undefined}
            />
            {parameter.label},
        {/if}
    {/each}
    {@render choice(
        'effort',
        'Size and effort',
        choices.efforts.filter((each) => technique.efforts.includes(each.value)),
    )}, {@render choice('position', 'Position', technique.positions)}, hands {@render choice(
        'hands',
        'Hands',
        handsIn(choices, technique, bench.fields.position),
    )},
    {#if technique.routes_out.length > 0}
        in by {@render choice('route_in', 'In by', technique.routes_in)}, out by {@render choice(
            'route_out',
            'Out by',
            technique.routes_out,
        )},
    {/if}
    {@render choice(
        'gaze',
        'Eyes',
        choices.gazes.filter((each) => each.positions.includes(bench.fields.position)),
    )},
    <select
        class="slot"
        aria-label="Planned or as needed"
        value={bench.fields.as_needed ? (bench.fields.way ?? 'led') : 'planned'}
        disabled={technique.is_recovery}
        onchange={(event) => use(event.currentTarget.value)}
    >
        <option value="planned">planned</option><option value="led">as needed</option>
        {#if technique.length === 'minutes' && !technique.has_ratio}<option value="open">as long as it helps</option
            >{/if}
        <option value="ticked">a habit to tick</option>
    </select>,
    {#if bench.fields.as_needed && bench.fields.way === 'ticked'}
        {@render text('use_when', 'Use when', 'text')}, ticked
        {@render text('daily_most', 'Most a day', 'numeric')} × a day.
    {:else if bench.fields.as_needed}
        when {@render text('use_when', 'Use when', 'text')}, at most {@render text(
            'daily_most',
            'Most a day',
            'numeric',
        )} × a day.
    {:else}{@render text('times_a_day', 'Practices a day', 'numeric')} × a day.{/if}
</div>
<!-- The line is kept free, so that nothing jumps away under the pointer when a problem comes or goes. -->
<div class="min-h-6">
    {#each FIELDS as field (field)}{@render wrong(field)}{/each}
</div>
<Things {bench} {choices} />

<style>
    .stepped {
        position: relative;
        white-space: nowrap;
    }
    .stepped input {
        max-width: 12rem;
    }
    /* Beside the field that is used, over the words after it. */
    .steppers {
        display: none;
        position: absolute;
        left: 100%;
        top: 50%;
        transform: translateY(-50%);
        z-index: 1;
    }
    .stepped:focus-within .steppers,
    .stepped:hover .steppers {
        display: inline-flex;
    }
    /* At the end of a narrow line there is no room beside it. */
    @media (max-width: 69.99rem) {
        .steppers {
            left: auto;
            right: 0;
            top: 100%;
            transform: none;
        }
    }
    .steppers button {
        width: 1.6rem;
        height: 1.6rem;
        border: 1px solid var(--ink);
        background: var(--card);
        font-family: var(--sans);
        font-size: 1rem;
        line-height: 1;
        cursor: pointer;
    }
</style>
