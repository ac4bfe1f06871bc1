<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { onMount } from 'svelte';
    import { isEndedStatus, signIn } from '../lib/signIn.svelte';
    import { noConnection, STILL_HERE } from '../shared/http';

    /** Shows in place what went wrong with a request of the page, so that nothing typed is lost to an error page. */
    let trouble = $state<string | null>(null);

    type Visit = Parameters<Parameters<typeof router.on<'start'>>[1]>[0]['detail']['visit'];

    onMount(() => {
        let last: Visit | null = null;
        const stops = [
            router.on('start', (event) => {
                last = event.detail.visit;
            }),
            router.on('httpException', (event) => {
                const { data, status } = event.detail.response as { data?: unknown; status: number };
                event.preventDefault();
                if (isEndedStatus(status)) void again(last);
                else {
                    const said = typeof data === 'string' ? parse(data) : data;
                    trouble =
                        (said as { message?: string } | undefined)?.message ??
                        'Something broke. What you typed is still here; try again in a minute.';
                }
                return false;
            }),
            router.on('networkError', (event) => {
                trouble = noConnection(STILL_HERE);
                event.preventDefault();
                return false;
            }),
            router.on('success', () => {
                trouble = null;
                signIn.busy();
            }),
        ];
        return () => {
            for (const stop of stops) stop();
        };
    });

    /** What could not be done because the sign-in had ended is done once it holds again. */
    async function again(visit: Visit | null): Promise<void> {
        if ((await signIn.ask()) && visit) router.visit(visit.url, visit);
    }

    function parse(text: string): unknown {
        try {
            return JSON.parse(text);
        } catch {
            return undefined;
        }
    }
</script>

{#if trouble}
    <div class="mx-auto max-w-[1280px] px-5 pt-4 md:px-9">
        <p role="alert" class="border-l-4 border-clay bg-card px-4 py-2.5 font-semibold text-clay">
            {trouble}
            <button
                type="button"
                class="linklike ml-3"
                onclick={() => {
                    trouble = null;
                }}>Close</button
            >
        </p>
    </div>
{/if}
