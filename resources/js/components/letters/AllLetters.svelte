<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import AskWhy from '../asking/AskWhy.svelte';
    import type { LettersShown } from '../../types/letters';

    /** Letters that were signed, and which can be written. */
    let { url, letters, kinds }: LettersShown & { url: string } = $props();

    const about: Record<string, string> = {
        progress: 'to whoever referred the patient, while it goes on',
        discharge: 'to whoever referred the patient, at the end',
        onward: 'to whoever is asked to look at something',
        summary: 'to the patient, in the words of their sheet',
    };
</script>

<div class="grid grid-cols-1 items-start gap-x-12 gap-y-7 pt-5 md:grid-cols-[1.4fr_1fr]">
    <section aria-labelledby="signed">
        <h2 id="signed" class="mb-1 text-[1.15rem]">Signed</h2>
        {#each letters as letter (letter.id)}
            <article class="border-t border-rule py-2.5" aria-label="{letter.label} of {letter.on}">
                <p>
                    <a class="linklike" href="{url}/{letter.id}/letter.pdf" target="_blank">{letter.label}</a>
                    <strong>{letter.on}</strong>
                    {#if letter.to}to {letter.to}{/if}
                    <span class="text-muted">signed by {letter.by}</span>
                </p>
                {#if letter.replaced_on}<p class="text-[0.95rem]">
                        Another of {letter.replaced_on} stands in its place.
                    </p>{/if}
                <p class="flex flex-wrap items-baseline gap-x-5 text-[0.95rem] print:hidden">
                    {#if letter.sent}<span class="text-muted">{letter.sent}</span>
                    {:else}<AskWhy
                            url="{url}/{letter.id}/sent"
                            opener="It was sent"
                            of="{letter.label} of {letter.on}"
                            title="How was it sent?"
                            text="It is noted with today’s date and your name, and stays."
                            button="Note it"
                            name="how"
                            label="How"
                            hint="As: by post, handed over, by secure mail"
                            longest={120}
                        />{/if}
                    <a class="linklike" href="{url}/{letter.id}/letter.txt">As plain text</a>
                    {#if !letter.replaced_on}<button
                            type="button"
                            class="linklike"
                            onclick={() => router.post(url, { kind: letter.kind, replaces: letter.id })}
                            >Write another in its place</button
                        >{/if}
                </p>
            </article>
        {:else}<p class="border-t border-rule py-2.5 text-muted">
                None yet. A letter is filled from the record; you change what you like and sign it.
            </p>{/each}
    </section>
    <section aria-labelledby="write" class="print:hidden">
        <h2 id="write" class="mb-1 text-[1.15rem]">Write</h2>
        {#each kinds as kind (kind.value)}
            <div class="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1 border-t border-rule py-2.5">
                <p>
                    <strong>{kind.label}</strong>
                    <span class="block text-[0.925rem] text-muted">{kind.draft ?? about[kind.value]}</span>
                </p>
                {#if kind.draft}<Link class="linklike" href="{url}/{kind.value}"
                        >Go on<span class="visually-hidden"> with the {kind.label.toLowerCase()}</span></Link
                    >
                {:else}<Button size="sm" outline onclick={() => router.post(url, { kind: kind.value })}
                        >Begin<span class="visually-hidden">&nbsp;the {kind.label.toLowerCase()}</span></Button
                    >{/if}
            </div>
        {/each}
        <p class="mt-3 text-[0.925rem] text-muted">
            A letter carries health details: send it by the way that your rules allow. Nothing is sent from here.
        </p>
    </section>
</div>
