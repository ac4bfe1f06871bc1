<script lang="ts">
    import { untrack } from 'svelte';
    import { sendSignedIn } from '../../lib/send';
    import { inWords } from '../../shared/http';
    import type { BenchChoices, DraftFields, TemplateChoice } from '../../types/pages';
    import type { Bench } from './bench.svelte';
    import type { GoalFields } from '../../types/pages';

    interface Taken {
        items: Partial<DraftFields>[];
        school: string;
        weeks?: number;
        rated_symptom?: string;
        goal?: GoalFields | null;
        problems?: { path: string; message: string }[];
    }
    interface Props {
        bench: Bench;
        choices: BenchChoices;
        exportUrl: string | null;
        ontaken: (taken: Taken) => void;
    }

    let { bench, choices, exportUrl, ontaken }: Props = $props();

    let templates = $state.raw<TemplateChoice[]>(untrack(() => choices.templates));
    let at = $state('');
    let name = $state('');
    let said = $state('');
    let trouble = $state('');
    let problems = $state.raw<{ path: string; message: string }[]>([]);

    const chosen = $derived(at === '' ? undefined : templates[Number(at)]);

    async function ask<T>(what: () => Promise<T>): Promise<T | null> {
        trouble = '';
        said = '';
        problems = [];
        try {
            return await what();
        } catch (problem) {
            trouble = inWords(problem, 'Nothing was kept.');
            return null;
        }
    }

    function take(): void {
        if (!chosen) return;
        bench.replace(chosen.items, chosen.school, choices.techniques);
        said = `Started from “${chosen.name}”; look at the findings for this patient. Undo brings back what was there.`;
    }

    async function keep(): Promise<void> {
        const kept = await ask(() =>
            sendSignedIn<{ templates: TemplateChoice[] }>('/templates', 'POST', {
                name,
                items: bench.draft().items,
                school: bench.school,
            }),
        );
        if (!kept) return;
        templates = kept.templates;
        said = `Kept as “${name}”.`;
        name = '';
    }

    async function forget(): Promise<void> {
        if (!chosen?.id) return;
        const id = chosen.id;
        const kept = await ask(() =>
            sendSignedIn<{ templates: TemplateChoice[] }>(`/templates/${id}`, 'DELETE', undefined),
        );
        if (kept) {
            templates = kept.templates;
            at = '';
        }
    }

    async function read(event: Event): Promise<void> {
        if (!(event.currentTarget instanceof HTMLInputElement)) return;
        const input = event.currentTarget;
        const text = await input.files?.[0]?.text();
        input.value = '';
        if (text === undefined) return;
        const taken = await ask(() => bench.post<Taken>('import', { text, items: [] }));
        if (!taken) return;
        if (taken.problems) {
            problems = taken.problems;
            return;
        }
        ontaken(taken);
        said = 'The file is on the Bench; look at the findings for this patient. Undo brings back what was there.';
    }
</script>

<div class="grid gap-1 text-[0.925rem] leading-8">
    <p>
        Start from <select class="slot small" aria-label="Template" bind:value={at}
            ><option value="">a template…</option
            >{#each templates as template, index (template.id ?? template.name)}<option value={index}
                    >{template.name}{template.id ? ' (own)' : ''}</option
                >{/each}</select
        >
        <button type="button" class="linklike" disabled={!chosen} onclick={take}>take it</button>{#if chosen?.id}, or
            <button type="button" class="linklike" onclick={forget}>delete it</button>{/if}
    </p>
    <p>
        Keep what is here as <input
            class="slot small !text-left"
            aria-label="Name of the template"
            maxlength="80"
            bind:value={name}
            onkeydown={(event) => {
                if (event.key === 'Enter') {
                    event.preventDefault();
                    void keep();
                }
            }}
        /> <button type="button" class="linklike" onclick={keep}>keep as a template</button>
    </p>
    <p>
        <label
            >Read a programme file <input
                type="file"
                accept=".json,application/json"
                class="text-[0.875rem]"
                onchange={read}
            /></label
        >
        {#if exportUrl}· <a class="linklike" href={exportUrl} download>write the version in force to a file</a>{/if}
    </p>
    {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
    {#if problems.length > 0}
        <div role="alert" class="leading-snug">
            <p class="font-semibold text-clay">The file cannot be taken; nothing of it was.</p>
            <ul class="text-[0.875rem]">
                {#each problems.slice(0, 12) as problem (problem.path)}<li>
                        <code>{problem.path}</code>
                        {problem.message}
                    </li>{/each}
            </ul>
            {#if problems.length > 12}<p>and {problems.length - 12} more.</p>{/if}
        </div>
    {/if}
    {#if said}<p role="status" class="text-moss">{said}</p>{/if}
</div>
