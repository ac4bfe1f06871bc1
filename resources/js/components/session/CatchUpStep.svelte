<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { untrack } from 'svelte';
    import type { PatientHead } from '../../types/pages';
    import type { CatchUpShown, KeptContent, SessionHeadView } from '../../types/session';
    import { dayMonth } from '../../shared/format';
    import Evidence from './Evidence.svelte';
    import KeptLine from '../keeping/KeptLine.svelte';
    import { KeptStep } from '../keeping/kept.svelte';
    import Remarks from './Remarks.svelte';

    interface Content {
        remarks: string;
        anything_new: 'no' | 'yes' | null;
    }
    let {
        patient,
        session,
        shown,
        kept,
    }: { patient: PatientHead; session: SessionHeadView; shown: CatchUpShown; kept: KeptContent } = $props();

    const step = untrack(
        () =>
            new KeptStep<Content>(`/patients/${patient.id}/sessions/${session.id}/steps/catch-up`, kept, {
                remarks: '',
                anything_new: null,
            }),
    );
</script>

<div class="grid gap-x-12 gap-y-6 pt-5 md:grid-cols-[1.2fr_1fr]">
    <section>
        <h2 class="mb-1 text-[1.15rem]">Practised</h2>
        {#each shown.exercises as exercise, index (index)}<h3 class="mt-3 text-[1rem]">{exercise.name}</h3>
            <Evidence lines={exercise.lines} />{:else}<p class="text-muted">No programme yet.</p>{/each}
        {#if shown.stops.length > 0}<h2 class="mt-5 mb-1 text-[1.05rem]">Stops</h2>
            <ul>
                {#each shown.stops as stop, index (index)}<li class="border-t border-rule py-1">
                        <strong class="text-clay">{stop.symptom}</strong>
                        <span class="text-muted">{stop.on}</span>{#if stop.remark}<span class="block"
                                >“{stop.remark}”</span
                            >{/if}
                    </li>{/each}
            </ul>{/if}
        {#if shown.diary.entries.length > 0}
            <h2 class="mt-5 mb-1 text-[1.05rem]">Diary, last four weeks</h2>
            <table class="w-full text-[0.925rem]">
                <thead class="text-left text-[0.8125rem] text-muted"
                    ><tr
                        ><th scope="col" class="font-normal">Day</th
                        >{#each shown.diary.symptoms as symptom (symptom.id)}<th scope="col" class="font-normal"
                                >{symptom.name}</th
                            >{/each}<th scope="col" class="font-normal">sleep</th><th scope="col" class="font-normal"
                            >line</th
                        ></tr
                    ></thead
                >
                <tbody
                    >{#each [...shown.diary.entries].reverse().slice(0, 14) as entry (entry.date)}<tr
                            class="border-t border-rule align-top"
                            ><th scope="row" class="py-0.5 pr-3 text-left font-normal whitespace-nowrap"
                                >{dayMonth(entry.date)}{entry.late ? ', late' : ''}</th
                            >{#each shown.diary.symptoms as symptom (symptom.id)}<td
                                    >{entry.ratings[symptom.id] ?? '–'}</td
                                >{/each}<td>{entry.sleep ?? '–'}</td><td>{entry.text ?? ''}</td></tr
                        >{/each}</tbody
                >
            </table>{/if}
        {#if shown.remarks.length > 0}<h2 class="mt-5 mb-1 text-[1.05rem]">In the patient’s words</h2>
            <ul>
                {#each shown.remarks as remark, index (index)}<li class="border-t border-rule py-1">
                        “{remark.text}” <span class="text-muted">{remark.on}</span>
                    </li>{/each}
            </ul>{/if}
    </section>
    <section>
        <fieldset class="border-t border-ink pt-2">
            <legend class="float-left w-full font-serif text-[1.05rem] font-semibold"
                >Anything new in health or medicines?</legend
            >
            <p class="clear-both text-muted">
                {shown.screened
                    ? `Screened ${shown.screened.on} by ${shown.screened.by}${shown.screened.today ? ', today' : ''}.`
                    : 'Not screened yet.'}
            </p>
            <p class="mt-1 flex items-center gap-5">
                {#if shown.screened}<label
                        ><input
                            type="radio"
                            class="mr-1 border-gray-300 text-primary-700"
                            name="new"
                            value="no"
                            bind:group={step.content.anything_new}
                        />No, nothing new</label
                    >{/if}
                <label
                    ><input
                        type="radio"
                        class="mr-1 border-gray-300 text-primary-700"
                        name="new"
                        value="yes"
                        bind:group={step.content.anything_new}
                    />{shown.screened ? 'Yes' : 'Screen now'}</label
                >
                {#if step.content.anything_new === 'yes'}<Link
                        class="linklike"
                        href="/patients/{patient.id}/screening?session={session.id}">To the screening</Link
                    >{/if}
            </p>
        </fieldset>
        <div class="mt-5"><Remarks bind:value={step.content.remarks} label="What the patient tells" rows={8} /></div>
        <KeptLine {step}
            >{#snippet theirs(content)}<p class="whitespace-pre-line">{content.remarks ?? ''}</p>{/snippet}</KeptLine
        >
    </section>
</div>
