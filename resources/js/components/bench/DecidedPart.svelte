<script lang="ts">
    import type { Decided } from '../../types/props';

    /** What was decided a step before, and what of it is in the draft. */
    let { decided, isInDraft, ontake }: { decided: Decided; isInDraft: boolean; ontake: () => void } = $props();

    const done = (line: Decided['lines'][number]): string => {
        if (!line.done)
            return line.decision === 'pause'
                ? 'not paused yet: “Pause it now” stands under Decide'
                : 'has to be chosen here';
        return line.to === null ? '' : `now ${line.to}`;
    };
</script>

<section class="mb-4 border-b border-rule pb-3 text-[0.9rem]" aria-label="Decided in this session">
    <h2 class="mb-1 text-[1.05rem]">Decided</h2>
    <ul>
        {#each decided.lines as line (line.lineage)}
            <li class="mt-1">
                <strong>{line.name}: {line.decision}</strong>{#if line.reason}. {line.reason.replace(/\.$/, '')}{/if}
                {#if done(line)}<span class="block {line.done ? 'text-muted' : 'font-semibold text-clay'}"
                        >{done(line)}</span
                    >{/if}
            </li>
        {/each}
    </ul>
    {#if decided.answer}<p class="mt-2">
            {#if isInDraft}It is done in this draft; Undo takes it back.
            {:else}<button type="button" class="linklike" onclick={ontake}>Do it in this draft</button>{/if}
        </p>{/if}
</section>
