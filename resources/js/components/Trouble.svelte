<script lang="ts">
    import { noConnection, STILL_HERE } from '../shared/http';
    import { router } from '@inertiajs/svelte';
    import { onMount } from 'svelte';

    /** Shows in place what went wrong with a request of the page, so that nothing typed is lost to an error page. */
    let trouble = $state<string | null>(null);

    onMount(() => {
        const stopHttp = router.on('httpException', (event) => {
            const detail = event.detail as { response: { data?: unknown; status: number } };
            const data = typeof detail.response.data === 'string' ? parse(detail.response.data) : detail.response.data;
            trouble =
                (data as { message?: string } | undefined)?.message ??
                'Something broke. What you typed is still here; try again in a minute.';
            event.preventDefault();
            return false;
        });
        const stopNetwork = router.on('networkError', (event) => {
            trouble = noConnection(STILL_HERE);
            event.preventDefault();
            return false;
        });
        const stopStart = router.on('success', () => {
            trouble = null;
        });
        return () => {
            stopHttp();
            stopNetwork();
            stopStart();
        };
    });

    function parse(text: string): unknown {
        try {
            return JSON.parse(text);
        } catch {
            return undefined;
        }
    }
</script>

{#if trouble}
    <div class="mx-auto max-w-[1280px] px-9 pt-4">
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
