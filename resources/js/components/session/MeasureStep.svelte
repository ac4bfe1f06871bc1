<script lang="ts">
    import { untrack } from 'svelte';
    import type { DeskProps } from '../../types/measure';
    import type { PatientHead } from '../../types/pages';
    import type { KeptContent, SessionHeadView } from '../../types/session';
    import MeasureDesk from '../measure/MeasureDesk.svelte';
    import KeptLine from '../keeping/KeptLine.svelte';
    import { KeptStep } from '../keeping/kept.svelte';
    import Remarks from './Remarks.svelte';

    interface Content {
        remarks: string;
    }
    let {
        patient,
        session,
        shown,
        kept,
    }: { patient: PatientHead; session: SessionHeadView; shown: DeskProps; kept: KeptContent } = $props();

    const step = untrack(
        () =>
            new KeptStep<Content>(`/patients/${patient.id}/sessions/${session.id}/steps/measure`, kept, {
                remarks: '',
            }),
    );
</script>

<MeasureDesk {patient} desk={shown} prop="shown" />
<div class="mt-4 max-w-[33rem]">
    <Remarks bind:value={step.content.remarks} label="Seen while measuring" rows={2} />
    <KeptLine {step}
        >{#snippet theirs(content)}<p class="whitespace-pre-line">{content.remarks ?? ''}</p>{/snippet}</KeptLine
    >
</div>
