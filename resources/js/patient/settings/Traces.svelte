<script lang="ts">
    import { onMount } from 'svelte';
    import TickRow from '../TickRow.svelte';
    import { api } from '../keeping/api';
    import { t } from '../words';
    import type { TracesData } from '../types';

    /** Whether traces of the breath may be kept for a while: a line of its own, and it can be taken back. */
    let traces = $state.raw<TracesData | null>(null);
    let said = $state('');
    let trouble = $state('');

    onMount(() => {
        void ask(api.traces);
    });

    async function ask(what: () => Promise<TracesData>, then = ''): Promise<boolean> {
        trouble = '';
        said = '';
        try {
            traces = await what();
            said = then;
            return true;
        } catch {
            trouble = t('patient.settings.needs-network');
            return false;
        }
    }

    async function say(box: HTMLInputElement): Promise<void> {
        const { version } = traces ?? { version: '' };
        const kept = box.checked;
        if (!(await ask(() => api.sayOfTraces(kept, version), t(kept ? 'felt.traces.kept' : 'felt.traces.gone'))))
            box.checked = !kept;
    }
</script>

<section class="card quiet">
    <h2>{t('felt.traces.title')}</h2>
    {#if traces}
        <p class="small">{traces.text}</p>
        <TickRow label={t('felt.traces.keep')} checked={traces.kept === true} onchange={say} />
    {/if}
    <p class="small" role="status">{said}</p>
    {#if trouble}<p class="error" role="alert">{trouble}</p>{/if}
</section>
