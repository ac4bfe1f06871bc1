<script lang="ts">
    import type { Snippet } from 'svelte';

    interface Props {
        id: string;
        label: string;
        hint?: string;
        error?: string | undefined;
        children: Snippet<[{ id: string; 'aria-invalid': 'true' | undefined; 'aria-describedby': string | undefined }]>;
    }

    let { id, label, hint = '', error, children }: Props = $props();
</script>

<div class="flex flex-col gap-1">
    <label for={id} class="font-semibold">{label}</label>
    {@render children({
        id,
        'aria-invalid': error ? 'true' : undefined,
        'aria-describedby': error ? `${id}-error` : hint ? `${id}-hint` : undefined,
    })}
    {#if error}
        <p id="{id}-error" class="text-[0.925rem] font-semibold text-clay">{error}</p>
    {:else if hint}
        <p id="{id}-hint" class="text-[0.875rem] text-muted">{hint}</p>
    {/if}
</div>
