<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { sendSignedIn } from '../../lib/send';
    import { BACK_LATER, inWords } from '../../shared/http';
    import type { SensorLine } from '../../types/signals';
    import AskFirst from '../asking/AskFirst.svelte';

    /** The clinic's devices: which measure now, another one, and one that is no longer there. */
    interface Props {
        sensors: SensorLine[];
        chosen: number[];
        isLocked: boolean;
        onchange: () => Promise<void>;
    }
    let { sensors, chosen = $bindable(), isLocked, onchange }: Props = $props();

    let name = $state('');
    let made = $state.raw<{ id: number; code: string; minutes: number } | null>(null);
    let trouble = $state('');
    let ending = $state.raw<SensorLine | null>(null);
    let asks = $state(false);

    // The device has handed in its code.
    $effect(() => {
        if (sensors.some((sensor) => sensor.id === made?.id)) made = null;
    });
    $effect(() => {
        if (!made) return;
        const timer = setInterval(() => void onchange(), 2000);
        return () => clearInterval(timer);
    });

    async function pair(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        trouble = '';
        try {
            made = await sendSignedIn('/sensors', 'POST', { name });
            name = '';
        } catch (problem) {
            trouble = inWords(problem, BACK_LATER);
        }
    }

    async function end(): Promise<void> {
        if (!ending) return;
        try {
            await sendSignedIn(`/sensors/${ending.id}`, 'DELETE');
            chosen = chosen.filter((id) => id !== ending?.id);
            await onchange();
        } catch (problem) {
            trouble = inWords(problem, BACK_LATER);
        }
    }
</script>

<fieldset class="mt-3">
    <legend class="font-semibold">Devices</legend>
    {#each sensors as sensor (sensor.id)}
        <p class="flex flex-wrap items-baseline gap-x-3 py-0.5">
            <label
                ><input
                    type="checkbox"
                    class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                    value={sensor.id}
                    bind:group={chosen}
                    disabled={isLocked}
                />{sensor.name}</label
            >
            <span class="text-[0.875rem] text-muted"
                >{sensor.here ? 'is here' : `last heard of ${sensor.seen ?? 'never'}`}</span
            >
            <button
                type="button"
                class="linklike ml-auto text-[0.875rem]"
                disabled={isLocked}
                onclick={() => {
                    ending = sensor;
                    asks = true;
                }}>end it<span class="visually-hidden"> {sensor.name}</span></button
            >
        </p>
    {:else}
        <p class="text-muted">No device is paired yet.</p>
    {/each}
</fieldset>
<details class="mt-1">
    <summary class="cursor-pointer text-reed">Pair another device</summary>
    <form class="mt-2" onsubmit={pair}>
        <label>Name <input class="slot" bind:value={name} maxlength="60" placeholder="Belts at the window" /></label>
        <Button size="sm" type="submit" color="alternative" class="ml-2">Make a code</Button>
    </form>
    {#if made}
        <p class="mt-2" role="status">
            Type <strong class="font-serif text-[1.25rem] tracking-wide">{made.code}</strong> into the device within
            {made.minutes} min. It works once; the device then sends with a key of its own, until it is ended here.
        </p>
    {/if}
</details>
{#if trouble}<p role="alert" class="mt-1 font-semibold text-clay">{trouble}</p>{/if}
<AskFirst
    bind:open={asks}
    title="End {ending?.name ?? ''}?"
    text="Nothing more is taken from it, also nothing that still waits on it. To use it again, pair it again."
    yes="End it"
    no="Leave it"
    onyes={() => void end()}
/>
