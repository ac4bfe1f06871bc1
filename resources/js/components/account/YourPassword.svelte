<script lang="ts">
    import { Input } from 'flowbite-svelte';
    import Field from '../Field.svelte';

    interface Props {
        id: string;
        value: string;
        error: string | undefined;
        label?: string;
    }

    let { id, value = $bindable(), error, label = '' }: Props = $props();
</script>

<div class="w-full max-w-96">
    <Field {id} label={label || 'Your password'} hint={label ? '' : 'This needs to be you.'} {error}>
        {#snippet children(attributes)}<Input
                type="password"
                autocomplete="current-password"
                class="w-full"
                bind:value
                {...attributes}
            />{/snippet}
    </Field>
</div>
