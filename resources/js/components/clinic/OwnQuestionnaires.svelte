<script lang="ts">
    import { router, useForm } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import type { OwnQuestionnaire } from '../../types/clinic';
    import AskFirst from '../asking/AskFirst.svelte';
    import Field from '../Field.svelte';

    /** Questionnaires that the clinic brought along, and a way to bring another. */
    let { all }: { all: OwnQuestionnaire[] } = $props();

    const form = useForm<{ file: File | null }>({ file: null });
    let leaving = $state.raw<OwnQuestionnaire | null>(null);
    let asks = $state(false);
    let chosen = $state<HTMLInputElement | null>(null);

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/questionnaires', {
            preserveScroll: true,
            onSuccess: () => {
                form.reset();
                if (chosen) chosen.value = '';
            },
        });
    }
</script>

<p class="mb-1 text-[0.925rem] text-muted">
    GAD-7, Nijmegen and mMRC come along. Others are read in here and asked under Measure. What their scores say is not
    known to the program: no rule goes by them, and no answer in them raises a red flag. Whoever asks one reads it.
</p>
{#each all as each (each.id)}
    <div class="border-t border-rule py-1.5">
        <details>
            <summary class="cursor-pointer"
                ><strong class="font-serif">{each.name}</strong>
                <span class="text-muted">{each.counts}</span></summary
            >
            {#if each.intro}<p class="mt-1 text-[0.925rem]">{each.intro}</p>{/if}
            <ol class="mt-1 ml-5 list-decimal text-[0.925rem]">
                {#each each.questions as question, index (index)}<li class="py-0.5">
                        {question.text}<span class="block text-muted">{question.answers}</span>
                    </li>{/each}
            </ol>
        </details>
        <span class="flex gap-4">
            <a class="linklike" href="/questionnaires/{each.id}/file"
                >as a file<span class="visually-hidden">: {each.name}</span></a
            >
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    leaving = each;
                    asks = true;
                }}>ask it no more<span class="visually-hidden">: {each.name}</span></button
            >
        </span>
    </div>
{/each}
<form onsubmit={submit} novalidate class="grid gap-2 border-t border-rule pt-2">
    <Field id="questionnaire-file" label="Another one" hint="A FHIR R4 Questionnaire, as JSON." error={form.errors.file}
        >{#snippet children(attributes)}<input
                type="file"
                accept=".json,application/json,application/fhir+json"
                class="slot w-full"
                bind:this={chosen}
                onchange={(event) => {
                    form.file = event.currentTarget.files?.[0] ?? null;
                }}
                {...attributes}
            />{/snippet}</Field
    >
    <div><Button type="submit" size="sm" outline disabled={form.processing}>Read it in</Button></div>
</form>
<AskFirst
    bind:open={asks}
    title="Ask “{leaving?.name}” no more?"
    text="What was answered stays with the patients. To ask it again it is read in anew: save it as a file first."
    yes="Ask it no more"
    onyes={() => {
        if (leaving) router.delete(`/questionnaires/${leaving.id}`, { preserveScroll: true });
    }}
/>
