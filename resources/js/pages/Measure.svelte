<script lang="ts">
    import MeasureDesk from '../components/measure/MeasureDesk.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import Room from '../components/Room.svelte';
    import type { MeasureProps } from '../types/props';

    let { patient, desk }: MeasureProps = $props();
</script>

<Room title="Measure {patient.name}">
    <PatientBar {patient} here="measure" />
    <MeasureDesk {patient} {desk} prop="desk" />
</Room>
