<script lang="ts">
    import Later from './keeping/Later.svelte';
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

    // Today is what nearly everybody opens; on an old phone the others must not slow it down.
    const diary = () => import('./Diary.svelte');
    const progress = () => import('./Progress.svelte');
    const sheet = () => import('./Sheet.svelte');
    const settings = () => import('./settings/Settings.svelte');

    let { view, today, isOffline, offset, onrecover, ongo, onbegin, onform, onlock, onsignedout }: Props = $props();
</script>

<Tabs here={view as Tab} {ongo} />
{#if view === 'diary'}<Later load={diary} props={{ day: today.isOld ? null : today.day.date }} />
{:else if view === 'progress'}<Later load={progress} props={{}} />
{:else if view === 'sheet'}<Later load={sheet} props={{ isOffline }} />
{:else if view === 'settings'}<Later load={settings} props={{ example: today.items[0] ?? null, onsignedout }} />
{:else}<Today {today} {isOffline} {offset} {onbegin} {onform} oncheck={() => ongo('check')} {onlock} {onrecover} />{/if}
