<script lang="ts">
    import Wide from '../Wide.svelte';
    import AskWhy from '../asking/AskWhy.svelte';
    import type { CoursePractice } from '../../types/course';

    let { practices, patientId }: { practices: CoursePractice[]; patientId: string } = $props();

    const HEADS = ['When', 'Anchor', 'Got', 'Before → after', 'Effort', 'Smooth', 'What was said'];

    const rating = (before: number | null, after: number | null): string =>
        before === null && after === null ? '–' : `${before ?? '–'} → ${after ?? '–'}`;
</script>

<Wide label="The latest practices"
    ><table class="w-full text-[0.9rem]">
        <caption class="visually-hidden">The latest practices</caption>
        <thead
            ><tr class="text-left text-[0.8125rem] text-muted">
                {#each HEADS as head (head)}<th scope="col" class="py-1 pr-3 font-normal">{head}</th>{/each}
            </tr></thead
        >
        <tbody>
            {#each practices as practice (practice.uuid)}
                <tr class="border-t border-rule align-top">
                    <td class="py-1 pr-3 whitespace-nowrap">{practice.on}</td>
                    <td class="py-1 pr-3">{practice.anchor ?? ''}</td>
                    <td class="py-1 pr-3 whitespace-nowrap">{practice.got}</td>
                    <td class="py-1 pr-3">{rating(practice.before, practice.after)}</td>
                    <td class="py-1 pr-3">{practice.effort ?? '–'}</td>
                    <td class="py-1 pr-3">{practice.smooth ?? '–'}</td>
                    <td class="py-1"
                        >{#if practice.symptom}<strong class="text-clay">{practice.symptom}</strong>{practice.remark
                                ? ': '
                                : ''}{/if}{practice.slight_symptom
                            ? 'something slight that passed. '
                            : ''}{practice.remark ?? ''}{#if practice.from_paper}<span class="text-muted"
                                >from paper</span
                            >
                            <AskWhy
                                url="/patients/{patientId}/practices/{practice.uuid}/strike"
                                opener="Take it back"
                                of="the practice of {practice.on}"
                                title="Take back a practice from paper"
                                text="It counts no more; the Trail keeps that it was there. A pause that it made
                                    stays until you have looked."
                                button="Take it back"
                            />{/if}</td
                    >
                </tr>
            {/each}
        </tbody>
    </table></Wide
>
