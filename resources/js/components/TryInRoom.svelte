<script lang="ts">
    import { endSound } from '../shared/quiet';
    import { Button } from 'flowbite-svelte';
    import { onDestroy } from 'svelte';
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

    let play = $state.raw<RoomPlay | null>(null);
    let context = $state.raw<AudioContext | null>(null);
    let trouble = $state('');

    // Another exercise was chosen while this one played.
    onDestroy(() => {
        isPlaying = false;
    });

    async function start(): Promise<void> {
        trouble = '';
        // The click that starts is what lets the browser make sound.
        context = new AudioContext({ latencyHint: 'interactive' });
        void context.resume();
        try {
            play = await sendSignedIn<RoomPlay>(url, 'GET');
            isPlaying = true;
        } catch (problem) {
            endSound(context);
            trouble = inWords(problem, BACK_LATER);
        }
    }
</script>

{#if play && context}
    <RoomPlayer
        {play}
        {context}
        onleave={() => {
            play = null;
            isPlaying = false;
        }}
    />
{:else}
    <Button onclick={start}>{label}</Button>
    {#if trouble}<p role="alert" class="mt-2 font-semibold text-clay">{trouble}</p>{/if}
{/if}
