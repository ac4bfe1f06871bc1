<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import { keeping } from '../../lib/keeping';
    import type { RoomKind, SignalsProps } from '../../types/signals';
    import type { Signals } from './signals.svelte';
    import Sensors from './Sensors.svelte';

    /** What is recorded next, and with which devices. */
    interface Props {
        signals: Signals;
        choices: SignalsProps['choices'];
        paces: SignalsProps['paces'];
        positions: SignalsProps['desk']['positions'];
        kind: RoomKind;
        exercise: string;
        onstart: () => void;
    }
    let { signals, choices, paces, positions, kind = $bindable(), exercise = $bindable(), onstart }: Props = $props();

    let position = $state('seated');
    /** Those that were used from here before: what else is heard of may lie on somebody else, in another room. */
    const used = keeping('signals:devices');
    const before = used.read<number[]>() ?? [];
    let chosen = $state<number[]>(
        untrack(() =>
            signals.shown.sensors.filter(({ id, here }) => here && before.includes(id)).map((sensor) => sensor.id),
        ),
    );
    const choice = $derived(choices[Number(exercise)]);
    const isPossible = $derived(chosen.length > 0 && (kind !== 'pace' || paces.possible));

    const KINDS: [RoomKind, string, string][] = [
        ['quiet', 'A quiet minute', 'Nothing is led. Rate, rhythm, belly and chest, pulse.'],
        ['led', 'A breath that is led', 'The trace over what is led, as it comes.'],
        ['hold', 'A hold that is watched', 'Saturation before, during and a minute after it.'],
        ['pace', 'Which pace suits best', ''],
    ];
    const said = $derived(
        paces.possible
            ? `${paces.paces.join(', ')} a minute, 3 min each: ${paces.minutes} min. Wants each heartbeat.`
            : 'Not for this patient.',
    );

    async function start(): Promise<void> {
        const about = kind === 'led' ? (choice?.name ?? '') : '';
        used.write($state.snapshot(chosen));
        if (await signals.begin(kind, position, $state.snapshot(chosen), about)) onstart();
    }
</script>

<section class="border border-ink bg-card px-5 py-4" aria-label="Record">
    <fieldset>
        <legend class="font-semibold">Record</legend>
        {#each KINDS as [value, label, about] (value)}
            <label class="block py-0.5"
                ><input
                    type="radio"
                    class="mr-2 border-gray-300 text-primary-700"
                    name="kind"
                    {value}
                    bind:group={kind}
                />{label}
                <span class="text-[0.875rem] text-muted">{value === 'pace' ? said : about}</span></label
            >
        {/each}
    </fieldset>
    {#if kind === 'pace'}
        {#each paces.left_out as left (left.pace)}<p class="text-[0.875rem] text-ochre">
                {left.pace} a minute is left out. {left.why}
            </p>{/each}
    {/if}
    {#if kind === 'led'}
        <p class="mt-2">
            <label for="led">Exercise</label>
            <select id="led" class="slot" bind:value={exercise}
                >{#each choices as each, index (index)}<option value={String(index)}
                        >{each.lineage ? `${each.name} (prescribed)` : each.name}</option
                    >{/each}</select
            >
        </p>
    {/if}
    <p class="mt-2">
        <label for="position">Position</label>
        <select id="position" class="slot small" bind:value={position}
            >{#each positions as each (each.value)}<option value={each.value}>{each.label}</option>{/each}</select
        >
    </p>
    <Sensors sensors={signals.shown.sensors} bind:chosen isLocked={signals.isBusy} onchange={() => signals.refresh()} />
    <Button class="mt-4" disabled={!isPossible || signals.isBusy} onclick={start}>Begin</Button>
    {#if chosen.length === 0 && signals.shown.sensors.length > 0}<span class="ml-3 text-muted"
            >Choose a device first.</span
        >{/if}
    {#if signals.trouble}<p role="alert" class="mt-2 font-semibold text-clay">{signals.trouble}</p>{/if}
</section>
