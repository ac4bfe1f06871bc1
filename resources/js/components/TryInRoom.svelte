<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { onDestroy } from 'svelte';
    import { roomSound, type Sounding } from '../lib/roomSound';
    import { sendSignedIn } from '../lib/send';
    import { BACK_LATER, inWords } from '../shared/http';
    import type { RoomPlay } from '../types/exercises';
    import RoomPlayer from './RoomPlayer.svelte';

    interface Props {
        url: string;
        label?: string;
        isPlaying?: boolean;
    }

    let { url, label = 'Try it here', isPlaying = $bindable(false) }: Props = $props();

    const open = roomSound();
    let sounding = $state.raw<Sounding<RoomPlay> | null>(null);
    let trouble = $state('');

    // Another exercise was chosen while this one played.
    onDestroy(() => {
        isPlaying = false;
    });

    async function start(): Promise<void> {
        trouble = '';
        try {
            sounding = (await open(() => sendSignedIn<RoomPlay>(url, 'GET'))) ?? sounding;
            isPlaying = sounding !== null;
        } catch (problem) {
            trouble = inWords(problem, BACK_LATER);
        }
    }
</script>

{#if sounding}
    <RoomPlayer
        {...sounding}
        onleave={() => {
            sounding = null;
            isPlaying = false;
        }}
    />
{:else}
    <Button onclick={start}>{label}</Button>
    {#if trouble}<p role="alert" class="mt-2 font-semibold text-clay">{trouble}</p>{/if}
{/if}
