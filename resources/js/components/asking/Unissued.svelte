<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { onMount } from 'svelte';
    import AskFirst from './AskFirst.svelte';

    /** Within the application what is typed is kept anyway; leaving without issuing is said once. */
    let { isUnissued }: { isUnissued: () => boolean } = $props();

    let open = $state(false);
    let wantsTo = '';
    let goes = false;

    onMount(() =>
        router.on('before', (event) => {
            const { method, url } = event.detail.visit;
            if (goes || !isUnissued() || method !== 'get' || url.pathname === location.pathname) return true;
            wantsTo = url.href;
            open = true;
            return false;
        }),
    );

    function go(): void {
        goes = true;
        router.visit(wantsTo, {
            // Where it did not come to it, it is said again.
            onFinish: () => {
                goes = false;
            },
        });
    }
</script>

<AskFirst
    bind:open
    title="This programme is not issued"
    text="It is kept in this tab, and stands here again when you come back to the Bench."
    yes="Go on without issuing"
    no="Stay here"
    onyes={go}
/>
