<script lang="ts">
    import { page } from '@inertiajs/svelte';
    import type { Snippet } from 'svelte';
    import Ridge from '../shared/Ridge.svelte';
    import Trouble from './Trouble.svelte';
    import { signInRidge } from '../lib/signInRidge';

    /** What is seen from outside: signing in, joining, a new password. */
    let {
        title,
        heading = title,
        isLong = false,
        children,
    }: { title: string; heading?: string; /** Longer than a screen. */ isLong?: boolean; children: Snippet } = $props();

    const flash = $derived((page.props as unknown as { flash: string | null }).flash);
</script>

<svelte:head><title>{title} · Ivory Pace</title></svelte:head>

<Trouble />
<main
    class="mx-auto grid min-h-screen max-w-[60rem] content-center gap-x-16 gap-y-8 px-8 py-10 md:grid-cols-[1fr_22rem]"
>
    <div class={isLong ? 'self-start md:sticky md:top-10' : 'self-center'}>
        <h1 class="mb-6 text-[2.5rem]">Ivory Pace</h1>
        <Ridge shape={signInRidge} height={120} width={460} label="One breath: in 4, out 6, rest 1" />
        <p class="mt-6 max-w-md text-muted">
            Breathing retraining, prescribed, practised and followed up. It supports your judgement; it does not
            diagnose.
        </p>
    </div>
    <section class="flex flex-col gap-5 self-center border border-ink bg-card p-7">
        <h2 class="text-xl">{heading}</h2>
        {#if flash}<p role="status" class="text-moss">{flash}</p>{/if}
        {@render children()}
    </section>
</main>
