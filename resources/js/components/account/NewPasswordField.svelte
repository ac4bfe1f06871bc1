<script lang="ts">
    import { Input } from 'flowbite-svelte';
    import Field from '../Field.svelte';

    interface Props {
        value: string;
        error: string | undefined;
        label?: string;
    }

    let { value = $bindable(), error, label = 'New password' }: Props = $props();

    let isShown = $state(false);
</script>

<Field
    id="new-password"
    {label}
    hint="At least 12 characters. Four words that do not belong together are easy to remember."
    {error}
>
    {#snippet children(attributes)}
        <Input
            type={isShown ? 'text' : 'password'}
            autocomplete="new-password"
            size="lg"
            class="w-full"
            bind:value
            {...attributes}
        />
        <label class="flex items-center gap-2 text-[0.925rem]"
            ><input type="checkbox" bind:checked={isShown} /> Show what I type</label
        >
    {/snippet}
</Field>
