<script lang="ts">
    import CallClinic from './CallClinic.svelte';
    import { t } from '../words';
    import type { Help } from '../types';

    /** The clinic's wording for an emergency, with a number in it that can be called. */
    let {
        help,
        onrecover,
        quiet = false,
    }: { help: Help; onrecover?: (() => void) | undefined; quiet?: boolean } = $props();
</script>

<div class={quiet ? 'stack' : 'card urgent'} role={quiet ? undefined : 'alert'}>
    <p class="wording">{help.emergency}</p>
    {#if help.emergency_call}<a class="button call" href="tel:{help.emergency_call}"
            >{t('patient.stopped.call', { number: help.emergency_call })}</a
        >{/if}
    <CallClinic telephone={help.telephone} />
    {#if onrecover}<button type="button" class="button second" onclick={onrecover}
            >{t('patient.stopped.recover-now')}</button
        >{/if}
</div>

<style>
    .wording {
        font-size: 1.15rem;
    }
    .call {
        flex: none;
        display: block;
        text-align: center;
        text-decoration: none;
        background: var(--clay);
        border-color: var(--clay);
    }
</style>
