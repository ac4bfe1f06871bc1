<script lang="ts">
    import { Button, Input, Select, Textarea } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import { sendSignedIn } from '../../lib/send';
    import { inWords, Refusal } from '../../shared/http';
    import type { OwnChoices } from '../../types/exercises';
    import type { Choice } from '../../types/pages';
    import Field from '../Field.svelte';

    interface Props {
        /** Of the exercise that is changed; empty for a new one. */
        id: string;
        fields: Record<string, unknown>;
        choices: OwnChoices;
        onkept: (key: string) => void;
        ongone: () => void;
        onleave: () => void;
    }

    let { id, fields, choices, onkept, ongone, onleave }: Props = $props();

    const text = (name: string, otherwise: string): string => {
        const value = fields[name];
        return typeof value === 'string' || typeof value === 'number' ? String(value) : otherwise;
    };
    let typed = $state(
        untrack(() => ({
            own_name: id === '' ? '' : text('own_name', ''),
            ratio: text('ratio', '4:6'),
            count_length: text('count_length', '1'),
            breaths: text('breaths', '8'),
            position: text('position', 'seated'),
            hands: text('hands', 'as-you-like'),
            route_in: text('route_in', 'nose'),
            route_out: text('route_out', 'nose'),
            own_in: text('own_in', ''),
            own_out: text('own_out', ''),
            own_right: text('own_right', ''),
        })),
    );
    let errors = $state.raw<Record<string, string>>({});
    let isBusy = $state(false);
    let isSure = $state(false);

    /** Hands that the position leaves room for; one that no longer fits gives way. */
    const hands = $derived(choices.positions.find((each) => each.value === typed.position)?.hands ?? []);
    $effect(() => {
        if (hands.length > 0 && !hands.some((each) => each.value === typed.hands)) typed.hands = hands[0]?.value ?? '';
    });

    const names = (choices: Choice[]) => choices.map((choice) => ({ value: choice.value, name: choice.label }));

    async function send(method: 'POST' | 'PUT' | 'DELETE'): Promise<void> {
        isBusy = true;
        errors = {};
        try {
            const kept = await sendSignedIn<{ key?: string }>(
                `/own-exercises${id === '' ? '' : `/${id}`}`,
                method,
                method === 'DELETE' ? undefined : { fields: $state.snapshot(typed) },
            );
            if (method === 'DELETE') ongone();
            else onkept(kept.key ?? '');
        } catch (problem) {
            errors =
                problem instanceof Refusal && problem.status === 422
                    ? problem.errors
                    : { all: inWords(problem, 'What you typed is still here.') };
        } finally {
            isBusy = false;
        }
    }

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        void send(id === '' ? 'POST' : 'PUT');
    }
</script>

{#snippet chosen(field: 'position' | 'hands' | 'route_in' | 'route_out', label: string, from: Choice[])}
    <Field id="own_{field}" {label} error={errors[field]}>
        {#snippet children(attributes)}<Select
                placeholder=""
                items={names(from)}
                bind:value={typed[field]}
                {...attributes}
            />{/snippet}
    </Field>
{/snippet}
{#snippet cue(field: 'own_in' | 'own_out', label: string, hint: string)}
    <Field id={field} {label} hint="Shown and said: “{hint}”." error={errors[field]}>
        {#snippet children(attributes)}<Input autocomplete="off" bind:value={typed[field]} {...attributes} />{/snippet}
    </Field>
{/snippet}
<form onsubmit={submit} novalidate class="grid gap-x-6 gap-y-4 md:grid-cols-3">
    <h2 class="text-[1.3rem] md:col-span-3">{id === '' ? 'A counted breath of your own' : 'Change this breath'}</h2>
    <Field id="own_name" label="Name" error={errors.own_name}>
        {#snippet children(attributes)}<Input
                maxlength={60}
                autocomplete="off"
                bind:value={typed.own_name}
                {...attributes}
            />{/snippet}
    </Field>
    <Field id="own_ratio" label="Ratio" hint="In, hold, out, rest: 4:6 or 4:2:6 or 4:0:5:1." error={errors.ratio}>
        {#snippet children(attributes)}<Input autocomplete="off" bind:value={typed.ratio} {...attributes} />{/snippet}
    </Field>
    <Field id="own_count" label="Seconds a count" error={errors.count_length}>
        {#snippet children(attributes)}<Input
                inputmode="decimal"
                bind:value={typed.count_length}
                {...attributes}
            />{/snippet}
    </Field>
    <Field id="own_breaths" label="Breaths" error={errors.breaths}>
        {#snippet children(attributes)}<Input
                inputmode="numeric"
                bind:value={typed.breaths}
                {...attributes}
            />{/snippet}
    </Field>
    {@render chosen('position', 'Position', choices.positions)}
    {@render chosen('hands', 'Hands', hands)}
    {@render chosen('route_in', 'In by', choices.routes_in)}
    {@render chosen('route_out', 'Out by', choices.routes_out)}
    {@render cue('own_in', 'Said with the breath in', 'as if smelling bread')}
    {@render cue('own_out', 'Said with the breath out', 'lips loose')}
    <div class="md:col-span-3">
        <Field id="own_right" label="What right looks like (read by the patient)" error={errors.own_right}>
            {#snippet children(attributes)}<Textarea
                    rows={2}
                    class="w-full"
                    bind:value={typed.own_right}
                    {...attributes}
                />{/snippet}
        </Field>
    </div>
    {#if errors.all ?? errors.technique}<p role="alert" class="font-semibold text-clay md:col-span-3">
            {errors.all ?? errors.technique}
        </p>{/if}
    <div class="flex flex-wrap items-center gap-4 md:col-span-3">
        <Button type="submit" disabled={isBusy}>{id === '' ? 'Keep it' : 'Keep the change'}</Button>
        <Button color="alternative" onclick={onleave}>Leave it</Button>
        {#if id !== ''}
            {#if isSure}<span>Programmes that use it keep their copy.</span>
                <Button color="red" disabled={isBusy} onclick={() => send('DELETE')}>Delete it</Button>
            {:else}<button
                    type="button"
                    class="linklike"
                    onclick={() => {
                        isSure = true;
                    }}>Delete…</button
                >{/if}
        {/if}
    </div>
</form>
