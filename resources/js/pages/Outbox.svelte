<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import Room from '../components/Room.svelte';
    import type { OutboxProps } from '../types/account';

    let { stands_in, mails }: OutboxProps = $props();

    /** Addresses in a message are followed from here, as they would be from a mail program. */
    const parts = (text: string): { text: string; isAddress: boolean }[] =>
        text
            .split(/(https?:\/\/\S+)/)
            .filter((part) => part !== '')
            .map((part) => ({ text: part, isAddress: /^https?:\/\//.test(part) }));
</script>

<Room title="Outbox" current="clinic">
    <p class="pt-5 text-[0.925rem]"><Link href="/clinic" class="linklike">Clinic</Link></p>
    <h1 class="text-[1.45rem]">Outbox</h1>
    <p class="mb-4 max-w-[46rem] text-muted">
        {#if stands_in}
            No mail server is set up, so nothing leaves this installation: every message stands here as it would have
            been sent. Whoever runs the installation can set one.
        {:else}
            Messages leave by the mail server now; what stands here is from before.
        {/if}
    </p>
    {#if mails.length === 0}<p>Nothing has been sent yet. Invitations and new passwords come here.</p>{/if}
    <ul class="max-w-[52rem]">
        {#each mails as mail (mail.id)}
            <li class="border-t border-rule py-2">
                <details>
                    <summary class="flex cursor-pointer flex-wrap items-baseline gap-x-4"
                        ><strong>{mail.subject}</strong><span class="min-w-0 break-words">to {mail.to}</span><span
                            class="ml-auto text-muted">{mail.at}</span
                        ></summary
                    >
                    <p class="mt-2 border-l-4 border-rule bg-card px-4 py-3 break-words whitespace-pre-line">
                        {#each parts(mail.text) as part, at (at)}{#if part.isAddress}<a
                                    class="linklike"
                                    href={part.text}>{part.text}</a
                                >{:else}{part.text}{/if}{/each}
                    </p>
                </details>
            </li>
        {/each}
    </ul>
</Room>
