<script lang="ts">
    import AskWhy from '../components/asking/AskWhy.svelte';
    import Numbers from '../components/bench/Numbers.svelte';
    import SheetLinks from '../components/SheetLinks.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import Ridge from '../shared/Ridge.svelte';
    import Room from '../components/Room.svelte';
    import { WEEKDAYS } from '../shared/format';
    import type { VersionProps } from '../types/props';

    let { patient, version }: VersionProps = $props();

    const days = (numbers: number[]): string =>
        numbers.length === 7 ? 'every day' : numbers.map((n) => WEEKDAYS[n - 1]?.slice(0, 3)).join(', ');

    const inForce = $derived(version.in_force_from + (version.ends_on ? ` to ${version.ends_on}` : ''));
    const place = (item: { position: string; props: string[] }): string =>
        item.props.length > 0 ? `${item.position}, with ${item.props.join(', ')}` : item.position;
</script>

<Room title="Version {version.number} for {patient.name}">
    <PatientBar {patient} here="version" note="version {version.number}, as issued" />
    <p class="pt-4">
        Issued by {version.by} on {version.issued_on}. In force from {inForce}; review {version.review_on}. Rated before
        and after: {version.rated_symptom}. School: {version.school}.
    </p>
    {#if version.withdrawn}<p class="mt-2 border-l-4 border-clay bg-card px-4 py-2 font-semibold">
            {version.withdrawn}
        </p>{/if}
    {#if version.goal}<p class="mt-1">
            Goal: {version.goal.words ? `“${version.goal.words}”, ` : ''}{version.goal.summary}.
        </p>{/if}
    {#if version.reason}<p class="mt-1">Why it changed: {version.reason}</p>{/if}
    {#if version.patient_note}<p class="mt-1 whitespace-pre-line">For the patient: {version.patient_note}</p>{/if}
    <p class="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <span><SheetLinks href="/patients/{patient.id}/versions/{version.number}/sheet.pdf{version.query}" /></span>
        <a
            class="linklike"
            href="/patients/{patient.id}/versions/{version.number}/programme.json{version.query}"
            download>Programme as a file</a
        >
        {#if version.can_be_withdrawn}<AskWhy
                url="/patients/{patient.id}/versions/{version.number}/withdraw"
                opener="Withdraw it"
                title="Withdraw version {version.number}"
                text="Possible today, while nothing of it has been practised. What was in force before is in force
                    again; this version stays readable."
                button="Withdraw it"
            />{/if}
    </p>
    {#each version.items as item (item.lineage)}
        <section class="mt-5 border-t border-ink pt-4">
            <h2 class="text-lg">{item.name}: {item.summary}</h2>
            <div class="mt-2 grid grid-cols-1 gap-x-10 gap-y-4 md:grid-cols-[minmax(0,38rem)_1fr]">
                <div>
                    <Ridge shape={item.ridge} width={600} height={130} label={item.summary} />
                    <div class="mt-3"><Numbers figures={item.figures} /></div>
                </div>
                <div>
                    <p>
                        {place(item)}; in by {item.route_in}, out by {item.route_out}; size: {item.effort}.
                    </p>
                    {#if item.steps.length > 0}<ol class="mt-2 list-decimal pl-5 text-[0.925rem]">
                            {#each item.steps as step, index (index)}<li>{step}</li>{/each}
                        </ol>{/if}
                    {#if item.as_needed}<p class="mt-2">As needed: {item.as_needed}.</p>{/if}
                    {#if item.why}<p class="mt-2">Why: {item.why}</p>{/if}
                    {#if item.short}<p class="mt-2 text-muted">Short version: {item.short}.</p>{/if}
                    <ul class="mt-3">
                        {#each item.fields.anchors as anchor (anchor.anchor)}
                            <li class="border-t border-rule py-1">
                                {anchor.label}, {anchor.from} to {anchor.to}, {days(anchor.days)}
                            </li>
                        {/each}
                    </ul>
                </div>
            </div>
        </section>
    {/each}
    {#each version.finding_reasons as reason, index (index)}
        <section class="mt-5 border-l-8 border-double border-clay pl-4" aria-label="Reason given">
            <p class="font-semibold">{reason.message}</p>
            <p>{reason.reason}</p>
            <p class="text-sm text-muted">{reason.by}, {reason.on} · {reason.rule}</p>
        </section>
    {/each}
</Room>
