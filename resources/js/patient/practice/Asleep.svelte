<script lang="ts">
    import { onMount } from 'svelte';
    import { t } from '../words';

    let { onwake }: { onwake: () => void } = $props();

    let dark: HTMLButtonElement | undefined = $state();
    onMount(() => dark?.focus());
</script>

<!-- Nothing sounds and nothing shines: who is asleep is left asleep, and the device may switch its screen off. -->
<main class="night">
    <h1 class="visually-hidden">{t('patient.practice.asleep')}</h1>
    <button type="button" class="dark" bind:this={dark} onclick={onwake}>{t('patient.practice.asleep-wake')}</button>
</main>

<style>
    .night {
        position: fixed;
        inset: 0;
        z-index: 10;
        padding: 0;
        background: #000;
    }
    .dark {
        width: 100%;
        height: 100%;
        border: 0;
        background: #000;
        color: #767676;
        font: inherit;
        display: flex;
        align-items: end;
        justify-content: center;
        padding: 2rem;
        cursor: pointer;
    }
    .dark:focus {
        outline: none;
    }
</style>
