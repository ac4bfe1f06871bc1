<script lang="ts">
    import BreathTally from '../../shared/BreathTally.svelte';
    import type { Cue } from '../../shared/timeline';
    import { t } from '../words';

    /** How many breaths are done, and which one it is. */
    let { done, of, cue }: { done: number; of: number; cue: Cue | null } = $props();
</script>

<div class="row tally">
    <BreathTally {done} {of} label="{done} / {of}" />
    <span class="muted"
        >{cue && cue.place.of > 0
            ? cue.place.breath === of
                ? t('patient.practice.last')
                : t('patient.practice.nth', { n: cue.place.breath, all: of })
            : ''}</span
    >
</div>

<style>
    .row {
        flex-wrap: wrap;
        min-width: 0;
    }
</style>
