<script lang="ts">
    import { onMount } from 'svelte';
    import { has, t } from '../words';
    import type { PracticeLog } from '../types';

    interface Props {
        emergency: string;
        ontold: (stopClass: PracticeLog['stop_class'], symptom: string | null) => void;
        onsettled: () => void;
        onleave: () => void;
    }

    let { emergency, ontold, onsettled, onleave }: Props = $props();

    const MADE_ME_STOP = ['dizziness', 'tingling', 'cramp', 'breathlessness', 'panic', 'unreal'];
    const GET_HELP = ['chest-pain', 'fainting', 'confusion', 'weakness', 'palpitations', 'headache', 'breathlessness-stays'];
    const LOOK_BACK_MS = 120_000;

    let shown = $state<'question' | 'recover' | 'look-back' | 'help'>('question');
    let heading: HTMLHeadingElement | undefined = $state();
    let timer: ReturnType<typeof setTimeout> | undefined;

    onMount(() => () => clearTimeout(timer));
    $effect(() => { void shown; heading?.focus(); scrollTo(0, 0); });

    function madeMeStop(symptom: string): void {
        ontold('made-me-stop', symptom);
        shown = 'recover';
        timer = setTimeout(() => { shown = 'look-back'; }, LOOK_BACK_MS);
    }

    function getHelp(symptom: string): void {
        clearTimeout(timer);
        ontold('get-help', symptom);
        shown = 'help';
    }

    const recover = [0, 1, 2, 3, 4].map((n) => `patient.stopped.recover.${n}`).filter(has);
</script>

<main>
    {#if shown === 'question'}
        <h1 bind:this={heading} tabindex="-1">{t('patient.stopped.title')}</h1>
        <p>{t('patient.stopped.question')}</p>
        <button type="button" class="button second" onclick={() => ontold('no-symptom', null)}>{t('patient.stopped.nothing')}<span class="small muted sub">{t('patient.stopped.nothing-text')}</span></button>
        <fieldset class="stack">
            <legend>{t('patient.stopped.made-me')}</legend>
            <div class="pairs">{#each MADE_ME_STOP as symptom (symptom)}<button type="button" class="button second" onclick={() => madeMeStop(symptom)}>{t(`stop.symptom.${symptom}`)}</button>{/each}</div>
        </fieldset>
        <fieldset class="stack help">
            <legend class="error">{t('patient.stopped.get-help')}</legend>
            <div class="pairs">{#each GET_HELP as symptom (symptom)}<button type="button" class="button second urgent" onclick={() => getHelp(symptom)}>{t(`stop.symptom.${symptom}`)}</button>{/each}</div>
        </fieldset>
    {:else if shown === 'help'}
        <h1 class="error" bind:this={heading} tabindex="-1">{t('patient.stopped.help-title')}</h1>
        <div class="card urgent" role="alert"><p class="wording">{emergency}</p></div>
        <p>{t('patient.stopped.help-again')}</p>
        <button type="button" class="button second" onclick={onleave}>{t('patient.stopped.to-today')}</button>
    {:else}
        <h1 bind:this={heading} tabindex="-1">{t(shown === 'recover' ? 'patient.stopped.recover-title' : 'patient.stopped.look-back')}</h1>
        <ul class="lines">{#each recover as key (key)}<li>{t(key)}</li>{/each}</ul>
        <p class="muted">{t(shown === 'recover' ? 'patient.stopped.look-back-soon' : 'patient.stopped.settled-text')}</p>
        <button type="button" class="button" onclick={onsettled}>{t('patient.stopped.settled')}</button>
        <button type="button" class="button second urgent" onclick={() => getHelp('breathlessness-stays')}>{t('patient.stopped.not-settled')}</button>
    {/if}
</main>

<style>
    .sub { display: block; font-weight: 400; }
    .urgent { border-color: var(--clay); color: var(--clay); }
    .pairs .button { padding: 0.5rem; line-height: 1.25; }
    legend { margin-bottom: 0.5rem; padding: 0; }
    h1:focus { outline: none; }
    .wording { font-size: 1.25rem; }
</style>
