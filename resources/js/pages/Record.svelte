<script lang="ts">
    import Wide from '../components/Wide.svelte';
    import { Link } from '@inertiajs/svelte';
    import Lifted from '../components/Lifted.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import AskWhy from '../components/asking/AskWhy.svelte';
    import Away from '../components/record/Away.svelte';
    import Details from '../components/record/Details.svelte';
    import Responsible from '../components/record/Responsible.svelte';
    import Erase from '../components/record/Erase.svelte';
    import TakeOut from '../components/record/TakeOut.svelte';
    import RedFlagActions from '../components/RedFlagActions.svelte';
    import Room from '../components/Room.svelte';
    import Trail from '../components/Trail.svelte';
    import { plural, short } from '../shared/format';
    import type { RecordProps } from '../types/record';

    let {
        patient,
        details,
        time_zones,
        languages,
        added_on,
        screenings,
        red_flags,
        exercises,
        measurements,
        questionnaires,
        sessions,
        versions,
        practices,
        letters,
        archived,
        refusals,
        is_lead,
        joins,
        lifted,
        responsible,
        shared_with,
        handovers,
        colleagues,
        trail,
    }: RecordProps = $props();

    const valueOf = (each: RecordProps['measurements'][number]): string =>
        each.words && (each.how.includes('two hands') || each.how.includes('watched')) ? each.words : each.value;
</script>

<Room title="Record of {patient.name}">
    <PatientBar {patient} here="record" />
    <div class="grid grid-cols-1 items-start gap-x-12 gap-y-7 pt-5 md:grid-cols-[1.25fr_1fr]">
        <div class="grid grid-cols-1 gap-7">
            <section aria-labelledby="sessions">
                <h2 id="sessions" class="mb-1 text-[1.15rem]">Sessions</h2>
                {#each sessions as session (session.id)}
                    <article class="border-t border-rule py-2">
                        <p class="flex items-baseline gap-3">
                            {#if session.dropped}<s>Session {session.number}</s>
                            {:else}<Link
                                    class="linklike"
                                    href="/patients/{patient.id}/sessions/{session.id}/{session.note === null
                                        ? 'brief'
                                        : 'note'}">Session {session.number}</Link
                                >{/if}
                            {session.on}
                            <span class="text-muted"
                                >with {session.by}{session.dropped
                                    ? ''
                                    : session.signed_by
                                      ? `, signed by ${session.signed_by}`
                                      : ', open'}{session.amendments > 0
                                    ? `, ${plural(session.amendments, 'amendment', 'amendments')}`
                                    : ''}</span
                            >
                        </p>
                        {#if session.dropped}<p class="text-[0.95rem]">
                                Dropped by {session.dropped.by}: {session.dropped.reason}
                            </p>
                            {#if session.dropped.typed}<details>
                                    <summary class="cursor-pointer text-reed">read what was typed in it</summary>
                                    <p class="mt-1 text-[0.95rem] whitespace-pre-line">{session.dropped.typed}</p>
                                </details>{/if}{/if}
                        {#if session.note}<details>
                                <summary class="cursor-pointer text-reed">read the note</summary>
                                <p class="mt-1 text-[0.95rem] whitespace-pre-line">{session.note}</p>
                            </details>{/if}
                    </article>
                {:else}<p class="text-muted">None yet.</p>{/each}
            </section>
            {#if lifted.length > 0}<section aria-labelledby="lifted">
                    <h2 id="lifted" class="mb-1 text-[1.15rem]">What was found when a pause was lifted</h2>
                    <Lifted pauses={lifted} />
                </section>{/if}
            <section aria-labelledby="programme">
                <h2 id="programme" class="mb-1 text-[1.15rem]">Programme</h2>
                {#each versions as version (version.id)}<p class="border-t border-rule py-1.5">
                        <Link class="linklike" href="/patients/{patient.id}/versions/{version.number}{version.query}"
                            >Version {version.number}</Link
                        >
                        {version.on}, {version.by}: {version.items}{#if version.withdrawn}<span
                                class="block font-semibold">{version.withdrawn}</span
                            >{/if}{#if version.reason}<span class="block text-muted">{version.reason}</span>{/if}
                    </p>{:else}<p class="text-muted">None yet.</p>{/each}
                <p class="border-t border-rule py-1.5">
                    <Link class="linklike" href="/patients/{patient.id}"
                        >{plural(practices, 'practice', 'practices')} on the Course</Link
                    >{#if letters > 0}<Link class="linklike ml-6" href="/patients/{patient.id}/letters"
                            >{plural(letters, 'signed letter', 'signed letters')}</Link
                        >{/if}
                </p>
            </section>
            <section aria-labelledby="measured">
                <h2 id="measured" class="mb-1 text-[1.15rem]">Measured</h2>
                {#if measurements.length === 0}<p class="text-muted">Nothing yet.</p>{:else}
                    <Wide label="What was measured"
                        ><table class="w-full text-[0.925rem]">
                            <thead class="visually-hidden"
                                ><tr
                                    ><th scope="col">Measure</th><th scope="col">Value</th><th scope="col">How</th><th
                                        scope="col">When</th
                                    ><th scope="col">A mistake</th></tr
                                ></thead
                            >
                            <tbody
                                >{#each measurements as each, index (index)}<tr class="border-t border-rule align-top"
                                        ><th scope="row" class="py-1 pr-3 text-left font-semibold">{each.label}</th><td
                                            class="pr-3"
                                            ><span class={each.struck ? 'line-through' : ''}>{valueOf(each)}</span
                                            >{#if each.struck}<span class="block text-muted">{each.struck}</span
                                                >{/if}</td
                                        ><td class="pr-3 text-muted">{each.how}</td><td
                                            class="whitespace-nowrap text-muted">{each.on}, {each.by}</td
                                        ><td class="pl-3 text-right"
                                            >{#if !each.struck}<AskWhy
                                                    url="/patients/{patient.id}/measurements/{each.id}/strike"
                                                    opener="Strike"
                                                    of="{each.label} {each.value} of {each.on}"
                                                    title="Strike {each.label.toLowerCase()}, {each.value}"
                                                    text="It stays readable here with your reason and counts nowhere.
                                                        A red flag that it opened stays until you have looked."
                                                    button="Strike it"
                                                />{/if}</td
                                        ></tr
                                    >{/each}</tbody
                            >
                        </table></Wide
                    >{/if}
                {#each questionnaires.filter((each) => each.last !== null) as each (each.key)}<p
                        class="border-t border-rule py-1.5"
                    >
                        <strong>{each.label}</strong>
                        {each.last?.score === null || each.last === null
                            ? each.most === null
                                ? 'answered'
                                : 'no score'
                            : [short(each.last.score, 1), each.last.band].filter(Boolean).join(', ')}
                        <span class="text-muted">{each.last?.on}</span>{#if each.change}<span class="block text-muted"
                                >Since the first: {each.change}.</span
                            >{/if}
                    </p>{/each}
            </section>
            <section aria-labelledby="screenings">
                <h2 id="screenings" class="mb-1 text-[1.15rem]">Screenings</h2>
                {#each screenings as past, index (index)}<p class="border-t border-rule py-1.5">
                        <strong>{past.on}</strong>
                        <span class="text-muted"
                            >by {past.by}{past.from_patient ? ', from the patient’s own answers' : ''}{past.is_corrected
                                ? '; corrected since'
                                : ''}</span
                        ><span class="block">{past.yes.length > 0 ? past.yes.join('; ') : 'every answer was no'}</span>
                        {#if past.correction}<span class="block"
                                >A correction: {past.correction.reason}
                                <span class="text-muted">{past.correction.changes.join('; ')}</span></span
                            >{/if}
                    </p>{:else}<p class="text-muted">None yet.</p>{/each}
            </section>
            {#if trail}<section aria-labelledby="trail">
                    <h2 id="trail" class="mb-1 text-[1.15rem]">Who opened and changed what</h2>
                    <Trail lines={trail} />
                </section>{/if}
        </div>
        <div class="grid grid-cols-1 gap-7">
            <RedFlagActions {patient} flags={red_flags} {exercises} />
            <Details patientId={patient.id} {details} {time_zones} {languages} addedOn={added_on} />
            <Responsible patientId={patient.id} {responsible} sharedWith={shared_with} {handovers} {colleagues} />
            <TakeOut patientId={patient.id} />
            <Away patientId={patient.id} name={patient.name} {archived} {joins} />
            <Erase patientId={patient.id} name={patient.name} {refusals} isLead={is_lead} />
        </div>
    </div>
</Room>
