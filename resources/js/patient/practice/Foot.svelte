<script lang="ts" module>
    /** Something that takes the practice on: the words on its button, and what it does. */
    export interface Onward {
        words: string;
        run: () => void;
        keys?: string;
    }
</script>

<script lang="ts">
    import { t } from '../words';
    import type { TodayItem } from '../types';
    import PaceRow from './PaceRow.svelte';

    interface Props {
        onward: Onward[];
        isPaused: boolean;
        hasSound: boolean;
        isDim: boolean;
        tempo: TodayItem['tempo'];
        onpause: () => void;
        onsound: () => void;
        onpace: (factor: number) => void;
    }

    let { onward, isPaused, hasSound, isDim = $bindable(), tempo, onpause, onsound, onpace }: Props = $props();
</script>

<div class="foot stack">
    {#each onward as each (each.words)}<button
            type="button"
            class="button second"
            onclick={each.run}
            aria-keyshortcuts={each.keys}>{t(`patient.practice.${each.words}`)}</button
        >{/each}
    <div class="row">
        <button type="button" class="button plain" onclick={onpause}
            >{t(isPaused ? 'patient.practice.go-on' : 'patient.practice.pause')}</button
        >
        <button type="button" class="button plain" aria-pressed={hasSound} onclick={onsound}
            >{t(hasSound ? 'patient.practice.sound' : 'patient.practice.no-sound')}</button
        >
        <button
            type="button"
            class="button plain"
            aria-pressed={isDim}
            onclick={() => {
                isDim = !isDim;
            }}>{t(isDim ? 'patient.practice.light' : 'patient.practice.dim')}</button
        >
    </div>
    {#if tempo}<PaceRow {tempo} {onpace} />{/if}
</div>

<style>
    .row {
        flex-wrap: wrap;
        min-width: 0;
    }
    .row .button {
        max-width: 100%;
    }
</style>
