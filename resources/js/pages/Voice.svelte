<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import Room from '../components/Room.svelte';
    import { fetchSignedIn, sendSignedIn } from '../lib/send';
    import { formToken, Refusal } from '../shared/http';
    import { plural } from '../shared/format';
    import { Recorder, wav } from '../lib/recorder';
    import type { KeptLine, VoiceLine, VoiceProps } from '../types/props';

    let { lines, running }: VoiceProps = $props();

    /** The microphone hears a little more than fits, so that what is too long can be told. */
    const BEFORE_AND_AFTER_S = 1.2;

    let kept = $state<Record<string, KeptLine | null>>(
        untrack(() => Object.fromEntries(lines.map((each) => [each.line, each.kept]))),
    );
    let recording = $state<string | null>(null);
    let busy = $state<string | null>(null);
    let trouble = $state<{ line: string; text: string } | null>(null);
    let recorder: Recorder | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let context: AudioContext | null = null;

    const done = $derived(lines.filter((each) => kept[each.line]).length);
    /** Exercises of running programmes in which everything is said in this voice. */
    const speaking = $derived(running.filter((needs) => needs.every((line) => kept[line])).length);
    /** What they still need, the line first that most of them use. */
    const needed = $derived(
        lines.filter((each) => each.used > 0 && !kept[each.line]).sort((one, other) => other.used - one.used),
    );
    const missing = $derived(
        needed.length > 0 ? `; ${plural(needed.length, 'more line', 'more lines')} and every one does` : '',
    );
    const exercises = $derived(plural(running.length, 'running exercise', 'running exercises'));
    const next = $derived(needed[0] ?? lines.find((each) => !kept[each.line]) ?? null);
    const isNumber = (each: VoiceLine): boolean => each.line.startsWith('number.');
    const rest = $derived(lines.filter((each) => each.used === 0 && !kept[each.line]));
    const groups = $derived(
        [
            { title: 'What your running programmes need', lines: needed, isOpen: true },
            { title: 'Recorded', lines: lines.filter((each) => kept[each.line]), isOpen: true },
            { title: 'Other numbers', lines: rest.filter(isNumber), isOpen: false },
            {
                title: 'Other words',
                lines: rest.filter((each) => !isNumber(each) && each.longest_s < 2),
                isOpen: false,
            },
            { title: 'Other sentences', lines: rest.filter((each) => each.longest_s >= 2), isOpen: false },
        ].filter((group) => group.lines.length > 0),
    );

    onMount(() => () => {
        clearTimeout(timer);
        void recorder?.stop().catch(() => undefined);
        void context?.close();
    });

    async function record(line: VoiceLine): Promise<void> {
        if (recording) return stop();
        trouble = null;
        try {
            recorder = await Recorder.start();
        } catch {
            trouble = {
                line: line.line,
                text: 'There is no microphone, or this page may not use it. Allow it in the browser and try again.',
            };
            return;
        }
        recording = line.line;
        timer = setTimeout(() => void stop(), (line.longest_s + BEFORE_AND_AFTER_S) * 1000);
    }

    async function stop(): Promise<void> {
        clearTimeout(timer);
        const line = recording;
        const from = recorder;
        recording = null;
        recorder = null;
        if (!line || !from) return;
        busy = line;
        try {
            kept[line] = await send(line, wav(await from.stop()));
        } catch (problem) {
            trouble = {
                line,
                text:
                    problem instanceof Refusal
                        ? problem.message
                        : 'It could not be kept. Check the connection and record it again.',
            };
        } finally {
            busy = null;
        }
    }

    async function send(line: string, body: Blob): Promise<KeptLine> {
        const response = await fetchSignedIn(`/voice/${line}`, () => ({
            method: 'POST',
            headers: { Accept: 'application/json', 'Content-Type': 'audio/wav', ...formToken() },
            body,
        }));
        const answer = (await response.json().catch(() => ({}))) as KeptLine & { message?: string };
        if (!response.ok) throw new Refusal(response.status, answer.message ?? 'It could not be kept.');
        return answer;
    }

    async function hear(line: string): Promise<void> {
        context ??= new AudioContext();
        const response = await fetchSignedIn(`/voice/${line}`, () => ({
            headers: { Accept: 'application/json, audio/wav' },
        }));
        if (!response.ok) return;
        const source = context.createBufferSource();
        source.buffer = await context.decodeAudioData(await response.arrayBuffer());
        source.connect(context.destination);
        source.start();
    }

    async function remove(line: string): Promise<void> {
        await sendSignedIn(`/voice/${line}`, 'DELETE');
        kept[line] = null;
    }
</script>

<Room title="My voice" current="clinic">
    <div class="grid gap-x-12 gap-y-6 pt-5 md:grid-cols-[1fr_2fr]">
        <section>
            <h1 class="text-[1.45rem]">My voice</h1>
            <p class="mt-2">
                Say each line once, in the calm voice that you use in the room. It is cut to what was said and brought
                to one loudness. On your patients’ devices it takes the place of the tone, on the beat; where a line is
                missing, the device says it, or the tone stays.
            </p>
            <p class="mt-2 text-muted">{done} of {lines.length} recorded. Only your own patients hear it.</p>
            {#if running.length > 0}<p class="mt-2">
                    {speaking} of {exercises} speak with your voice alone{missing}.
                </p>{/if}
            {#if next}
                <p class="mt-5 text-sm text-muted">Next line</p>
                <p class="font-serif text-[2rem] font-semibold">{next.text}</p>
                <Button class="mt-2" disabled={busy !== null} onclick={() => record(next)}
                    >{recording === next.line
                        ? 'Stop'
                        : recording
                          ? 'Stop the other first'
                          : 'Record this line'}</Button
                >
            {:else}<p class="mt-5 text-moss" role="status">Every line is recorded.</p>{/if}
            {#if recording}<p class="mt-2 font-semibold text-clay" role="status">Recording: speak now.</p>{/if}
            {#if trouble}<p class="mt-2 font-semibold text-clay" role="alert">
                    “{lines.find((each) => each.line === trouble?.line)?.text}”: {trouble.text}
                </p>{/if}
        </section>
        <div>
            {#each groups as group (group.title)}
                <details open={group.isOpen} class="mb-4">
                    <summary class="cursor-pointer"
                        ><h2 class="inline text-[1.15rem]">{group.title}</h2>
                        <span class="text-sm text-muted">{group.lines.length}</span></summary
                    >
                    <ul class="mt-1 gap-x-8 md:columns-2">
                        {#each group.lines as line (line.line)}
                            {@const clip = kept[line.line]}
                            <li class="break-inside-avoid border-t border-rule py-1.5">
                                <span class="flex items-baseline justify-between gap-2"
                                    ><strong>{line.text}</strong><span class="text-sm whitespace-nowrap text-muted"
                                        >{clip
                                            ? `${(clip.ms / 1000).toFixed(2)} s`
                                            : `at most ${line.longest_s} s`}{line.used > 0
                                            ? `, in ${plural(line.used, 'exercise', 'exercises')}`
                                            : ''}</span
                                    ></span
                                >
                                <span class="flex gap-3 text-sm">
                                    {#if clip}
                                        <button type="button" class="linklike" onclick={() => hear(line.line)}
                                            >Hear<span class="visually-hidden"> {line.text}</span></button
                                        >
                                        <button
                                            type="button"
                                            class="linklike"
                                            disabled={busy !== null || (recording !== null && recording !== line.line)}
                                            onclick={() => record(line)}
                                            >{recording === line.line ? 'Stop' : 'Again'}<span class="visually-hidden">
                                                {line.text}</span
                                            ></button
                                        >
                                        <button type="button" class="linklike" onclick={() => remove(line.line)}
                                            >Remove<span class="visually-hidden"> {line.text}</span></button
                                        >
                                    {:else if line.line !== next?.line}
                                        <button
                                            type="button"
                                            class="linklike"
                                            disabled={busy !== null || (recording !== null && recording !== line.line)}
                                            onclick={() => record(line)}
                                            >{recording === line.line ? 'Stop' : 'Record'}<span class="visually-hidden">
                                                {line.text}</span
                                            ></button
                                        >
                                    {/if}
                                </span>
                            </li>
                        {/each}
                    </ul>
                </details>
            {/each}
        </div>
    </div>
</Room>
