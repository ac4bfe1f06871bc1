<script lang="ts">
    import { onMount } from 'svelte';
    import Ridge from '../../shared/Ridge.svelte';
    import Join from './Join.svelte';
    import { ridgeWords, t } from '../words';
    import type { Playable, TodayItem } from '../types';

    interface Props {
        item: TodayItem;
        played: Playable;
        isShort: boolean;
        onstart: (joinedSeconds: number | null) => void;
        onback: () => void;
    }

    let { item, played, isShort, onstart, onback }: Props = $props();

    let button: HTMLButtonElement | undefined = $state();
    let joining = $state(false);
    onMount(() => button?.focus());

    const lines = $derived([
        t(item.position) +
            (item.props.length > 0
                ? ` ${t('patient.practice.with', { props: item.props.map((prop) => t(prop)).join(', ') })}`
                : ''),
        t(item.hands),
        `${t(item.size)} ${t(item.gaze)}`,
        ...item.right.map((key) => t(key)),
        ...(item.holds ? [t('patient.practice.holds')] : []),
        ...(item.feels.length > 0
            ? [t('patient.practice.feels', { what: item.feels.map((key) => t(key)).join(' ') })]
            : []),
        ...(item.steps.length > 0 ? [item.steps.map((step) => t(step)).join(' → ')] : []),
    ]);
</script>

<main>
    <div class="row">
        <h1>{t('patient.practice.get-ready')}</h1>
        <button type="button" class="button plain" onclick={onback}>{t('patient.practice.back')}</button>
    </div>
    <Ridge words={ridgeWords()} shape={played.ridge} width={350} height={80} label={t(item.name)} />
    {#if isShort}<p class="muted">{t('patient.practice.short')}</p>{/if}
    <ul class="lines">
        {#each lines as line (line)}<li>{line}</li>{/each}
    </ul>
    <p class="small muted">
        {t(item.careful ? 'patient.practice.stop-any-time-careful' : 'patient.practice.stop-any-time')}
        {t('patient.practice.never')}
    </p>
    {#if joining}<Join onready={onstart} />
    {:else if item.joining && !isShort}<button
            type="button"
            class="button second"
            onclick={() => {
                joining = true;
            }}>{t('patient.practice.join')}</button
        >{/if}
    <button type="button" class="button" class:second={joining} bind:this={button} onclick={() => onstart(null)}
        >{t('patient.practice.start')}</button
    >
</main>
