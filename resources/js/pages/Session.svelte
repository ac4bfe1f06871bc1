<script lang="ts">
    import BriefStep from '../components/session/BriefStep.svelte';
    import CatchUpStep from '../components/session/CatchUpStep.svelte';
    import DecideStep from '../components/session/DecideStep.svelte';
    import HandOverStep from '../components/session/HandOverStep.svelte';
    import MeasureStep from '../components/session/MeasureStep.svelte';
    import NoteStep from '../components/session/NoteStep.svelte';
    import Onward from '../components/session/Onward.svelte';
    import SessionBar from '../components/session/SessionBar.svelte';
    import TeachStep from '../components/session/TeachStep.svelte';
    import Room from '../components/Room.svelte';
    import type { SessionProps } from '../types/props';
    import type { StepShown } from '../types/session';

    let { patient, session, kept, shown }: SessionProps = $props();
</script>

<Room title="Session with {patient.name}">
    <SessionBar {patient} {session} />
    {#key `${session.id}/${session.step}`}
        {#if session.step === 'note'}<NoteStep {patient} {session} {kept} shown={shown as StepShown['note']} />
        {:else if session.closed_on}<p class="pt-5">
                The note of this session is signed, so its steps are closed. What was done stands in the note.
            </p>
        {:else if session.step === 'brief'}<BriefStep {patient} shown={shown as StepShown['brief']} />
        {:else if session.step === 'catch-up'}<CatchUpStep
                {patient}
                {session}
                {kept}
                shown={shown as StepShown['catch-up']}
            />
        {:else if session.step === 'measure'}<MeasureStep
                {patient}
                {session}
                {kept}
                shown={shown as StepShown['measure']}
            />
        {:else if session.step === 'teach'}<TeachStep {patient} {session} {kept} shown={shown as StepShown['teach']} />
        {:else if session.step === 'decide'}<DecideStep
                {patient}
                {session}
                {kept}
                shown={shown as StepShown['decide']}
            />
        {:else if session.step === 'hand-over'}<HandOverStep
                {patient}
                {session}
                {kept}
                shown={shown as StepShown['hand-over']}
            />{/if}
    {/key}
    {#if !session.closed_on && session.step !== 'note'}<Onward {patient} {session} />{/if}
</Room>
