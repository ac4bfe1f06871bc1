<script lang="ts">
    import type { Question } from '../types/screening';

    let { question, answer = $bindable() }: { question: Question; answer: boolean | undefined } = $props();
</script>

<div class="flex items-baseline justify-between gap-4" role="radiogroup" aria-label={question.text}>
    <span
        >{question.text}{#if question.note}<span class="block text-xs text-muted">{question.note}</span>{/if}</span
    >
    <span class="flex shrink-0 gap-4">
        {#each [[true, 'Yes'], [false, 'No']] as const as [value, label] (label)}
            <label class="flex cursor-pointer items-center gap-1.5">
                <input
                    type="radio"
                    class="border-gray-300 text-primary-700 focus:ring-primary-500"
                    name={question.key}
                    {value}
                    checked={answer === value}
                    onchange={() => {
                        answer = value;
                    }}
                />
                {label}
            </label>
        {/each}
    </span>
</div>
