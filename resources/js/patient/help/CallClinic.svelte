<script lang="ts">
    import { t } from '../words';

    /** The clinic's telephone, to tap. */
    let { telephone }: { telephone: string | null | undefined } = $props();
</script>

{#if telephone}<a class="button plain" href="tel:{telephone.replace(/[^\d+]/g, '')}"
        >{t('patient.today.call-clinic', { number: telephone })}</a
    >{/if}
