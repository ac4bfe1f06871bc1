<script lang="ts">
    import { onMount } from 'svelte';
    import * as outbox from './keeping/outbox';
    import { t, tn } from './words';

    /** What waits here, and what the server would not have. */
    let { isOffline = !navigator.onLine }: { isOffline?: boolean } = $props();

    let unsent = $state.raw(outbox.unsentThings());
    let refused = $state.raw(outbox.refused());
    onMount(() =>
        outbox.onChange(() => {
            unsent = outbox.unsentThings();
            refused = outbox.refused();
        }),
    );

    const kinds = $derived(
        [...new Set(unsent.map((item) => item.kind))].map((kind) => t(`patient.today.kind.${kind}`)).join(', '),
    );
</script>

{#each refused as item (item.id)}
    <div class="card urgent" role="alert">
        <p>{t(`patient.today.refused.${item.kind}`)} {item.refused}</p>
        <button type="button" class="button second" onclick={() => outbox.dismiss(item.id)}
            >{t('patient.today.dismiss')}</button
        >
    </div>
{/each}
{#if unsent.length > 0}<p class="small" role="status">
        {isOffline
            ? tn('patient.today.waiting', unsent.length, { kinds })
            : tn('patient.today.sending', unsent.length, { kinds })}
    </p>{/if}
