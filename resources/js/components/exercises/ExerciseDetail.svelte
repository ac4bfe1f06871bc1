<script lang="ts">
    import { short } from '../../shared/format';
    import type { ExerciseView } from '../../types/exercises';
    import Numbers from '../bench/Numbers.svelte';
    import Ridge from '../../shared/Ridge.svelte';
    import TryInRoom from '../TryInRoom.svelte';
    import Schools from './Schools.svelte';

    interface Props {
        exercise: ExerciseView;
        onedit: () => void;
    }

    let { exercise, onedit }: Props = $props();

    let isPlaying = $state(false);

    const LEVELS = { note: 'note', caution: 'caution', 'needs-reason': 'needs a reason' } as const;
    const lists = $derived([
        ['What right looks like', exercise.right],
        ['Usual mistakes', exercise.mistakes],
        ['May be felt', exercise.feels],
        ['Stop for', exercise.stops],
    ] as const);
    /** A long list of flags is shown when asked for. */
    const MANY = 6;
</script>

<header class="flex flex-wrap items-baseline gap-x-4">
    <h2 class="text-[1.3rem]">{exercise.name}</h2>
    {#if exercise.is_own}<button type="button" class="linklike ml-auto" onclick={onedit}>Change or delete</button>{/if}
</header>
<p class="mt-0.5">{exercise.about}</p>
<p class="text-[0.925rem] text-muted">
    {exercise.uses.join(', ')} · {exercise.times.join(', ')} · {exercise.is_recovery
        ? 'as needed'
        : `${exercise.times_a_day} × a day`}
</p>
<div class="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-[1fr_17rem]">
    <div class="min-w-0">
        {#if !isPlaying}
            <Ridge shape={exercise.ridge} width={560} height={86} label="One breath of {exercise.name}" />
            <Numbers figures={exercise.figures} />
        {/if}
        <div class={isPlaying ? '' : 'mt-3'}>
            {#key exercise.key}<TryInRoom url="/exercises/{exercise.key}/play" bind:isPlaying />{/key}
        </div>
    </div>
    <dl class="facts">
        <dt>Prescribed</dt>
        <dd>{exercise.summary}</dd>
        <dt>Breath</dt>
        <dd>{exercise.effort}, {exercise.route}</dd>
        <dt>Hands</dt>
        <dd>{exercise.hands}</dd>
        {#if exercise.props.length > 0}<dt>With</dt>
            <dd>{exercise.props.join(', ')}</dd>{/if}
        <dt>Also</dt>
        <dd>{exercise.positions.slice(1).join(', ') || 'in this position only'}</dd>
        {#if exercise.short}<dt>At least</dt>
            <dd>
                {exercise.short.summary}{exercise.short.seconds === null
                    ? ''
                    : `, ${short(exercise.short.seconds / 60, 1)} min`}
            </dd>{/if}
    </dl>
</div>
<div class="mt-4 grid grid-cols-2 gap-x-6 gap-y-3 border-t border-rule pt-3 text-[0.9rem] lg:grid-cols-4">
    {#each lists as [title, items] (title)}
        <section>
            <h3 class="text-[0.95rem]">{title}</h3>
            <ul>
                {#each items as item (item)}<li class="mt-0.5 leading-snug text-muted">{item}</li>{/each}
            </ul>
        </section>
    {/each}
</div>
<section class="mt-4 border-t border-rule pt-3 text-[0.9rem]">
    <h3 class="text-[0.95rem]">Cautions</h3>
    <ul>
        {#each exercise.cautions as caution (`${caution.rule} ${caution.level}`)}
            <li class="mt-1 leading-snug">
                <strong>{caution.title}</strong>, {LEVELS[caution.level]}:
                {#if caution.with.length > MANY}
                    <details class="inline">
                        <summary class="linklike inline">with any of {caution.with.length} flags</summary>
                        {caution.with.join(', ')}
                    </details>
                {:else}with {caution.with.join(', ')}{/if}
            </li>
        {:else}
            <li class="text-muted">No rule speaks against it as it is prescribed here.</li>
        {/each}
    </ul>
    <p class="mt-1 text-[0.8125rem] text-muted">
        Common practice, to be confirmed by your clinic. Measured limits and a patient’s own flags are checked on the
        Bench.
    </p>
</section>
{#if !exercise.is_own}<section class="mt-4 border-t border-rule pt-3">
        <Schools schools={exercise.schools} />
    </section>{/if}

<style>
    .facts {
        display: grid;
        grid-template-columns: 5rem 1fr;
        gap: 0.15rem 0.6rem;
        font-size: 0.875rem;
        align-content: start;
        line-height: 1.35;
    }
    .facts dt {
        color: var(--muted);
    }
</style>
