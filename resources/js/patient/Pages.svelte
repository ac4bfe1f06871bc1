<script lang="ts">
    import Diary from './Diary.svelte';
    import Progress from './Progress.svelte';
    import Settings from './settings/Settings.svelte';
    import Sheet from './Sheet.svelte';
    import Tabs, { type Tab } from './Tabs.svelte';
    import Today from './Today.svelte';
    import type { Bundle, TodayData, TodayItem, TodaySlot } from './types';

    /** The pages behind the tabs. */
    interface Props {
        view: string;
        today: TodayData;
        isOffline: boolean;
        offset: number;
        onrecover?: (() => void) | undefined;
        ongo: (to: string) => void;
        onbegin: (item: TodayItem, slot: TodaySlot | null, isShort?: boolean) => void;
        onform: (form: Bundle['asked'][number]) => void;
        onlock: () => void;
        onsignedout: () => void;
    }

    let { view, today, isOffline, offset, onrecover, ongo, onbegin, onform, onlock, onsignedout }: Props = $props();
</script>

<Tabs here={view as Tab} {ongo} />
{#if view === 'diary'}<Diary day={today.isOld ? null : today.day.date} />
{:else if view === 'progress'}<Progress />
{:else if view === 'sheet'}<Sheet {isOffline} />
{:else if view === 'settings'}<Settings example={today.items[0] ?? null} {onsignedout} />
{:else}<Today {today} {isOffline} {offset} {onbegin} {onform} oncheck={() => ongo('check')} {onlock} {onrecover} />{/if}
