<script lang="ts">
    import { onMount } from 'svelte';
    import TickRow from '../TickRow.svelte';
    import { api } from '../keeping/api';
    import { t } from '../words';
    import type { MessageWishes } from '../types';

    /** Messages by e-mail: none unless they are wished for. */
    const WISHES = ['appointments', 'practice'] as const;

    let wishes = $state<MessageWishes | null>(null);
    let said = $state('');
    let trouble = $state('');

    onMount(() => {
        void ask(api.messages);
    });

    async function ask(what: () => Promise<MessageWishes>, then = ''): Promise<void> {
        trouble = '';
        said = '';
        try {
            wishes = await what();
            said = then;
        } catch {
            trouble = t('patient.settings.needs-network');
        }
    }

    /** What could not be kept goes back to how it was. */
    async function wish(which: (typeof WISHES)[number], on: boolean): Promise<void> {
        if (!wishes) return;
        const before = { ...wishes };
        wishes = { ...wishes, [which]: on };
        const { appointments, practice } = wishes;
        await ask(() => api.wishMessages({ appointments, practice }), t('patient.messages.kept'));
        if (trouble) wishes = before;
    }
</script>

<section class="card quiet">
    <h2>{t('patient.messages.title')}</h2>
    {#if wishes?.email === null}<p class="small">{t('patient.messages.no-email')}</p>
    {:else if wishes}
        <p class="small">{t('patient.messages.about', { email: wishes.email })}</p>
        {#each WISHES as which (which)}<TickRow
                label={t(`patient.messages.${which}`)}
                checked={wishes[which]}
                onchange={(box) => wish(which, box.checked)}
            />{/each}
    {/if}
    <p class="small" role="status">{said}</p>
    {#if trouble}<p class="error" role="alert">{trouble}</p>{/if}
</section>

<style>
    .small {
        overflow-wrap: anywhere;
    }
</style>
