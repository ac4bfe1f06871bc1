<script lang="ts">
    import { onMount } from 'svelte';
    import Ridge from '../../shared/Ridge.svelte';
    import * as outbox from '../keeping/outbox';
    import { api } from '../keeping/api';
    import { ridgeWords, t } from '../words';
    import type { FeltData, Playable } from '../types';

    /** What the phone felt, in one sentence: as soon as all of it has been read, or later where there is no network. */
    let { uuid, played }: { uuid: string; played: Playable } = $props();

    const AGAIN_MS = 1500;
    const TIMES = 8;

    let felt = $state.raw<FeltData | null>(null);
    let isLater = $state(false);

    onMount(() => {
        let left = TIMES;
        let timer: ReturnType<typeof setTimeout> | undefined;
        async function look(): Promise<void> {
            try {
                await outbox.flush();
                const answer = await api.recording(uuid);
                if (answer.state === 'read') {
                    felt = answer;
                    return;
                }
            } catch {
                left = Math.min(left, 1);
            }
            left--;
            isLater = left <= 0;
            if (!isLater) timer = setTimeout(() => void look(), AGAIN_MS);
        }
        void look();
        return () => clearTimeout(timer);
    });
</script>

<section class="card quiet" aria-live="polite">
    {#if felt?.sentence}
        <p>{felt.sentence}</p>
        {#if felt.inked}
            <p class="small muted">{t('felt.phone.own')}</p>
            <Ridge
                words={ridgeWords()}
                shape={played.ridge}
                width={350}
                height={80}
                own={felt.inked}
                label={t('felt.phone.own')}
            />
        {/if}
    {:else}<p class="muted">{t(isLater ? 'felt.phone.later' : 'felt.phone.reading')}</p>{/if}
</section>
