<script lang="ts">
    import AllLetters from '../components/letters/AllLetters.svelte';
    import Writing from '../components/letters/Writing.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import Room from '../components/Room.svelte';
    import type { LettersProps } from '../types/letters';

    let { patient, all, draft }: LettersProps = $props();

    const url = $derived(`/patients/${patient.id}/letters`);
</script>

<Room title="{draft?.label ?? 'Letters'} about {patient.name}">
    <PatientBar {patient} here="letters" />
    {#if draft}{#key draft.kind}<Writing all={url} {...draft} />{/key}{/if}
    {#if all}<AllLetters {url} {...all} />{/if}
</Room>
