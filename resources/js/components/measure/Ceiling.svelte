<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { roomSound, type Sounding } from '../../lib/roomSound';
    import { sendSignedIn } from '../../lib/send';
    import { BACK_LATER, inWords } from '../../shared/http';
    import type { RoomPlay } from '../../types/exercises';
    import type { MeasureView, Reading } from '../../types/measure';
    import RoomPlayer from '../RoomPlayer.svelte';
    import type { Desk } from './desk.svelte';

    let { desk, measure, onkeep }: { desk: Desk; measure: MeasureView; onkeep: (reading: Reading) => void } = $props();

    /** One more than the lengths there are: all of them were easy. */
    const ALL = 7;
    const open = roomSound();
    let sounding = $state.raw<Sounding<RoomPlay> | null>(null);
    let trouble = $state('');

    async function start(): Promise<void> {
        trouble = '';
        try {
            const url = `/patients/${desk.patientId}/measure/ceiling`;
            sounding = (await open(() => sendSignedIn<RoomPlay>(url, 'GET'))) ?? sounding;
        } catch (problem) {
            trouble = inWords(problem, BACK_LATER);
        }
    }

    function left(end: { enoughStep: number | null; isOver: boolean }): void {
        sounding = null;
        if (end.enoughStep !== null) onkeep({ step: end.enoughStep, count_length: 1 });
        else if (end.isOver) onkeep({ step: ALL, count_length: 1 });
    }
</script>

{#if sounding}
    <RoomPlayer {...sounding} endsWhenEnough onleave={left} />
{:else}
    <p class="text-muted">
        Even breathing from 3:3, a count longer after every two breaths. When it stops being easy, press “Long enough”:
        the length before it is kept.
    </p>
    <Button size="sm" class="mt-3" onclick={start}>Lead it here</Button>
    {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
    <p class="mt-3 border-t border-rule pt-2">
        or known: <input
            class="slot small"
            aria-label="Counts that are still easy"
            inputmode="numeric"
            value={desk.of(measure.key, 'counts')}
            oninput={(event) => desk.put(measure.key, 'counts', event.currentTarget.value)}
        />
        counts of
        <input
            class="slot small"
            aria-label="Seconds a count of the ceiling"
            inputmode="decimal"
            value={desk.of(measure.key, 'count_length') || '1'}
            oninput={(event) => desk.put(measure.key, 'count_length', event.currentTarget.value)}
        />
        s
        <button
            type="button"
            class="linklike"
            onclick={() =>
                onkeep({
                    counts: desk.of(measure.key, 'counts'),
                    count_length: desk.of(measure.key, 'count_length') || '1',
                })}>keep it</button
        >
    </p>
{/if}
