<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import type { PatientHead } from '../../types/pages';
    import type { BriefShown } from '../../types/session';

    let { patient, shown }: { patient: PatientHead; shown: BriefShown } = $props();

    const URLS = { screening: '/screening', course: '', measure: '/measure' } as const;
</script>

<div class="grid gap-x-12 gap-y-6 pt-5 md:grid-cols-[1.35fr_1fr]">
    <section aria-label="What happened">
        <h2 class="mb-2 text-[1.15rem]">
            {shown.last
                ? `Since session ${shown.last.number}, ${shown.last.on}`
                : shown.lines.some((line) => line.evidence === 'course')
                  ? 'Since the programme began'
                  : 'A first session'}
        </h2>
        {#if shown.lines.length === 0}<p class="text-muted">Nothing has happened yet that could be told.</p>{/if}
        <ul>
            {#each shown.lines as line, index (index)}
                <li class="grid grid-cols-[8.5rem_1fr_auto] items-baseline gap-4 border-t border-rule py-1.5">
                    <strong class="font-serif text-[1.1rem]">{line.number}</strong><span>{line.text}</span>
                    <Link href="/patients/{patient.id}{URLS[line.evidence]}" class="linklike text-[0.875rem]"
                        >{line.evidence}<span class="visually-hidden">: evidence for {line.number} {line.text}</span
                        ></Link
                    >
                </li>
            {/each}
        </ul>
    </section>
    <section aria-label="Worth asking">
        <h2 class="mb-2 text-[1.15rem]">Worth asking</h2>
        {#if shown.questions.length === 0}<p class="text-muted">Nothing stands out.</p>{/if}
        <ol class="list-decimal pl-5">
            {#each shown.questions as question (question)}<li class="py-1">{question}</li>{/each}
        </ol>
        {#if shown.goal}<h2 class="mt-5 mb-1 text-[1.05rem]">Goal</h2>
            <p>
                {#if shown.goal.words}“{shown.goal.words}”,
                {/if}{shown.goal.summary}
            </p>{/if}
        {#if shown.last?.note}<h2 class="mt-5 mb-1 text-[1.05rem]">Last note</h2>
            <p class="max-h-60 overflow-y-auto text-[0.925rem] whitespace-pre-line">{shown.last.note}</p>{/if}
    </section>
</div>
