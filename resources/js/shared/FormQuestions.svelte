<script lang="ts">
    import type { FormQuestion } from './forms';

    interface Props {
        questions: FormQuestion[];
        answers: Record<string, number>;
        onanswer: (key: string, value: number) => void;
    }

    let { questions, answers, onanswer }: Props = $props();
</script>

<ol class="questions">
    {#each questions as question (question.key)}
        <li>
            <fieldset>
                <legend>{question.text}</legend>
                <div class="options">
                    {#each question.options as option (option.value)}
                        <label class:chosen={answers[question.key] === option.value}
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
    label {
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
    label.chosen {
        border-color: var(--ink);
        box-shadow: inset 0 0 0 1px var(--ink);
    }
    input {
        accent-color: var(--reed);
        color: var(--reed);
        border-color: var(--muted);
    }
</style>
