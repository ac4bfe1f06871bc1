<script lang="ts" generics="T extends object">
    import { router } from '@inertiajs/svelte';
    import type { Snippet } from 'svelte';
    import { onMount } from 'svelte';
    import { Button } from 'flowbite-svelte';
    import type { KeptStep } from './kept.svelte';

    /** Shows in words how far what is typed has got, and both texts where two devices typed. */
    let { step, theirs }: { step: KeptStep<T>; theirs: Snippet<[T]> } = $props();

    let isLeaving = false;

    $effect(() => step.notice());
    onMount(() => {
        const again = (): void => void step.flush();
        window.addEventListener('online', again);
        // The next step shows what was typed here, so it is kept first; without a network the copy here waits.
        const off = router.on('before', (event) => {
            const { visit } = event.detail;
            if (
                isLeaving ||
                step.state !== 'typing' ||
                step.theirs !== null ||
                visit.method !== 'get' ||
                visit.url.pathname === location.pathname
            )
                return true;
            isLeaving = true;
            void step.flush().finally(() => router.visit(visit.url.href));
            return false;
        });
        return () => {
            window.removeEventListener('online', again);
            off();
            void step.flush();
        };
    });
</script>

{#if step.theirs}
    {@const other = step.theirs}
    <section class="my-3 border border-clay bg-card px-5 py-4" role="alert" aria-label="Two texts">
        <h2 class="text-[1.05rem] text-clay">{other.by} has typed here meanwhile</h2>
        <p class="text-muted">Yours stands below as you typed it. Theirs:</p>
        <div class="my-2 border-l-4 border-rule pl-4">{@render theirs(other.content)}</div>
        <div class="flex gap-3">
            <Button size="sm" onclick={() => step.keepMine()}>Keep mine instead</Button><Button
                size="sm"
                outline
                onclick={() => step.takeTheirs()}>Take theirs</Button
            >
        </div>
    </section>
{:else}
    <p
        class="text-[0.875rem] {step.state === 'unreachable' || step.state === 'refused'
            ? 'font-semibold text-clay'
            : 'text-muted'}"
        role="status"
    >
        {#if step.state === 'unreachable' || step.state === 'refused'}{step.trouble}
            <button type="button" class="linklike" onclick={() => step.flush()}>Try again</button>
        {:else if step.state === 'typing'}keeping…
        {:else if step.keptAt}kept at {step.keptAt}
        {:else}kept as you type{/if}
    </p>
{/if}
