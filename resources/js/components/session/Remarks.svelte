<script lang="ts">
    import { Textarea } from 'flowbite-svelte';

    let {
        value = $bindable(),
        label = 'Remarks',
        rows = 3,
    }: { value: string; label?: string; rows?: number } = $props();
    const id = $props.id();
</script>

<label class="block font-semibold" for={id}>{label}</label>
<Textarea {id} {rows} class="mt-1 w-full" bind:value />
