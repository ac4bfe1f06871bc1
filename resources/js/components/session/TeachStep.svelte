<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import { percent, short } from '../../shared/format';
    import { roomSound, type Sounding } from '../../lib/roomSound';
    import { sendSignedIn } from '../../lib/send';
    import { BACK_LATER, inWords } from '../../shared/http';
    import type { RoomPlay } from '../../types/exercises';
    import type { PatientHead } from '../../types/pages';
    import type { KeptContent, SessionHeadView, TeachChoice, Tried } from '../../types/session';
    import RoomPlayer from '../RoomPlayer.svelte';
    import KeptLine from '../keeping/KeptLine.svelte';
    import { KeptStep } from '../keeping/kept.svelte';
    import Remarks from './Remarks.svelte';
    import TriedList from './TriedList.svelte';

    interface Content {
        tried: Tried[];
        remarks: string;
    }
    let {
        patient,
        session,
        shown,
        kept,
    }: { patient: PatientHead; session: SessionHeadView; shown: { choices: TeachChoice[] }; kept: KeptContent } =
        $props();

    const step = untrack(
        () =>
            new KeptStep<Content>(`/patients/${patient.id}/sessions/${session.id}/steps/teach`, kept, {
                tried: [],
                remarks: '',
            }),
    );
    let at = $state('0');
    const choice = $derived(shown.choices[Number(at)]);
    let ratio = $state(untrack(() => shown.choices[0]?.ratio ?? ''));
    let count = $state(untrack(() => String(shown.choices[0]?.count_length ?? '')));
    let seen = $state<string[]>([]);
    const open = roomSound();
    let playing = $state.raw<Sounding<RoomPlay> | null>(null);
    let trouble = $state('');
    let taps = $state.raw<number[]>([]);
    let tapped = $state.raw<{ count_s: number; spread: number } | null>(null);

    function choose(): void {
        ratio = choice?.ratio ?? '';
        count = String(choice?.count_length ?? '');
        seen = [];
        tapped = null;
        taps = [];
    }

    const post = <R,>(path: string, body: unknown): Promise<R> =>
        sendSignedIn<R>(`/patients/${patient.id}/bench/${path}`, 'POST', body);
    const said = (problem: unknown): string => inWords(problem, BACK_LATER);

    async function play(): Promise<void> {
        if (!choice) return;
        trouble = '';
        const fields = choice.ratio === null ? choice.fields : { ...choice.fields, ratio, count_length: count };
        try {
            playing = (await open(() => post<RoomPlay>('play', { items: [fields], at: 0 }))) ?? playing;
        } catch (problem) {
            trouble = said(problem);
        }
    }

    /** What was led is kept, with what was seen so far. */
    function left(): void {
        playing = null;
        if (!choice) return;
        step.content.tried.push({
            name: choice.name,
            lineage: choice.lineage,
            pattern: choice.ratio === null ? '' : `${ratio} at ${count} s`,
            at: new Date().toTimeString().slice(0, 5),
            effort: null,
            smooth: null,
            remark: '',
            seen: $state.snapshot(seen),
        });
    }

    async function tap(): Promise<void> {
        const now = performance.now();
        taps = taps.length > 0 && now - (taps[taps.length - 1] ?? 0) > 4000 ? [now] : [...taps, now];
        tapped = null;
        if (taps.length < 4) return;
        try {
            tapped = await post('taps', { taps: taps.map(Math.round) });
        } catch (problem) {
            trouble = said(problem);
        }
    }
</script>

<div class="grid items-start gap-x-12 gap-y-6 pt-5 md:grid-cols-[33rem_1fr]">
    <section class="border border-ink bg-card px-5 py-4" aria-label="Try an exercise">
        <p>
            <label for="exercise">Exercise</label>
            <select id="exercise" class="slot" bind:value={at} onchange={choose} disabled={playing !== null}>
                {#each shown.choices as each, index (index)}<option value={String(index)}
                        >{each.lineage ? `${each.name} (prescribed)` : each.name}</option
                    >{/each}</select
            >
        </p>
        {#if choice?.ratio !== null}
            <p class="mt-2 leading-9">
                Ratio <input class="slot" aria-label="Ratio to try" bind:value={ratio} /> at
                <input class="slot" aria-label="Seconds a count to try" inputmode="decimal" bind:value={count} />
                s a count
                <button
                    type="button"
                    class="tap"
                    onkeydown={(event) => {
                        if (event.key === ' ') {
                            event.preventDefault();
                            if (!event.repeat) void tap();
                        }
                    }}
                    onpointerdown={(event) => {
                        event.preventDefault();
                        void tap();
                    }}>Tap the counts</button
                >
                <span class="text-muted" role="status"
                    >{#if tapped}{short(tapped.count_s)} s, spread {percent(
                            tapped.spread,
                        )}{:else if taps.length > 0}{taps.length} of at least 4 taps{/if}</span
                >
                {#if tapped}{@const found = tapped.count_s}<button
                        type="button"
                        class="linklike"
                        onclick={() => {
                            count = String(found);
                        }}>take {short(found)} s</button
                    >{/if}
            </p>
        {/if}
        {#if playing}
            <div class="mt-3"><RoomPlayer {...playing} onleave={left} /></div>
        {:else}
            {#if choice?.hands}<p class="mt-2 text-muted">{choice.hands}</p>{/if}
            <Button class="mt-3" onclick={play}>Play it here</Button>
            <button type="button" class="linklike ml-3" onclick={left}>tried without the player</button>
        {/if}
        {#if trouble}<p role="alert" class="mt-2 font-semibold text-clay">{trouble}</p>{/if}
        {#if choice && choice.right.length > 0}
            <fieldset class="mt-4 border-t border-rule pt-2">
                <legend class="float-left w-full font-semibold">What right looks like: tick what you see</legend>
                <div class="clear-both">
                    {#each choice.right as line (line)}<label class="block py-0.5"
                            ><input
                                type="checkbox"
                                class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                                value={line}
                                bind:group={seen}
                            />{line}</label
                        >{/each}
                </div>
            </fieldset>
        {/if}
        {#if choice && choice.mistakes.length > 0}<p class="mt-2 text-[0.875rem] text-muted">
                Often goes wrong: {choice.mistakes.join(' ')}
            </p>{/if}
    </section>
    <section>
        <h2 class="mb-1 text-[1.15rem]">Tried in this session</h2>
        <TriedList bind:tried={step.content.tried} />
        <div class="mt-5"><Remarks bind:value={step.content.remarks} label="How it went" /></div>
        <KeptLine {step}
            >{#snippet theirs(content)}<p>
                    {(content.tried ?? []).map((each) => `${each.name} ${each.pattern}`).join('; ')}
                </p>
                <p class="whitespace-pre-line">{content.remarks ?? ''}</p>{/snippet}</KeptLine
        >
    </section>
</div>

<style>
    .tap {
        border: 1px solid var(--ink);
        background: var(--paper);
        padding: 0 0.8rem;
        border-radius: 2px;
        font-weight: 600;
        touch-action: manipulation;
        cursor: pointer;
        line-height: 1.8;
    }
</style>
