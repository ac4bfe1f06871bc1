<script lang="ts">
    import { Link, page, router } from '@inertiajs/svelte';
    import type { Snippet } from 'svelte';
    import Shortcuts from './Shortcuts.svelte';
    import { clearWhatWasTyped } from '../lib/tab';
    import { signIn } from '../lib/signIn.svelte';
    import SignInAgain from './SignInAgain.svelte';
    import Trouble from './Trouble.svelte';

    interface Props {
        title: string;
        current?: 'caseload' | 'week' | 'exercises' | 'clinic' | '';
        children: Snippet;
    }

    let { title, current = '', children }: Props = $props();

    const shared = $derived(
        page.props as unknown as {
            who: { name: string; clinic: string; email: string; key: string; idle_minutes: number } | null;
            today: string | null;
            flash: string | null;
        },
    );

    $effect(() => {
        signIn.of = shared.who?.key ?? null;
    });

    // After the answer: the page that is left writes what it holds once more.
    function signOut(): void {
        router.post(
            '/sign-out',
            {},
            {
                onSuccess: () => {
                    clearWhatWasTyped();
                    signIn.signedOut();
                },
            },
        );
    }
</script>

<svelte:head><title>{title} · Ivory Pace</title></svelte:head>

<a class="visually-hidden focus:static! focus:[clip-path:none]!" href="#main">To the content</a>
<header class="border-b border-rule print:hidden">
    <div class="mx-auto flex max-w-[1280px] flex-wrap items-baseline gap-x-7 gap-y-1 px-5 py-3.5 md:px-9">
        <Link href="/" class="font-serif text-[1.35rem] font-bold text-ink">Ivory Pace</Link>
        <nav aria-label="Rooms" class="flex flex-wrap gap-x-6">
            <Link
                href="/"
                class="pb-1 {current === 'caseload' ? 'border-b-2 border-ink text-ink' : 'text-muted'}"
                aria-current={current === 'caseload' ? 'page' : undefined}>Caseload</Link
            >
            <Link
                href="/week"
                class="pb-1 {current === 'week' ? 'border-b-2 border-ink text-ink' : 'text-muted'}"
                aria-current={current === 'week' ? 'page' : undefined}>Week</Link
            >
            <Link
                href="/exercises"
                class="pb-1 {current === 'exercises' ? 'border-b-2 border-ink text-ink' : 'text-muted'}"
                aria-current={current === 'exercises' ? 'page' : undefined}>Exercises</Link
            >
            <Link
                href="/clinic"
                class="pb-1 {current === 'clinic' ? 'border-b-2 border-ink text-ink' : 'text-muted'}"
                aria-current={current === 'clinic' ? 'page' : undefined}>Clinic</Link
            >
            <Link href="/patients/new" class="pb-1 text-muted">Add a patient</Link>
        </nav>
        <div class="ml-auto flex flex-wrap items-baseline gap-x-5 text-[0.95rem]">
            {#if shared.who}
                <span class="text-muted">{shared.today}</span>
                <span
                    ><Link href="/account" class="text-ink underline-offset-3 hover:underline">{shared.who.name}</Link
                    ><span class="text-muted">, {shared.who.clinic}</span></span
                >
                <button type="button" class="plain" onclick={signOut}>Sign out</button>
            {/if}
            <Shortcuts />
        </div>
    </div>
</header>
<Trouble />
{#if shared.who}<SignInAgain email={shared.who.email} idleMinutes={shared.who.idle_minutes} />{/if}
{#if shared.flash}
    <p class="mx-auto max-w-[1280px] px-5 pt-3 md:px-9 text-moss" role="status">{shared.flash}</p>
{/if}
<main id="main" class="mx-auto max-w-[1280px] px-5 pb-10 md:px-9">
    {@render children()}
</main>
