<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { dayMonth, percent, plural, short } from '../../shared/format';
    import type { CourseVersion } from '../../types/course';

    let {
        versions,
        shownFrom,
        patientId,
        query,
    }: {
        versions: CourseVersion[];
        /** What was before is not counted. */ shownFrom: string;
        patientId: string;
        query: string;
    } = $props();

    const credit = ({ adherence, from }: { adherence: { credit: number; due: number }; from: string }): string =>
        `${short(adherence.credit, 1)} of ${adherence.due}${from < shownFrom ? `, since ${dayMonth(shownFrom)}` : ''}`;
</script>

<table class="w-full text-[0.925rem]">
    <caption class="visually-hidden">Adherence, each version measured against itself</caption>
    <thead
        ><tr class="text-left text-[0.8125rem] text-muted"
            ><th scope="col" class="font-normal">Version</th><th scope="col" class="font-normal">Practised</th></tr
        ></thead
    >
    <tbody>
        {#each [...versions].reverse() as version (version.number)}
            <tr class="border-t border-rule align-top" data-adherence={version.number}>
                <td class="py-1.5 pr-3"
                    ><Link href="/patients/{patientId}/versions/{version.number}{query}" class="linklike"
                        >{version.number}: {version.summary}</Link
                    >
                    <span class="block text-[0.8125rem] text-muted"
                        >from {dayMonth(version.from)}, {version.by}{version.reason ? `: ${version.reason}` : ''}</span
                    ></td
                >
                <td class="py-1.5">
                    {#if version.adherence.share === null}
                        <span class="text-muted"
                            >{version.state === 'replaced'
                                ? 'replaced before it began'
                                : version.state === 'before'
                                  ? 'before what is shown'
                                  : version.state === 'ahead'
                                    ? `in force from ${dayMonth(version.from)}`
                                    : 'nothing due yet'}</span
                        >
                    {:else}
                        <strong>{percent(version.adherence.share)}</strong>
                        · {credit(version)}
                        <span class="block text-[0.8125rem] text-muted"
                            >{version.adherence.days_practised} of {plural(version.adherence.days_due, 'day', 'days')},
                            longest gap {plural(version.adherence.longest_gap, 'day', 'days')}{version.adherence
                                .extras > 0
                                ? `, ${version.adherence.extras} extra`
                                : ''}</span
                        >
                    {/if}
                </td>
            </tr>
        {/each}
    </tbody>
</table>
