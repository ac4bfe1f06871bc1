<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import Anchors from '../components/course/Anchors.svelte';
    import Axis from '../components/course/Axis.svelte';
    import CloseProgramme from '../components/course/CloseProgramme.svelte';
    import DayTable from '../components/course/DayTable.svelte';
    import NextAppointment from '../components/NextAppointment.svelte';
    import Paper from '../components/course/Paper.svelte';
    import Periods from '../components/course/Periods.svelte';
    import PracticeTable from '../components/course/PracticeTable.svelte';
    import Proposals from '../components/course/Proposals.svelte';
    import VersionTable from '../components/course/VersionTable.svelte';
    import Lifted from '../components/Lifted.svelte';
    import LineForm from '../components/LineForm.svelte';
    import PauseForm from '../components/PauseForm.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import Room from '../components/Room.svelte';
    import type { CourseProps } from '../types/course';

    let {
        patient,
        added_on,
        pauses,
        new_findings,
        appointment,
        outcomes,
        ended,
        maintenance,
        span,
        spans,
        programme,
        proposals,
        stops,
        practices,
        put_offs = [],
        home_checks = [],
        self_checks = [],
        effects = [],
        trends = [],
        anchors = [],
        periods,
        paper,
        note,
        programmes = [],
        lifted = [],
    }: CourseProps = $props();

    /** What follows when the page has opened is gone for a moment after an answer; what is being typed there stays. */
    let grid = $state.raw<CourseProps['paper']>();
    $effect(() => {
        if (paper !== undefined) grid = paper;
    });

    /** Leads to what belongs to a closed programme. */
    const query = $derived(ended ? `?programme=${ended.programme}` : '');
</script>

<Room title="Course of {patient.name}">
    <PatientBar {patient} here="course" />
    {#each pauses as pause (pause.id)}
        <section
            class="mt-4 grid items-start gap-8 border-l-8 border-clay bg-card px-5 py-4 md:grid-cols-[1fr_24rem]"
            aria-labelledby="paused-{pause.id}"
        >
            <div>
                <h2 id="paused-{pause.id}" class="text-lg text-clay">{pause.text}</h2>
                <p class="text-muted">
                    Since {pause.since}. {pause.by_flag || pause.rule === 'PAUSE-BY-PRACTITIONER'
                        ? ''
                        : 'It stays paused until you have looked.'}
                </p>
                {#if stops?.[0]?.remark}<p class="mt-2">“{stops[0].remark}”</p>{/if}
            </div>
            {#if pause.by_flag}<p>
                    <Link href="/patients/{patient.id}/screening" class="linklike">Record it under Screening</Link>
                </p>
            {:else}<LineForm
                    id="pause-{pause.id}"
                    url="/patients/{patient.id}/pauses/{pause.id}/end"
                    label={pause.rule === 'PAUSE-BY-PRACTITIONER' ? 'Why it goes on' : 'What you found'}
                    button={pause.rule === 'PAUSE-BY-PRACTITIONER' ? 'Let it go on' : 'I have looked; let it go on'}
                />{/if}
        </section>
    {/each}
    {#if new_findings.length > 0}
        <section
            class="mt-4 grid items-start gap-8 border-l-8 border-ochre bg-card px-5 py-4 md:grid-cols-[1fr_24rem]"
            aria-label="New findings"
        >
            <div>
                <h2 class="text-lg">New since the programme was issued</h2>
                <ul>
                    {#each new_findings as finding, index (index)}<li
                            class="border-t border-rule py-1.5"
                            title={finding.rule}
                        >
                            <strong>{finding.title}</strong>, {finding.exercise}. {finding.message}
                            <span class="text-muted">{finding.found}</span>
                        </li>{/each}
                </ul>
                <p class="mt-2">Change it on the Bench, or say why it goes on as it is.</p>
            </div>
            {#if pauses.every((pause) => pause.rule !== 'PAUSE-NEW-FINDING')}<LineForm
                    id="new-findings"
                    url="/patients/{patient.id}/new-findings/settle"
                    label="Why it goes on as it is"
                    button="I have looked"
                />{/if}
        </section>
    {/if}
    <div class="flex flex-wrap items-baseline justify-between gap-x-8 gap-y-1 pt-3">
        <NextAppointment {appointment} patientId={patient.id} />
        {#if programme}<nav aria-label="How much is shown" class="flex gap-4 text-[0.925rem] print:hidden">
                {#each spans as each (each.value)}<Link
                        href="/patients/{patient.id}?span={each.value}{query.replace('?', '&')}"
                        preserveScroll
                        class={each.value === span
                            ? 'font-bold underline decoration-2 underline-offset-4'
                            : 'text-muted'}
                        aria-current={each.value === span ? 'true' : undefined}>{each.label}</Link
                    >{/each}
            </nav>{/if}
    </div>
    {#if ended || programme === null}
        <p class="pt-3">
            {#if ended}<strong>{ended.outcome[0]?.toUpperCase()}{ended.outcome.slice(1)}</strong>: this programme was
                closed on {ended.on}.{#if ended.note}&nbsp;<span class="text-muted">“{ended.note}”</span
                    >{/if}{:else}<span class="text-muted"
                    >Added {added_on}. No programme yet, so nothing has happened.</span
                >{/if}
            <span class="print:hidden">
                {#if patient.has_programme}<Link href="/patients/{patient.id}" class="linklike">To the running one</Link
                    >
                {:else if patient.obstacle === null}
                    {#if ended}<Link href="/patients/{patient.id}/bench?keep_up=1" class="linklike">Keep it up</Link>
                        on fewer days, or <Link href="/patients/{patient.id}/bench" class="linklike">build another</Link
                        >.
                    {:else}<Link href="/patients/{patient.id}/bench" class="linklike">Build one on the Bench</Link>{/if}
                {/if}
            </span>
        </p>
    {/if}
    {#if programme !== null}
        <div class="pt-2"><Axis {programme} patientId={patient.id} {query} /></div>
        <div class="mt-3 grid gap-10 border-t border-ink pt-3 md:grid-cols-[5fr_4fr]">
            <div>
                {#if !ended}
                    <section aria-label="Proposals" class="mb-5">
                        <h2 class="mb-1 text-[1.15rem]">Proposed</h2>
                        {#if maintenance}<p class="mb-1 text-muted">
                                This programme keeps up what was reached. It has no end; nothing is stepped up.
                            </p>{/if}
                        <Proposals {proposals} patientId={patient.id} {outcomes} />
                    </section>
                {/if}
                <h2 class="mb-1 text-[1.05rem]">Each version against itself</h2>
                <VersionTable versions={programme.versions} shownFrom={programme.from} patientId={patient.id} {query} />
                {#if !ended}
                    <details class="mt-3 print:hidden">
                        <summary class="linklike cursor-pointer">Pause an exercise, or everything</summary>
                        <div class="mt-2">
                            <PauseForm patientId={patient.id} id="pause" exercises={programme.present} />
                        </div>
                    </details>
                    <CloseProgramme patientId={patient.id} {outcomes} id="close" />
                {/if}
                {#if programmes.length > 0}
                    <nav aria-label="Programmes" class="mt-4">
                        <h2 class="mb-1 text-[1.05rem]">Programmes</h2>
                        <ul>
                            {#each programmes as each (each.id)}<li class="border-t border-rule py-1 text-[0.925rem]">
                                    {#if each.here}<strong aria-current="true">{each.text}</strong>{:else}<Link
                                            href="/patients/{patient.id}{each.running ? '' : `?programme=${each.id}`}"
                                            class="linklike">{each.text}</Link
                                        >{/if}
                                </li>{/each}
                        </ul>
                    </nav>
                {/if}
            </div>
            <section>
                {#if note}
                    <h2 class="mb-1 text-[1.05rem]">Last note · signed {note.on}</h2>
                    <p class="line-clamp-4 text-[0.925rem] whitespace-pre-line">{note.text}</p>
                    <Link
                        href="/patients/{patient.id}/sessions/{note.session}/note"
                        class="linklike text-[0.9rem] print:hidden">Read it whole</Link
                    >
                    <div class="mt-4"></div>
                {/if}
                <h2 class="mb-1 text-[1.05rem]">Stops</h2>
                {#if stops === undefined}<p class="text-muted" role="status">
                        Reading …
                    </p>{:else if stops.length === 0}<p class="text-muted">No practice was stopped.</p>{/if}
                <ul>
                    {#each stops ?? [] as stop, index (index)}
                        <li class="border-t border-rule py-1.5 text-[0.925rem]">
                            <strong class={stop.class === 'no-symptom' ? '' : 'text-clay'}>{stop.symptom}</strong>
                            · {stop.on}, {stop.got}
                            {#if stop.remark}<span class="block text-muted">“{stop.remark}”</span>{/if}
                        </li>
                    {/each}
                </ul>
                {#if lifted.length > 0}<h2 class="mt-4 mb-1 text-[1.05rem]">What was found when a pause was lifted</h2>
                    <Lifted pauses={lifted} />{/if}
                {#if anchors.length > 1}<h2 class="mt-4 mb-1 text-[1.05rem]">By anchor</h2>
                    <Anchors {anchors} />{/if}
                {#if put_offs.length > 0}
                    <h2 class="mt-4 mb-1 text-[1.05rem]">Not today</h2>
                    <ul>
                        {#each put_offs as said, index (index)}<li class="border-t border-rule py-1 text-[0.925rem]">
                                <strong>{said.reason}</strong> · {said.on}, {said.anchor.toLowerCase()}, {said.exercise}
                            </li>{/each}
                    </ul>
                {/if}
                {#if effects.length > 0}
                    <h2 class="mt-4 mb-1 text-[1.05rem]">Before and after practice</h2>
                    <ul>
                        {#each effects as each, index (index)}<li class="border-t border-rule py-1.5 text-[0.925rem]">
                                <strong>{each.name}.</strong>
                                {each.effect}
                            </li>{/each}
                    </ul>
                {/if}
                {#if trends.length > 0}
                    <h2 class="mt-4 mb-1 text-[1.05rem]">From the diary</h2>
                    <ul>
                        {#each trends as each, index (index)}<li class="border-t border-rule py-1.5 text-[0.925rem]">
                                <strong>{each.name}.</strong>
                                {each.trend}{#if each.days}<span class="block text-muted">{each.days}</span>{/if}
                            </li>{/each}
                    </ul>
                {/if}
                {#if self_checks.length > 0}
                    <h2 class="mt-4 mb-1 text-[1.05rem]">What the patient saw</h2>
                    <ul>
                        {#each self_checks as check, index (index)}<li
                                class="border-t border-rule py-1.5 text-[0.925rem]"
                            >
                                {check.exercise}, {check.asked}: {check.lately
                                    ? `first ${check.first}; lately ${check.lately}`
                                    : check.first} <span class="text-muted">(their own word)</span>
                            </li>{/each}
                    </ul>
                {/if}
                {#if home_checks.length > 0}
                    <h2 class="mt-4 mb-1 text-[1.05rem]">Tapped at home</h2>
                    <ul>
                        {#each home_checks as check, index (index)}<li
                                class="border-t border-rule py-1 text-[0.925rem]"
                            >
                                <strong>{check.rate} a minute</strong> · {check.on}{check.doubtful > 0
                                    ? `, ${check.doubtful} doubtful`
                                    : ''}
                            </li>{/each}
                    </ul>
                {/if}
            </section>
        </div>
        {#if periods}
            <section class="mt-5 border-t border-ink pt-3">
                <h2 class="mb-1 text-[1.05rem]">Two periods side by side</h2>
                <Periods {periods} {span} patientId={patient.id} programme={ended?.programme} />
            </section>
        {/if}
        <DayTable {programme} />
        {#if grid && grid.rows.length > 0}<Paper paper={grid} patientId={patient.id} />{/if}
        <section class="mt-5 border-t border-ink pt-3">
            <h2 class="mb-1 text-[1.05rem]">Latest practices</h2>
            {#if practices === undefined}<p class="text-muted">Reading …</p>{:else if practices.length === 0}<p
                    class="text-muted"
                >
                    None yet.
                </p>{:else}<PracticeTable {practices} patientId={patient.id} />{/if}
        </section>
    {/if}
</Room>
