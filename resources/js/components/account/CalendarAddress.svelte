<script lang="ts">
    import { isCopied } from '../../shared/clipboard';
    import { router } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import type { AccountProps } from '../../types/account';

    /** One's appointments in the calendar that one uses anyway. */
    let { calendar }: { calendar: AccountProps['calendar'] } = $props();

    let said = $state('');

    async function copy(address: string): Promise<void> {
        said = (await isCopied(address)) ? 'Copied.' : 'It cannot be copied here: mark it and copy it by hand.';
    }
</script>

<p class="mb-2 text-[0.925rem] text-muted">
    A calendar program can read your appointments by a secret address, with initials at most; the Clinic page says
    which. Whoever has the address sees the times.
</p>
{#if calendar.address}
    <p class="text-[0.925rem]">Give this to your calendar program. It is shown this once.</p>
    <p class="my-1 border-l-4 border-reed bg-card px-3 py-1.5 text-[0.925rem] break-all select-all">
        {calendar.address}
    </p>
    <p class="flex flex-wrap gap-5">
        <button type="button" class="linklike" onclick={() => copy(calendar.address ?? '')}>Copy it</button>
        <a class="linklike" href={calendar.address.replace(/^https?/, 'webcal')}>Open it in a calendar</a>
    </p>
{:else if calendar.since}<p class="text-[0.925rem]">
        An address was made {calendar.since}. {calendar.read
            ? `It was last read ${calendar.read}.`
            : 'Nothing has read it yet.'}
    </p>{/if}
<p role="status" class="text-moss">{said}</p>
<p class="mt-2 flex flex-wrap items-center gap-5">
    <Button size="sm" outline onclick={() => router.post('/account/calendar', {}, { preserveScroll: true })}
        >{calendar.since ? 'Make a new address' : 'Make an address'}</Button
    >
    {#if calendar.since}<button
            type="button"
            class="linklike"
            onclick={() => router.delete('/account/calendar', { preserveScroll: true })}>End it</button
        >{/if}
    <a class="linklike" href="/week/calendar.ics" download>As a file, as it is now</a>
</p>
