<script lang="ts">
    import { Datepicker } from 'flowbite-svelte';
    import { tick } from 'svelte';
    import type { Attachment } from 'svelte/attachments';
    import { dayAsText, dayOf, readDay, shownDay } from '../lib/dates';
    import TypedSlot from './TypedSlot.svelte';

    interface Props {
        /** "1984-03-14", or what was typed when it is no date: whoever keeps it says so. */
        value: string | undefined;
        /** Of what, for those who hear the calendar's button. */
        of: string;
        size?: 'sm' | 'md' | 'lg' | 'slot';
        class?: string;
        [attribute: string]: unknown;
    }

    let { value = $bindable(), of, size = 'md', class: width = 'w-full', ...attributes }: Props = $props();

    const id = $props.id();
    let open = $state(false);
    let box: HTMLElement | undefined = $state();

    /** The calendar is drawn as a grid without rows; whoever listens is told of a group of buttons. */
    const asButtons: Attachment<HTMLElement> = (calendar) => {
        const tell = (): void => {
            calendar.querySelector('[role="grid"]')?.setAttribute('role', 'group');
            calendar.querySelectorAll('[role="columnheader"]').forEach((each) => {
                each.removeAttribute('role');
            });
            calendar.querySelectorAll('[role="gridcell"]').forEach((each) => {
                each.removeAttribute('role');
                each.setAttribute('aria-pressed', each.getAttribute('aria-selected') ?? 'false');
                each.removeAttribute('aria-selected');
            });
        };
        tell();
        const observer = new MutationObserver(tell);
        observer.observe(calendar, { childList: true, subtree: true });
        return () => {
            observer.disconnect();
        };
    };

    async function toggled(event: ToggleEvent): Promise<void> {
        open = event.newState === 'open';
        if (!open) return;
        await tick();
        const days = box?.querySelectorAll<HTMLButtonElement>('button[aria-pressed]');
        const chosen = box?.querySelector<HTMLButtonElement>('button[aria-pressed="true"]');
        (chosen ?? box?.querySelector<HTMLButtonElement>('button.font-bold') ?? days?.[0])?.focus();
    }

    function choose(day: unknown): void {
        if (!(day instanceof Date)) return;
        value = dayAsText(day);
        box?.hidePopover();
    }

    function closing(event: KeyboardEvent): void {
        if (event.key !== 'Escape') return;
        // Only the calendar: what lies under it stays.
        event.stopPropagation();
        event.preventDefault();
        box?.hidePopover();
    }
</script>

<span class="relative inline-flex items-stretch {width}">
    <TypedSlot bind:value read={readDay} shown={shownDay} placeholder="14 Mar 2027" {size} {...attributes} />
    <button
        type="button"
        class="calendar grid w-9 shrink-0 place-items-center text-reed"
        popovertarget="{id}-calendar"
        aria-label="Calendar for: {of}"
        ><svg viewBox="0 0 16 16" class="size-4" fill="none" stroke="currentColor" stroke-width="1.5" aria-hidden="true"
            ><path d="M1.5 3.5h13M1.5 3.5v11h13v-11M1.5 7h13M5.8 7v7.5M10.2 7v7.5M1.5 10.8h13" /></svg
        ></button
    >
    <div
        popover
        bind:this={box}
        id="{id}-calendar"
        class="calendar-box"
        ontoggle={toggled}
        onkeydowncapture={closing}
        role="presentation"
    >
        {#if open}<div {@attach asButtons}>
                <Datepicker
                    inline
                    locale="en-GB"
                    firstDayOfWeek={1}
                    color="primary"
                    value={dayOf(value ?? '')}
                    onselect={choose}
                    class="rounded-xs border border-rule bg-card p-3 shadow-none dark:bg-card"
                />
            </div>{/if}
    </div>
</span>

<style>
    .calendar-box {
        background: transparent;
        border: 0;
        padding: 0;
    }
    /* Under its field where the browser can do that, else in the middle. */
    @supports (position-area: block-end) {
        .calendar-box {
            position-area: block-end span-inline-start;
            position-try-fallbacks: flip-block, flip-inline;
            margin: 0.25rem 0;
        }
    }
</style>
