<script lang="ts" module>
    export const TABS = ['today', 'diary', 'progress', 'sheet', 'settings'] as const;
    export type Tab = (typeof TABS)[number];
</script>

<script lang="ts">
    import { t } from './words';

    let { here, ongo }: { here: Tab; ongo: (to: Tab) => void } = $props();

    const shown = $derived(TABS.includes(here) ? here : 'today');
</script>

<nav aria-label={t('patient.tabs.label')}>
    {#each TABS as tab (tab)}
        <a
            href={tab === 'today' ? '/my' : `/my/${tab}`}
            aria-current={shown === tab ? 'page' : undefined}
            onclick={(event) => {
                event.preventDefault();
                ongo(tab);
            }}>{t(`patient.tabs.${tab}`)}</a
        >
    {/each}
</nav>

<style>
    nav {
        display: flex;
        flex-wrap: wrap;
        justify-content: space-between;
        gap: 0 0.6rem;
        padding: 0.5rem 1.25rem 0;
        border-bottom: 1px solid var(--rule);
    }
    a {
        color: var(--muted);
        text-decoration: none;
        font-size: 0.9rem;
        font-weight: 600;
        padding: 0.55rem 0 0.5rem;
        border-bottom: 3px solid transparent;
    }
    a[aria-current] {
        color: var(--ink);
        border-color: var(--ink);
    }
</style>
