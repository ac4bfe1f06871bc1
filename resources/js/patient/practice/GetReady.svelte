<script lang="ts">
    import { onMount } from 'svelte';
    import Ridge from '../../components/Ridge.svelte';
    import { t } from '../words';
    import type { TodayItem } from '../types';

    let { item, onstart, onback }: { item: TodayItem; onstart: () => void; onback: () => void } = $props();

    let button: HTMLButtonElement | undefined = $state();
    onMount(() => button?.focus());

    const lines = $derived([
        t(item.position) + (item.props.length > 0 ? ` ${t('patient.practice.with', { props: item.props.map((prop) => t(prop)).join(', ') })}` : ''),
        t(item.hands),
        `${t(item.size)} ${t(item.gaze)}`,
        ...item.right.map((key) => t(key)),
        ...(item.steps.length > 0 ? [item.steps.map((step) => t(step)).join(' → ')] : []),
    ]);
</script>

<main>
    <div class="row"><h1>{t('patient.practice.get-ready')}</h1><button type="button" class="button plain" onclick={onback}>{t('patient.practice.back')}</button></div>
    <Ridge shape={item.ridge} width={350} height={80} label={t(item.name)} />
    <ul class="lines">{#each lines as line (line)}<li>{line}</li>{/each}</ul>
    <p class="small muted">{t('patient.practice.stop-any-time')} {t('patient.practice.never')}</p>
    <button type="button" class="button" bind:this={button} onclick={onstart}>{t('patient.practice.start')}</button>
</main>
