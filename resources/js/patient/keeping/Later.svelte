<script lang="ts" generics="P extends Record<string, unknown>">
    import type { Component } from 'svelte';
    import { t } from '../words';

    /** A page that is fetched when it is first opened; the worker has it already, also without a network. */
    let { load, props }: { load: () => Promise<{ default: Component<P> }>; props: P } = $props();
</script>

{#await load() then { default: Page }}<Page {...props} />{:catch}<p role="alert" class="mt-6">
        {t('patient.trouble.network')}
    </p>{/await}
