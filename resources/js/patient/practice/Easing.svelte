<script lang="ts" module>
    /** no: not asked yet; asked: whether it eases; easing: it does; shown: the wording for an emergency. */
    export type Helped = 'no' | 'asked' | 'easing' | 'shown';
</script>

<script lang="ts">
    import { onMount } from 'svelte';
    import HelpCard from '../help/HelpCard.svelte';
    import { t } from '../words';
    import type { Help, Rules } from '../types';

    interface Props {
        help: Help;
        /** When it is asked whether it is easing, and when the wording for an emergency shows by itself. */
        seconds: Rules['seconds'];
        helped: Helped;
    }

    let { help, seconds, helped = $bindable() }: Props = $props();

    onMount(() => {
        const ask = setTimeout(() => {
            if (helped === 'no') helped = 'asked';
        }, seconds.ask_after * 1000);
        const show = setTimeout(() => {
            helped = 'shown';
        }, seconds.help_after * 1000);
        return () => {
            clearTimeout(ask);
            clearTimeout(show);
        };
    });
</script>

<!-- Recovery goes on until breath is back: help is at hand from the first second on. -->
{#if helped === 'shown'}<HelpCard {help} />
{:else}
    <p class="small">{help.emergency} {t('patient.practice.reliever')}</p>
    {#if helped === 'asked'}
        <div class="row" role="alert">
            <p>{t('patient.practice.not-easing')}</p>
            <button
                type="button"
                class="button second"
                onclick={() => {
                    helped = 'easing';
                }}>{t('patient.practice.easing')}</button
            >
            <button
                type="button"
                class="button second urgent"
                onclick={() => {
                    helped = 'shown';
                }}>{t('patient.practice.not-easing-now')}</button
            >
        </div>
    {/if}
{/if}

<style>
    .row {
        flex-wrap: wrap;
        min-width: 0;
    }
    .row .button {
        max-width: 100%;
    }
    .urgent {
        border-color: var(--clay);
        color: var(--clay);
    }
</style>
