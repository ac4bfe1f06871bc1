<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import { Button, Textarea } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import AskFirst from '../asking/AskFirst.svelte';
    import Field from '../Field.svelte';
    import KeptLine from '../keeping/KeptLine.svelte';
    import { KeptStep } from '../keeping/kept.svelte';
    import PartField from './PartField.svelte';
    import { sendSignedIn } from '../../lib/send';
    import { inWords } from '../../shared/http';
    import type { LetterContent, LetterDraftShown } from '../../types/letters';

    /** A letter while it is written. */
    let { all, kind, label, is_to_other, parts, longest, kept, replaces, blocks }: LetterDraftShown & { all: string } =
        $props();

    const url = untrack(() => `${all}/${kind}`);
    const draft = untrack(
        () => new KeptStep<LetterContent>(url, kept, { addressee: '', parts: {}, with_course: true }),
    );
    let trouble = $state('');
    let isBusy = $state(false);
    let asksFill = $state(false);
    let asksAway = $state(false);

    async function busy(failed: string, work: () => Promise<void>): Promise<void> {
        trouble = '';
        isBusy = true;
        await draft.flush();
        try {
            await work();
        } catch (problem) {
            trouble = inWords(problem, failed);
        } finally {
            isBusy = false;
        }
    }

    const sign = (): Promise<void> =>
        busy('The letter is not signed; what you typed is still here.', async () => {
            const { go_to } = await sendSignedIn<{ go_to: string }>(`${url}/signature`, 'POST', {
                revision: draft.at,
            });
            router.visit(go_to);
        });

    const fill = (): Promise<void> =>
        busy('It could not be filled; what you typed is still here.', async () => {
            const filled = await sendSignedIn<{ parts: Record<string, string> }>(`${url}/fill`, 'POST');
            draft.content.parts = filled.parts;
        });

    async function preview(event: MouseEvent): Promise<void> {
        if (draft.state === 'kept') return;
        event.preventDefault();
        await draft.flush();
        window.open(`${url}/draft.pdf`, '_blank');
    }
</script>

<div class="grid grid-cols-1 items-start gap-x-12 gap-y-6 pt-5 md:grid-cols-[1.8fr_1fr]">
    <section aria-labelledby="letter" class="grid grid-cols-1 gap-4 border border-rule bg-card px-6 py-5">
        <h2 id="letter" class="text-[1.25rem]">{label}</h2>
        {#if is_to_other}
            <Field id="addressee" label="To" hint="Name and address, as they stand in the window of an envelope"
                >{#snippet children(attributes)}<Textarea
                        rows={3}
                        maxlength={500}
                        class="w-full max-w-[26rem]"
                        bind:value={draft.content.addressee}
                        {...attributes}
                    />{/snippet}</Field
            >
        {/if}
        {#each parts as part (part.key)}
            <PartField {part} {longest} {blocks} bind:text={draft.content.parts[part.key]} />
        {/each}
    </section>
    <aside class="grid gap-4 md:sticky md:top-4" aria-label="What becomes of it">
        {#if replaces}<p class="border-l-4 border-ochre pl-3">
                It stands in the place of one that was signed. That one stays readable.
            </p>{/if}
        <p class="text-muted">
            Filled from the record. A paragraph that is empty is left out. Your name, profession and the clinic stand
            under it.
        </p>
        {#if is_to_other}<label
                ><input
                    type="checkbox"
                    class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                    bind:checked={draft.content.with_course}
                />The Course as a drawing on a page of its own</label
            >{/if}
        <KeptLine step={draft}
            >{#snippet theirs(content)}<div class="max-h-60 overflow-y-auto">
                    {#each parts as part (part.key)}<p class="mb-2 whitespace-pre-line">
                            <strong>{part.heading}</strong>
                            {content.parts[part.key] ?? ''}
                        </p>{/each}
                </div>{/snippet}</KeptLine
        >
        <div class="flex flex-wrap items-center gap-x-5 gap-y-3">
            <Button disabled={isBusy || draft.theirs !== null} onclick={sign}>Sign the letter</Button>
            <a class="linklike" href="{url}/draft.pdf" target="_blank" onclick={preview}>See it on paper</a>
        </div>
        {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
        <p class="text-[0.875rem] text-muted">A signed letter stays as it is; another can be written in its place.</p>
        <p class="flex flex-wrap gap-x-5 border-t border-rule pt-3">
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    asksFill = true;
                }}>Fill it from the record again</button
            >
            <button
                type="button"
                class="linklike"
                onclick={() => {
                    asksAway = true;
                }}>Throw the draft away</button
            >
            <Link class="linklike" href={all}>To all letters</Link>
        </p>
    </aside>
</div>
<AskFirst
    bind:open={asksFill}
    title="Fill it again?"
    text="Every paragraph is written anew from the record; what you changed in them goes."
    yes="Fill it again"
    onyes={() => void fill()}
/>
<AskFirst
    bind:open={asksAway}
    title="Throw this draft away?"
    text="What you wrote in it goes. Signed letters stay."
    yes="Throw it away"
    onyes={() => {
        draft.forget();
        router.delete(url);
    }}
/>
