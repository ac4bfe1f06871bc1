<script lang="ts">
    import { onMount, untrack } from 'svelte';
    import HelpCard from '../help/HelpCard.svelte';
    import { has, t } from '../words';
    import type { Help, PracticeLog, Rules } from '../types';

    interface Props {
        help: Help;
        rules: Rules;
        /** Of which practice, where that is not plain. */
        which?: string;
        ontold: (stopClass: PracticeLog['stop_class'], symptom: string | null) => void;
        onlooked: (settled: boolean) => void;
        /** Help for breathlessness, where there is one. */
        onrecover?: (() => void) | undefined;
        onleave: () => void;
    }

    let { help, rules, which = '', ontold, onlooked, onrecover, onleave }: Props = $props();

    let shown = $state<'question' | 'recover' | 'look-back' | 'settled' | 'help'>('question');
    let heading: HTMLHeadingElement | undefined = $state();
    let timer: ReturnType<typeof setTimeout> | undefined;

    onMount(() => () => clearTimeout(timer));
    $effect(() => {
        void shown;
        heading?.focus();
        scrollTo(0, 0);
    });

    function madeMeStop(symptom: string): void {
        ontold('made-me-stop', symptom);
        shown = 'recover';
        timer = setTimeout(
            () => {
                shown = 'look-back';
            },
            untrack(() => rules.seconds.look_back_after) * 1000,
        );
    }

    function getHelp(symptom: string): void {
        ontold('get-help', symptom);
        shown = 'help';
    }

    function looked(settled: boolean): void {
        clearTimeout(timer);
        onlooked(settled);
        shown = settled ? 'settled' : 'help';
    }

    const recover = [0, 1, 2, 3, 4].map((n) => `patient.stopped.recover.${n}`).filter(has);
</script>

<main>
    {#if shown === 'question'}
        <h1 bind:this={heading} tabindex="-1">{t('patient.stopped.title')}</h1>
        {#if which}<p class="muted">{which}</p>{/if}
        <p>{t('patient.stopped.question')}</p>
        <button type="button" class="button second" onclick={() => ontold('no-symptom', null)}
            >{t('patient.stopped.nothing')}<span class="small muted sub">{t('patient.stopped.nothing-text')}</span
            ></button
        >
        <fieldset class="stack">
            <legend>{t('patient.stopped.made-me')}</legend>
            <div class="pairs">
                {#each rules.symptoms.made_me_stop as symptom (symptom)}<button
                        type="button"
                        class="button second"
                        onclick={() => madeMeStop(symptom)}>{t(`stop.symptom.${symptom}`)}</button
                    >{/each}
            </div>
        </fieldset>
        <fieldset class="stack help">
            <legend class="error">{t('patient.stopped.get-help')}</legend>
            <div class="pairs">
                {#each rules.symptoms.get_help as symptom (symptom)}<button
                        type="button"
                        class="button second urgent"
                        onclick={() => getHelp(symptom)}>{t(`stop.symptom.${symptom}`)}</button
                    >{/each}
            </div>
        </fieldset>
    {:else if shown === 'help'}
        <h1 class="error" bind:this={heading} tabindex="-1">{t('patient.stopped.help-title')}</h1>
        <HelpCard {help} {onrecover} />
        <p>{t(onrecover ? 'patient.stopped.help-again-but' : 'patient.stopped.help-again')}</p>
        <button type="button" class="button second" onclick={onleave}>{t('patient.stopped.to-today')}</button>
    {:else if shown === 'settled'}
        <h1 bind:this={heading} tabindex="-1">{t('patient.stopped.settled')}</h1>
        <p>{t('patient.stopped.settled-text')}</p>
        <button type="button" class="button" onclick={onleave}>{t('patient.stopped.to-today')}</button>
    {:else}
        <h1 bind:this={heading} tabindex="-1">
            {t(shown === 'recover' ? 'patient.stopped.recover-title' : 'patient.stopped.look-back')}
        </h1>
        <ul class="lines">
            {#each recover as key (key)}<li>{t(key)}</li>{/each}
        </ul>
        {#if shown === 'recover'}<p class="muted">{t('patient.stopped.look-back-soon')}</p>{/if}
        <button type="button" class="button" onclick={() => looked(true)}>{t('patient.stopped.settled')}</button>
        <button type="button" class="button second urgent" onclick={() => looked(false)}
            >{t('patient.stopped.not-settled')}</button
        >
        {#if onrecover}<button type="button" class="button plain" onclick={onrecover}
                >{t('patient.stopped.recover-now')}</button
            >{/if}
    {/if}
</main>

<style>
    .sub {
        display: block;
        font-weight: 400;
    }
    .urgent {
        border-color: var(--clay);
        color: var(--clay);
    }
    .pairs .button {
        padding: 0.5rem;
        line-height: 1.25;
    }
    legend {
        margin-bottom: 0.5rem;
        padding: 0;
    }
    h1:focus {
        outline: none;
    }
</style>
