<script lang="ts">
    import { Button, Input, Modal } from 'flowbite-svelte';
    import { onMount } from 'svelte';
    import { signIn } from '../lib/signIn.svelte';
    import { formToken, inWords, Refusal, sendJson } from '../shared/http';
    import Field from './Field.svelte';

    /** Over a page whose sign-in has ended: covers what it shows, and goes on where one was. */
    let { email, idleMinutes }: { email: string; idleMinutes: number } = $props();

    const LOOK_EVERY_MS = 10_000;
    let password = $state('');
    let code = $state('');
    let needsCode = $state(false);
    let problem = $state('');
    let isBusy = $state(false);

    interface Answer {
        key?: string | null;
        needs_code?: boolean;
    }

    onMount(() => {
        const timer = setInterval(() => {
            if (!signIn.isAsking && Date.now() - signIn.lastBusy > idleMinutes * 60_000) void signIn.ask();
        }, LOOK_EVERY_MS);
        return () => clearInterval(timer);
    });

    async function submit(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        isBusy = true;
        problem = '';
        try {
            // A form token of now: the old one ended with the sign-in.
            if (!needsCode) await fetch('/sign-in', { credentials: 'same-origin' });
            const answer = await sendJson<Answer>(
                needsCode ? '/sign-in/code' : '/sign-in',
                'POST',
                needsCode ? { code } : { email, password },
                formToken(),
            );
            if (answer.needs_code) needsCode = true;
            else if (typeof answer.key === 'string') {
                signIn.isBackAs(answer.key);
                forget();
            } else {
                // Somebody is signed in already, in another tab: the page is theirs, whoever it is.
                location.reload();
            }
        } catch (refusal) {
            problem = inWords(refusal, 'Try again when the network is back.');
            if (needsCode && refusal instanceof Refusal && 'email' in refusal.errors) needsCode = false;
            code = '';
        } finally {
            isBusy = false;
        }
    }

    function forget(): void {
        password = '';
        code = '';
        needsCode = false;
    }
</script>

{#if signIn.isAsking}
    <div class="fixed inset-0 z-40 bg-paper" aria-hidden="true"></div>
    <Modal
        open
        permanent
        dismissable={false}
        aria-labelledby="again-title"
        transitionParams={{ duration: 0 }}
        class="window m-auto max-w-none rounded-none border border-ink bg-paper text-ink shadow-none"
        classes={{ body: 'p-6 text-ink' }}
    >
        <h2 id="again-title" class="text-[1.2rem]">Please sign in again</h2>
        <p class="mt-2 text-muted">
            Your sign-in has ended. What you typed is still on the page; it goes on where you were.
        </p>
        <form onsubmit={submit} novalidate class="mt-3 grid gap-3">
            {#if needsCode}
                <Field id="again-code" label="Code of your phone" error={problem}
                    >{#snippet children(attributes)}<Input
                            autocomplete="one-time-code"
                            inputmode="numeric"
                            bind:value={code}
                            {...attributes}
                        />{/snippet}</Field
                >
            {:else}
                <p>{email}</p>
                <Field id="again-password" label="Password" error={problem}
                    >{#snippet children(attributes)}<Input
                            type="password"
                            autocomplete="current-password"
                            bind:value={password}
                            {...attributes}
                        />{/snippet}</Field
                >
            {/if}
            <div class="flex items-center gap-5">
                <Button type="submit" disabled={isBusy}>Sign in and go on</Button>
                <a href="/sign-in" class="linklike">Somebody else</a>
            </div>
        </form>
    </Modal>
{/if}
