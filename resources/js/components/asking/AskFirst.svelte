<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import Ask from './Ask.svelte';

    /** Asks once before something is done that is not taken back by a click. */
    interface Props {
        open: boolean;
        title: string;
        text: string;
        yes: string;
        no?: string;
        onyes: () => void;
    }

    let { open = $bindable(), title, text, yes, no = 'Leave it as it is', onyes }: Props = $props();
</script>

<Ask bind:open {title}>
    <p class="mt-2 text-muted">{text}</p>
    <div class="mt-4 flex items-center gap-5">
        <Button
            size="sm"
            onclick={() => {
                open = false;
                onyes();
            }}>{yes}</Button
        >
        <button
            type="button"
            class="linklike"
            onclick={() => {
                open = false;
            }}>{no}</button
        >
    </div>
</Ask>
