<script lang="ts">
    import type { FormAnswer, FormQuestion } from './forms';

    interface Props {
        questions: FormQuestion[];
        answers: Record<string, FormAnswer>;
        /** Null when there is no answer any more. */
        onanswer: (key: string, value: FormAnswer | null) => void;
    }

    let { questions, answers, onanswer }: Props = $props();
    /** What was typed and is no answer, by question. */
    let typed = $state<Record<string, string>>({});

    const isWrong = (question: FormQuestion): boolean => (typed[question.key] ?? '').trim() !== '';

    function giveNumber(question: FormQuestion, text: string): void {
        const value = Number(text);
        const isAnswer =
            text.trim() !== '' && Number.isInteger(value) && value >= question.least && value <= question.most;
        typed = { ...typed, [question.key]: isAnswer ? '' : text };
        onanswer(question.key, isAnswer ? value : null);
    }
</script>

<ol class="questions">
    {#each questions as question, index (question.key)}
        <li>
            {#if question.kind === 'choice'}
                <fieldset>
                    <legend>{question.text}</legend>
                    <div class="options">
                        {#each question.options as option (option.value)}
                            <label class="option" class:chosen={answers[question.key] === option.value}
                                ><input
                                    type="radio"
                                    name="question-{question.key}"
                                    value={option.value}
                                    checked={answers[question.key] === option.value}
                                    onchange={() => onanswer(question.key, option.value)}
                                />{option.label}</label
                            >
                        {/each}
                    </div>
                </fieldset>
            {:else}
                <label class="words" for="question-{index}">{question.text}</label>
                {#if question.kind === 'integer'}
                    <span class="limits" id="limits-{index}">{question.least}–{question.most}</span>
                    <input
                        id="question-{index}"
                        class="typed"
                        type="text"
                        inputmode={question.least < 0 ? 'text' : 'numeric'}
                        autocomplete="off"
                        aria-describedby={isWrong(question) ? `limits-${index} wrong-${index}` : `limits-${index}`}
                        aria-invalid={isWrong(question)}
                        value={typed[question.key] || (answers[question.key] ?? '')}
                        oninput={(event) => giveNumber(question, event.currentTarget.value)}
                    />
                    {#if isWrong(question)}<span class="wrong" id="wrong-{index}" role="status">{question.outside}</span
                        >{/if}
                {:else}
                    <textarea
                        id="question-{index}"
                        class="typed"
                        rows="2"
                        maxlength={question.most}
                        value={String(answers[question.key] ?? '')}
                        oninput={(event) => onanswer(question.key, event.currentTarget.value)}></textarea>
                {/if}
            {/if}
        </li>
    {/each}
</ol>

<style>
    .questions {
        list-style: none;
        margin: 0;
        padding: 0;
    }
    li {
        border-top: 1px solid var(--rule);
        padding: 0.6rem 0;
    }
    fieldset {
        border: 0;
        margin: 0;
        padding: 0;
        min-width: 0;
    }
    legend {
        font-weight: 600;
        padding: 0;
    }
    .options {
        display: flex;
        flex-wrap: wrap;
        gap: 0.4rem;
        margin-top: 0.35rem;
    }
    .words {
        display: block;
        font-weight: 600;
    }
    .limits {
        color: var(--muted);
        font-size: 0.875rem;
    }
    .typed {
        display: block;
        box-sizing: border-box;
        width: 100%;
        min-height: 2.4rem;
        margin-top: 0.35rem;
        padding: 0.35rem 0.6rem;
        border: 1px solid var(--muted);
        background: var(--card);
        color: var(--ink);
        font: inherit;
    }
    input.typed {
        max-width: 9rem;
    }
    .typed:focus {
        box-shadow: none;
    }
    .wrong {
        display: block;
        color: var(--clay);
        font-weight: 600;
    }
    .typed[aria-invalid='true'] {
        border-color: var(--clay);
        border-width: 2px;
    }
    .option {
        display: flex;
        align-items: center;
        gap: 0.45rem;
        min-height: 2.4rem;
        padding: 0.2rem 0.8rem;
        border: 1px solid var(--rule);
        background: var(--card);
        cursor: pointer;
        line-height: 1.25;
    }
    .chosen {
        border-color: var(--ink);
        box-shadow: inset 0 0 0 1px var(--ink);
    }
    input[type='radio'] {
        accent-color: var(--reed);
        color: var(--reed);
        border-color: var(--muted);
    }
</style>
