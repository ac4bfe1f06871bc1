<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import { keeping } from '../../lib/keeping';
    import type { Sounding } from '../../lib/roomSound';
    import type { Moment } from '../../player/engine';
    import { Played, type PlayedBreath } from '../../player/played';
    import { clock, short } from '../../shared/format';
    import type { RoomPlay } from '../../types/exercises';
    import type { OpenRecording, SignalsProps } from '../../types/signals';
    import RoomPlayer from '../RoomPlayer.svelte';
    import { Live, SHOWN_S } from './live.svelte';
    import type { Signals } from './signals.svelte';
    import { landscape, type Landscape } from './strip';
    import Strip from './Strip.svelte';

    /** A recording while it goes on. */
    interface Props {
        signals: Signals;
        open: OpenRecording;
        sounding: Sounding<RoomPlay> | null;
        seconds: SignalsProps['seconds'];
    }
    let { signals, open, sounding, seconds }: Props = $props();

    /** What could not be ended by itself is tried again so many seconds later. */
    const AGAIN_S = 3;
    let tried = -AGAIN_S;

    const kept = untrack(() => keeping(`signals:${open.uuid}`));
    interface Kept {
        breaths: PlayedBreath[];
        drawn: Landscape[];
        marks: Record<string, number>;
    }
    const before = kept.read<Kept>();
    const played = new Played();
    played.breaths.push(...(before?.breaths ?? []));
    let drawn = $state.raw<Landscape[]>(before?.drawn ?? []);
    let marks = $state<Record<string, number>>(before?.marks ?? {});
    let at = $state(0);
    let isPlaying = $state(untrack(() => sounding !== null));

    const live = untrack(
        // Also what ended by itself, or elsewhere, is told what was led and marked here.
        () => new Live(`${signals.url}/${open.uuid}`, open.began_ms_ago, () => void end()),
    );
    const quietEnd = $derived(
        open.kind === 'quiet'
            ? (marks.calibration === undefined ? 0 : marks.calibration + seconds.calibration) + seconds.quiet
            : null,
    );
    const holdEnd = $derived(marks.hold_to === undefined ? null : marks.hold_to + seconds.after_hold + 1);

    onMount(() => {
        const timer = setInterval(() => {
            at = live.at();
            const ends = quietEnd ?? holdEnd;
            if (ends !== null && at >= ends && at - tried > AGAIN_S) void end();
        }, 100);
        return () => {
            clearInterval(timer);
            live.stop();
        };
    });

    function keep(): void {
        kept.write({ breaths: played.breaths, drawn, marks: $state.snapshot(marks) });
    }

    function mark(name: string): void {
        marks = { ...marks, [name]: Math.round(live.at() * 100) / 100 };
        keep();
    }

    function onmoment(moment: Moment | null): void {
        if (!moment || !played.note(moment, live.at() * 1000)) return;
        const start = (played.breaths.at(-1)?.[0] ?? 0) / 1000;
        // Of one that was said twice, where the sound stalled, only the last stands.
        const stands = ([first]: Landscape): boolean =>
            first !== undefined && first[0] > start - SHOWN_S && played.breaths.some(([ms]) => ms / 1000 === first[0]);
        drawn = [...drawn.filter((each) => stands(each) && each[0]?.[0] !== start), landscape(moment, start)];
        keep();
    }

    async function end(): Promise<void> {
        if (signals.isBusy) return;
        tried = live.at();
        played.broken(live.at() * 1000);
        if (await signals.end(open.uuid, { played: played.breaths, ...$state.snapshot(marks) })) kept.forget();
    }

    const numbers = $derived(
        [
            live.reading?.rate == null ? null : ['breaths a minute', short(live.reading.rate, 1)],
            live.reading?.ratio == null ? null : ['out to in', short(live.reading.ratio, 1)],
            live.reading?.angle == null ? null : ['chest and belly out of step', `${live.reading.angle}°`],
            live.saturation === null ? null : ['saturation', `${live.saturation} %`],
            live.pulse === null ? null : ['pulse', String(live.pulse)],
        ].filter((each): each is [string, string] => each !== null),
    );
</script>

<section class="border border-ink bg-card px-5 py-4" aria-label="Recording: {open.label}">
    <div class="flex flex-wrap items-baseline gap-x-4">
        <h2 class="text-[1.15rem]">{open.label}{open.about ? `: ${open.about}` : ''}</h2>
        <span class="ml-auto font-serif text-[1.4rem] tabular-nums">{clock(at * 1000)}</span>
    </div>
    {#if sounding && isPlaying}
        <div class="mt-2">
            <RoomPlayer
                {...sounding}
                {onmoment}
                onleave={() => {
                    isPlaying = false;
                    void end();
                }}
            />
        </div>
    {:else if open.kind === 'led' || open.kind === 'pace'}
        <p class="text-muted">Nothing is led any more. End the recording to read what was measured until now.</p>
    {/if}
    <div class="mt-3">
        <Strip belly={live.belly} chest={live.chest} breaths={drawn} {at} calibration={marks.calibration ?? null} />
    </div>
    <dl class="mt-2 flex flex-wrap gap-x-8 gap-y-1" aria-label="The last minute">
        {#each numbers as [label, value] (label)}<div class="flex items-baseline gap-2">
                <dd class="font-serif text-[1.5rem] tabular-nums">{value}</dd>
                <dt class="text-[0.875rem] text-muted">{label}</dt>
            </div>{/each}
    </dl>
    <p class="mt-1 text-[0.875rem] text-muted" role="status">
        {#if live.isLost}<span class="font-semibold text-clay"
                >No connection: what the devices measure waits on them.</span
            >{:else}{#each live.sensors as sensor (sensor.id)}<span class="mr-4"
                    >{sensor.name}: {sensor.here ? 'sends' : 'not heard of just now; it may send later'}</span
                >{/each}{/if}
    </p>
    <div class="mt-3 flex flex-wrap items-center gap-3">
        {#if open.kind === 'quiet' && live.chest.length > 1 && live.belly.length > 1 && marks.calibration === undefined}
            <Button size="sm" color="alternative" onclick={() => mark('calibration')}>Now a full, slow breath</Button>
            <span class="text-[0.875rem] text-muted">to compare the belts by; the minute counts after it</span>
        {/if}
        {#if open.kind === 'hold' && marks.hold_from === undefined}
            <Button size="sm" onclick={() => mark('hold_from')}>The hold begins</Button>
            <span class="text-[0.875rem] text-muted">after half a minute of quiet breathing</span>
        {:else if open.kind === 'hold' && marks.hold_to === undefined}
            <Button size="sm" onclick={() => mark('hold_to')}>The hold ends</Button>
            <span class="font-serif text-[1.25rem]">{Math.floor(at - (marks.hold_from ?? 0))} s</span>
        {:else if holdEnd !== null}
            <span>A minute after it, in {Math.max(0, Math.ceil(holdEnd - at))} s, it is looked at once more.</span>
        {/if}
        {#if quietEnd !== null}<span class="text-muted"
                >ends by itself in {Math.max(0, Math.ceil(quietEnd - at))} s</span
            >{/if}
        {#if !isPlaying}<Button size="sm" color="alternative" disabled={signals.isBusy} onclick={end}
                >End the recording</Button
            >{/if}
    </div>
    {#if signals.trouble}<p role="alert" class="mt-2 font-semibold text-clay">{signals.trouble}</p>{/if}
</section>
