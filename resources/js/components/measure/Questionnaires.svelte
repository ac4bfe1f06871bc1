<script lang="ts">
    import Wide from '../Wide.svelte';
    import { onDestroy } from 'svelte';
    import { Button } from 'flowbite-svelte';
    import { plural, short } from '../../shared/format';
    import { sendSignedIn } from '../../lib/send';
    import { inWords } from '../../shared/http';
    import { openQuestions, withAnswer, type FormAnswer, type FormView } from '../../shared/forms';
    import type { FormScore, QuestionnaireView, SymptomsAsked } from '../../types/measure';
    import FormQuestions from '../../shared/FormQuestions.svelte';
    import type { Desk } from './desk.svelte';

    let { desk }: { desk: Desk } = $props();

    type Answer = { questionnaires: QuestionnaireView[]; symptoms_asked: SymptomsAsked | null; form?: FormView };

    let form = $state.raw<FormView | null>(null);
    let answers = $state<Record<string, FormAnswer>>({});
    const TYPING_MS = 500;
    let typing: ReturnType<typeof setTimeout> | undefined;
    let trouble = $state('');
    const open = $derived(form === null ? 0 : openQuestions(form.questions, answers));

    /** Whether there is a score in it. */
    const counts = $derived(desk.shown.questionnaires.find((each) => each.key === form?.form)?.most !== null);

    async function send(path: string, method: 'POST' | 'PUT' | 'DELETE', body?: unknown): Promise<Answer | null> {
        trouble = '';
        try {
            const answer = await sendSignedIn<Answer>(`/patients/${desk.patientId}/forms${path}`, method, body);
            const { questionnaires, symptoms_asked } = answer;
            desk.show({ ...desk.shown, questionnaires, symptoms_asked });
            return answer;
        } catch (problem) {
            trouble = inWords(problem, 'The answers are still here; try again.');
            return null;
        }
    }

    async function ask(key: string, on: 'device' | 'room'): Promise<void> {
        const answer = await send('', 'POST', { form: key, on });
        if (on === 'room' && answer?.form) {
            form = answer.form;
            answers = { ...answer.form.answers };
        }
    }

    /** One after the other: an answer that is late must not undo a later one, nor come after the last word. */
    let turn: Promise<unknown> = Promise.resolve();
    function inTurn(of: () => Promise<Answer | null>): Promise<Answer | null> {
        const mine = turn.then(of);
        turn = mine;
        return mine;
    }

    /** Each answer is kept as it comes. */
    function give(key: string, value: FormAnswer | null): void {
        answers = withAnswer(answers, key, value);
        if (!form) return;
        // What is typed is sent when the keys rest.
        clearTimeout(typing);
        typing = setTimeout(keep, typeof value === 'number' ? 0 : TYPING_MS);
    }

    function keep(): void {
        clearTimeout(typing);
        typing = undefined;
        if (!form) return;
        const { id } = form;
        const given = $state.snapshot(answers);
        void inTurn(() => send(`/${id}`, 'PUT', { answers: given, done: false }));
    }

    onDestroy(() => {
        if (typing !== undefined) keep();
    });

    /** Whatever is still waiting goes now. */
    function leave(): void {
        if (typing !== undefined) keep();
        form = null;
    }

    async function finish(withGaps: boolean): Promise<void> {
        if (!form) return;
        clearTimeout(typing);
        typing = undefined;
        const { id } = form;
        const last = { answers: $state.snapshot(answers), done: true, with_gaps: withGaps };
        if (await inTurn(() => send(`/${id}`, 'PUT', last))) form = null;
    }

    const where = (on: 'device' | 'room'): string => (on === 'device' ? 'on the patient’s device' : 'begun');
</script>

{#snippet score(it: FormScore | null, most: number | null)}{#if it}<strong
            >{it.score !== null ? short(it.score, 1) : most === null ? 'answered' : 'no score'}</strong
        >{#if it.missing > 0}<span class="text-ochre">
                {it.missing} missing{it.score === null ? '' : ', scaled up'}</span
            >{/if}<span class="block text-[0.8125rem] leading-snug text-muted"
            >{it.band ? `${it.band}; ` : ''}{it.on}, {it.where}</span
        >{:else}<span class="text-muted">–</span>{/if}{/snippet}

{#if form}
    <section class="border border-ink bg-card px-5 py-4" aria-label={form.title}>
        <h2 class="text-[1.15rem]">{form.title}</h2>
        <p class="mb-2">{form.intro}</p>
        <FormQuestions questions={form.questions} {answers} onanswer={give} />
        <div class="mt-2 flex flex-wrap items-center gap-3 border-t border-ink pt-3">
            <Button size="sm" disabled={open > 0} onclick={() => finish(false)}
                >{counts ? 'Score it' : 'Keep it'}</Button
            >
            {#if open > 0}<button type="button" class="linklike" onclick={() => finish(true)}
                    >finish with {open} open</button
                >{/if}
            <button type="button" class="linklike" onclick={leave}>go on later</button>
        </div>
        {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
    </section>
{:else}
    <Wide label="Questionnaires"
        ><table class="w-full text-[0.95rem]">
            <caption class="visually-hidden">Questionnaires</caption>
            <thead class="text-left text-[0.8125rem] text-muted"
                ><tr
                    ><th scope="col" class="font-normal">Questionnaire</th><th scope="col" class="font-normal">today</th
                    ><th scope="col" class="font-normal">last</th><th scope="col" class="font-normal">first</th></tr
                ></thead
            >
            <tbody>
                {#each desk.shown.questionnaires as each (each.key)}
                    {@const waiting = each.open}
                    <tr class="border-t border-rule align-top">
                        <th scope="row" class="py-1.5 pr-3 text-left font-serif font-semibold" title={each.source}
                            >{each.label}<span class="block font-sans text-[0.8125rem] font-normal text-muted"
                                >{each.most === null
                                    ? plural(each.items, 'question', 'questions')
                                    : `${short(each.least)} to ${short(each.most)}`}</span
                            ></th
                        >
                        <td class="py-1.5 pr-3 whitespace-nowrap">
                            {#if waiting}<span class="block text-[0.875rem] font-semibold text-reed"
                                    >{where(waiting.on)}, {waiting.answered} of {each.items}</span
                                >{/if}
                            {#if each.is_asked || waiting}<button
                                    type="button"
                                    class="linklike"
                                    onclick={() => ask(each.key, 'room')}
                                    >{waiting ? 'go on here' : 'ask here'}<span class="visually-hidden">
                                        {each.label}</span
                                    ></button
                                >{:else}<span class="text-muted">asked no more</span>{/if}
                            {#if desk.shown.has_device && (each.is_asked || waiting) && waiting?.on !== 'device'}<button
                                    type="button"
                                    class="linklike"
                                    onclick={() => ask(each.key, 'device')}
                                    >on the device<span class="visually-hidden"> {each.label}</span></button
                                >{/if}
                            {#if waiting}<button
                                    type="button"
                                    class="linklike"
                                    onclick={() => send(`/${waiting.id}`, 'DELETE')}
                                    >take back<span class="visually-hidden"> {each.label}</span></button
                                >{/if}
                        </td>
                        <td class="py-1.5 pr-3">{@render score(each.last, each.most)}</td>
                        <td class="py-1.5">{@render score(each.first, each.most)}</td>
                    </tr>
                    {#if each.answers.length > 0}<tr
                            ><td></td><td colspan="3" class="pb-1.5 text-[0.875rem]"
                                ><details>
                                    <summary class="linklike w-fit cursor-pointer"
                                        >what was answered<span class="visually-hidden"> in {each.label}</span></summary
                                    >
                                    <dl class="mt-1 grid gap-x-4 gap-y-0.5 sm:grid-cols-[1fr_auto]">
                                        {#each each.answers as answer, index (index)}<dt class="text-muted">
                                                {answer.text}
                                            </dt>
                                            <dd class="whitespace-pre-line">{answer.said}</dd>{/each}
                                    </dl>
                                </details></td
                            ></tr
                        >{/if}
                    {#if each.change}<tr
                            ><td></td><td colspan="3" class="pb-1.5 text-[0.875rem]">Since the first: {each.change}.</td
                            ></tr
                        >{/if}
                {/each}
            </tbody>
        </table></Wide
    >
    {@const asked = desk.shown.symptoms_asked}
    {#if desk.shown.has_device && desk.shown.measures.some((each) => each.how === 'rating')}<p
            class="mt-2 border-t border-rule pt-1.5 text-[0.95rem]"
        >
            {#if asked}<span class="font-semibold text-reed"
                    >Symptoms wait on the patient’s device, {asked.answered} of {asked.items}.</span
                >
                <button type="button" class="linklike" onclick={() => send(`/${asked.id}`, 'DELETE')}>take back</button>
            {:else}<button type="button" class="linklike" onclick={() => ask('symptoms', 'device')}
                    >Have the symptoms rated on the device now</button
                >{/if}
        </p>{/if}
    {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
{/if}
