<script lang="ts">
    import { handsIn } from '../../lib/hands';
    import type { BodyChoices, Choice, TechniqueChoice } from '../../types/pages';

    interface Step {
        kind: string;
        technique?: string;
        [field: string]: unknown;
    }
    interface Props {
        step: Step;
        index: number;
        last: boolean;
        techniques: TechniqueChoice[];
        body: BodyChoices;
        kinds: Choice[];
        /** By field of the whole routine: "steps.2.ratio". */
        errors: Record<string, string>;
        onchange: (step: Step) => void;
        onremove: () => void;
        onmove: (by: number) => void;
    }

    let { step, index, last, techniques, body, kinds, errors, onchange, onremove, onmove }: Props = $props();

    const technique = $derived(techniques.find((each) => each.key === step.technique));
    const of = $derived(`steps.${index}.`);
    const mine = $derived(
        Object.entries(errors)
            .filter(([field]) => field.startsWith(of))
            .map(([, text]) => text),
    );
    const nth = $derived(`step ${index + 1}`);

    function chooseKind(event: Event): void {
        const kind = event.currentTarget instanceof HTMLSelectElement ? event.currentTarget.value : 'free';
        onchange(kind === 'exercise' ? exercise(techniques[0]) : kind === 'return' ? { kind } : { kind, seconds: 30 });
    }

    function exercise(chosen: TechniqueChoice | undefined): Step {
        const { ratio, count_length, breaths, minutes, position, parameters } = chosen?.defaults ?? {};
        return {
            kind: 'exercise',
            technique: chosen?.key ?? '',
            ratio,
            count_length,
            breaths,
            minutes,
            position,
            parameters: $state.snapshot(parameters),
        };
    }

    function chooseTechnique(event: Event): void {
        const key = event.currentTarget instanceof HTMLSelectElement ? event.currentTarget.value : '';
        onchange(exercise(techniques.find((each) => each.key === key)));
    }

    function set(field: string, event: Event): void {
        if (event.currentTarget instanceof HTMLInputElement || event.currentTarget instanceof HTMLSelectElement)
            onchange({ ...$state.snapshot(step), [field]: event.currentTarget.value });
    }

    const parameters = $derived(
        (typeof step.parameters === 'object' && step.parameters !== null && !Array.isArray(step.parameters)
            ? step.parameters
            : {}) as Record<string, string | number>,
    );

    function setParameter(name: string, event: Event): void {
        if (event.currentTarget instanceof HTMLInputElement || event.currentTarget instanceof HTMLSelectElement)
            onchange({
                ...$state.snapshot(step),
                parameters: { ...$state.snapshot(parameters), [name]: event.currentTarget.value },
            });
    }

    const value = (field: string): string => {
        const it = step[field];
        return typeof it === 'string' || typeof it === 'number' ? String(it) : '';
    };

    let isOpen = $state(false);
    const position = $derived(value('position') || (technique?.positions[0]?.value ?? ''));
    const chosen = $derived(
        (Array.isArray(step.props) ? step.props : (technique?.defaults.props ?? [])).filter(
            (each) => typeof each === 'string',
        ),
    );
    const routeOut = $derived(technique?.routes_out[0]?.value ?? 'nose');
    const things = $derived(
        body.props.filter(
            (each) =>
                chosen.includes(each.value) ||
                (each.positions.includes(position) && each.routes.includes(value('route_out') || routeOut)),
        ),
    );

    function toggle(prop: string): void {
        onchange({
            ...$state.snapshot(step),
            props: chosen.includes(prop) ? chosen.filter((each) => each !== prop) : [...chosen, prop],
        });
    }
</script>

{#snippet slot(field: string, label: string)}
    <input
        class="slot"
        aria-label="{label}, {nth}"
        autocomplete="off"
        value={value(field)}
        oninput={(event) => set(field, event)}
        aria-invalid={errors[of + field] ? 'true' : undefined}
    />
{/snippet}

{#snippet choose(field: string, label: string, items: Choice[])}
    <select
        class="slot small"
        aria-label="{label}, {nth}"
        value={value(field) || items[0]?.value}
        onchange={(event) => set(field, event)}
    >
        {#each items as item (item.value)}<option value={item.value}>{item.label}</option>{/each}
    </select>
{/snippet}

<li class="flex items-baseline gap-3 border-t border-rule py-2">
    <span class="w-6 font-serif text-[1.1rem] text-muted">{index + 1}</span>
    <div class="min-w-0 grow text-[1.02rem] leading-[2rem]">
        <select class="slot" aria-label="Kind, {nth}" value={step.kind} onchange={chooseKind}
            >{#each kinds as kind (kind.value)}<option value={kind.value}>{kind.label}</option>{/each}</select
        >
        {#if step.kind === 'exercise'}
            <select class="slot" aria-label="Exercise, {nth}" value={step.technique} onchange={chooseTechnique}
                >{#each techniques as each (each.key)}<option value={each.key}>{each.name}</option>{/each}</select
            >
            {#if technique?.has_ratio}{@render slot('ratio', 'Ratio')}{/if}
            {#if technique?.length === 'breaths' || technique?.length === 'rounds'}{@render slot(
                    'breaths',
                    technique.length === 'rounds' ? 'Rounds' : 'Breaths',
                )}
                {technique.length}{/if}
            {#if technique?.length === 'minutes'}{@render slot('minutes', 'Minutes')} min{/if}
            {#if technique}<select
                    class="slot"
                    aria-label="Position, {nth}"
                    value={step.position}
                    onchange={(event) => set('position', event)}
                    >{#each technique.positions as position (position.value)}<option value={position.value}
                            >{position.label}</option
                        >{/each}</select
                >{/if}
            {#each technique?.parameters ?? [] as parameter (parameter.name)}
                {#if Object.keys(parameter.choices).length > 0}
                    <select
                        class="slot small"
                        aria-label="{parameter.label}, {nth}"
                        value={String(Number(parameters[parameter.name] ?? 1))}
                        onchange={(event) => setParameter(parameter.name, event)}
                    >
                        {#each Object.entries(parameter.choices) as [value, label] (value)}<option {value}
                                >{label}</option
                            >{/each}
                    </select>
                {:else}
                    <input
                        class="slot small"
                        aria-label="{parameter.label}, {nth}"
                        autocomplete="off"
                        value={parameters[parameter.name] ?? ''}
                        oninput={(event) => setParameter(parameter.name, event)}
                        aria-invalid={errors[`${of}parameters`] ? 'true' : undefined}
                    /> <span class="text-[0.9rem]">{parameter.label}</span>
                {/if}
            {/each}
            <button type="button" class="plain text-sm" aria-expanded={isOpen} onclick={() => (isOpen = !isOpen)}
                >hands, things, route</button
            >
            {#if isOpen && technique}
                <div class="text-[0.9rem]">
                    {@render choose('hands', 'Hands', handsIn(body, technique, position))}
                    {#if technique.routes_out.length > 0}
                        in by {@render choose('route_in', 'In by', technique.routes_in)} out by {@render choose(
                            'route_out',
                            'Out by',
                            technique.routes_out,
                        )}
                        {@render choose(
                            'effort',
                            'Size',
                            body.efforts.filter((each) => technique.efforts.includes(each.value)),
                        )}
                    {/if}
                    {@render choose(
                        'gaze',
                        'Eyes',
                        body.gazes.filter((each) => each.positions.includes(position)),
                    )}
                    {#if last}it ends {@render choose('ending', 'It ends', body.endings)}{/if}
                    {#each things as prop (prop.value)}<label class="mr-3 whitespace-nowrap"
                            ><input
                                type="checkbox"
                                class="mr-1 size-4 rounded-sm border-gray-300 text-primary-700 focus:ring-primary-500"
                                checked={chosen.includes(prop.value)}
                                onchange={() => toggle(prop.value)}
                            />{prop.label}</label
                        >{/each}
                    <input
                        class="slot small !w-[10rem] !text-left"
                        aria-label="What else is needed, {nth}"
                        placeholder="something else"
                        value={value('own_prop')}
                        oninput={(event) => set('own_prop', event)}
                    />
                </div>
            {/if}
        {:else if step.kind !== 'return'}
            for {@render slot('seconds', 'Seconds')} s
        {/if}
        {#each mine as problem (problem)}<p class="text-[0.925rem] leading-snug font-semibold text-clay">
                {problem}
            </p>{/each}
    </div>
    <div class="flex shrink-0 gap-2 text-[0.875rem]">
        <button type="button" class="plain" disabled={index === 0} aria-label="Move {nth} up" onclick={() => onmove(-1)}
            >up</button
        >
        <button type="button" class="plain" disabled={last} aria-label="Move {nth} down" onclick={() => onmove(1)}
            >down</button
        >
        <button type="button" class="plain" aria-label="Remove {nth}" onclick={onremove}>remove</button>
    </div>
</li>

<style>
    button:disabled {
        color: var(--muted);
        opacity: 0.6;
        cursor: default;
    }
</style>
