<script lang="ts">
    import MeasureDesk from '../components/measure/MeasureDesk.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import Room from '../components/Room.svelte';
    import type { DeskProps } from '../types/measure';
    import type { PatientHead } from '../types/pages';

    let { patient, desk }: { patient: PatientHead; desk: DeskProps } = $props();
</script>

<Room title="Measure {patient.name}">
    <PatientBar {patient} here="measure" />
    <MeasureDesk {patient} {desk} prop="desk" />
</Room>
