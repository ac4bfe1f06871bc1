<script lang="ts">
    import { router, useForm } from '@inertiajs/svelte';
    import { Button, Textarea } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import { sendSignedIn } from '../../lib/send';
    import { inWords } from '../../shared/http';
    import type { PatientHead } from '../../types/pages';
    import type { KeptContent, NoteShown, SessionHeadView } from '../../types/session';
    import Field from '../Field.svelte';
    import KeptLine from '../keeping/KeptLine.svelte';
    import { KeptStep } from '../keeping/kept.svelte';

    interface Content {
        text: string;
    }
    let {
        patient,
        session,
        shown,
        kept,
    }: { patient: PatientHead; session: SessionHeadView; shown: NoteShown; kept: KeptContent } = $props();

    const url = untrack(() => `/patients/${patient.id}/sessions/${session.id}`);
    const step = untrack(() => new KeptStep<Content>(`${url}/steps/note`, kept, { text: '' }));
    // Until something is typed here, the note is what the steps have filled.
    untrack(() => {
        if (step.content.text === '') step.prefill({ text: shown.draft });
    });
    const form = useForm({ text: '', reason: '' });
    let trouble = $state('');
    let isSigning = $state(false);

    async function sign(): Promise<void> {
        trouble = '';
        isSigning = true;
        await step.flush();
        try {
            const { go_to } = await sendSignedIn<{ go_to: string }>(`${url}/signature`, 'POST', {
                text: step.content.text,
            });
            router.visit(go_to);
        } catch (problem) {
            trouble = inWords(problem, 'The note is not signed; what you typed is still here.');
        } finally {
            isSigning = false;
        }
    }

    function amend(event: SubmitEvent): void {
        event.preventDefault();
        form.post(`${url}/amendments`, { preserveScroll: true, onSuccess: () => form.reset() });
    }
</script>

{#if shown.signed}
    <div class="grid items-start gap-x-12 gap-y-6 pt-5 md:grid-cols-[1.3fr_1fr]">
        <article class="border border-rule bg-card px-7 py-5" aria-label="Signed note">
            <p class="leading-relaxed whitespace-pre-line">{shown.signed.text}</p>
            <p class="mt-4 border-t border-ink pt-2 text-muted">Signed by {shown.signed.by}, {shown.signed.on}</p>
            {#each shown.signed.amendments as amendment, index (index)}
                <div class="mt-3 border-l-4 border-ochre pl-4">
                    <p class="whitespace-pre-line">{amendment.text}</p>
                    <p class="text-[0.875rem] text-muted">
                        Amendment: {amendment.reason}. {amendment.by}, {amendment.on}
                    </p>
                </div>
            {/each}
        </article>
        <form onsubmit={amend} novalidate>
            <h2 class="mb-1 text-[1.15rem]">Amend</h2>
            <p class="text-muted">The signed text stays as it is; both are read together.</p>
            <div class="mt-3 grid gap-3">
                <Field id="text" label="What is added or corrected" error={form.errors.text}
                    >{#snippet children(attributes)}<Textarea
                            rows={4}
                            class="w-full"
                            bind:value={form.text}
                            {...attributes}
                        />{/snippet}</Field
                >
                <Field id="reason" label="Why" error={form.errors.reason}
                    >{#snippet children(attributes)}<Textarea
                            rows={1}
                            class="w-full"
                            bind:value={form.reason}
                            {...attributes}
                        />{/snippet}</Field
                >
                <div><Button type="submit" outline disabled={form.processing}>Sign the amendment</Button></div>
            </div>
        </form>
    </div>
{:else}
    <div class="grid items-start gap-x-12 gap-y-6 pt-5 md:grid-cols-[1.6fr_1fr]">
        <div>
            <label class="font-semibold" for="note">Note</label>
            <span class="text-muted">filled from the steps; change what you like, then sign</span>
            <Textarea
                id="note"
                rows={18}
                class="mt-1 w-full text-base leading-relaxed"
                bind:value={step.content.text}
            />
            <KeptLine {step}
                >{#snippet theirs(content)}<p class="max-h-60 overflow-y-auto whitespace-pre-line">
                        {content.text ?? ''}
                    </p>{/snippet}</KeptLine
            >
            <div class="mt-3 flex items-center gap-4">
                <Button disabled={isSigning || step.theirs !== null} onclick={sign}>Sign the note</Button>
                <button
                    type="button"
                    class="linklike"
                    onclick={() => {
                        step.content.text = shown.draft;
                    }}>Fill it from the steps again</button
                >
                <span class="text-[0.875rem] text-muted">Signing ends the session. A signed note is only amended.</span>
            </div>
            {#if trouble}<p role="alert" class="mt-2 font-semibold text-clay">{trouble}</p>{/if}
        </div>
        {#if shown.since.length > 0}<aside aria-labelledby="since">
                <h2 id="since" class="mb-2 text-[1.15rem]">Since the last session</h2>
                <ul>
                    {#each shown.since as line, index (index)}<li class="border-t border-rule py-1.5">
                            <strong class="font-serif text-[1.1rem]">{line.number}</strong>
                            {line.text}
                        </li>{/each}
                </ul>
            </aside>{/if}
    </div>
{/if}
