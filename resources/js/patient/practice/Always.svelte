<script lang="ts">
    import { t } from '../words';

    interface Props {
        /** Breath has come back: for recovery only. */
        onback: (() => void) | null;
        onstop: () => void;
    }

    let { onback, onstop }: Props = $props();
</script>

<div class="always">
    {#if onback}<button type="button" class="button back" onclick={onback}>{t('patient.practice.breath-back')}</button
        >{/if}
    <button type="button" class="button stop" onclick={onstop} aria-keyshortcuts="Escape"
        >{t('patient.practice.stop')}</button
    >
</div>

<style>
    /* Stop is in view wherever the page stands, on the smallest screen and with the largest text. */
    .always {
        position: sticky;
        bottom: 0;
        z-index: 2;
        background: var(--paper);
        margin-inline: -1.25rem;
        padding: 0.5rem 1.25rem 1rem;
        display: flex;
        flex-wrap: wrap;
        gap: 0.5rem;
    }
    .always .back {
        flex: 1 1 100%;
    }
    @media (max-height: 600px) {
        .always {
            padding-block: 0.35rem;
        }
        /* Side by side: both are in view, and the breath too. */
        .always .back,
        .always .stop {
            flex: 1 1 6rem;
            width: auto;
            min-height: 3rem;
            padding: 0.4rem;
        }
    }
</style>
