<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import { Button, Input } from 'flowbite-svelte';
    import { onMount, untrack } from 'svelte';
    import StepRow from '../components/exercises/StepRow.svelte';
    import Room from '../components/Room.svelte';
    import TryInRoom from '../components/TryInRoom.svelte';
    import { clock } from '../shared/format';
    import { sendSignedIn } from '../lib/send';
    import { ON_THIS_PAGE, inWords, Refusal } from '../shared/http';
    import { keeping } from '../lib/keeping';
    import type { RoutineFigures } from '../types/exercises';
    import type { RoutineEditProps, RoutineStepFields } from '../types/props';

    let { key, is_own, fields, answer, techniques, body, kinds, limits }: RoutineEditProps = $props();

    const kept = untrack(() => keeping(`routine:${key}`));
    let draft = $state(
        untrack(() => ({
            name: is_own ? fields.name : '',
            steps: $state.snapshot(fields.steps) as RoutineStepFields[],
        })),
    );
    let figures = $state.raw<RoutineFigures | null>(untrack(() => answer));
    let errors = $state.raw<Record<string, string>>({});
    let trouble = $state('');
    let isBusy = $state(false);
    let isSure = $state(false);
    let timer: ReturnType<typeof setTimeout> | undefined;
    let turn = 0;

    onMount(() => {
        const typed = kept.read<{ name: string; steps: RoutineStepFields[] }>();
        if (typed) {
            draft = typed;
            changed();
        }
        return () => clearTimeout(timer);
    });

    /** A name is only missed when it is to be kept. */
    function changed(): void {
        kept.write($state.snapshot(draft));
        clearTimeout(timer);
        timer = setTimeout(() => void ask(), 140);
    }

    async function ask(): Promise<void> {
        const mine = ++turn;
        try {
            const got = await sendSignedIn<{ errors: Record<string, string>; figures: RoutineFigures | null }>(
                '/routines/answer',
                'POST',
                {
                    fields: {
                        ...$state.snapshot(draft),
                        name: draft.name.trim() === '' ? 'without a name' : draft.name,
                    },
                },
            );
            if (mine !== turn) return;
            errors = got.errors;
            figures = got.figures;
            trouble = '';
        } catch (problem) {
            if (mine === turn) trouble = inWords(problem, ON_THIS_PAGE);
        }
    }

    function add(): void {
        draft.steps.push({ kind: 'free', seconds: 30 });
        changed();
    }

    function remove(index: number): void {
        draft.steps.splice(index, 1);
        changed();
    }

    function move(index: number, by: number): void {
        const [step] = draft.steps.splice(index, 1);
        if (step) draft.steps.splice(index + by, 0, step);
        changed();
    }

    async function send(method: 'POST' | 'PUT' | 'DELETE'): Promise<void> {
        isBusy = true;
        trouble = '';
        try {
            const done = await sendSignedIn<{ key?: string }>(
                method === 'POST' ? '/routines' : `/routines/${key}`,
                method,
                method === 'DELETE' ? undefined : { fields: $state.snapshot(draft) },
            );
            kept.forget();
            router.visit(method === 'DELETE' ? '/exercises' : `/routines/${done.key ?? key}`, { preserveState: false });
        } catch (problem) {
            if (problem instanceof Refusal && problem.status === 422) errors = problem.errors;
            else trouble = inWords(problem, ON_THIS_PAGE);
        } finally {
            isBusy = false;
        }
    }

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        void send(is_own ? 'PUT' : 'POST');
    }
</script>

<Room title="Routine" current="exercises">
    <form onsubmit={submit} novalidate>
        <div class="flex flex-wrap items-end gap-5 border-b border-ink pt-4 pb-3">
            <h1 class="text-[1.45rem]">{fields.name}</h1>
            <span class="pb-1 text-muted"
                >{is_own
                    ? 'a routine of your clinic'
                    : 'shipped; a change is kept as your own, under a name of its own'}</span
            >
            <Link href="/exercises" class="linklike ml-auto pb-1">All exercises</Link>
        </div>
        <div class="grid gap-8 pt-4 md:grid-cols-[1fr_17rem]">
            <ol class="min-w-0">
                {#each draft.steps as step, index (index)}
                    <StepRow
                        {step}
                        {index}
                        last={index === draft.steps.length - 1}
                        {techniques}
                        {body}
                        {kinds}
                        {errors}
                        onchange={(next) => {
                            draft.steps[index] = next;
                            changed();
                        }}
                        onremove={() => remove(index)}
                        onmove={(by) => move(index, by)}
                    />
                {/each}
                {#if draft.steps.length < limits.steps}<li class="border-t border-rule py-2.5">
                        <button type="button" class="linklike" onclick={add}>Add a step</button>
                    </li>{/if}
            </ol>
            <aside aria-label="Altogether" class="flex flex-col gap-4">
                <div class="min-h-24" aria-live="polite">
                    {#if figures}<dl class="text-[0.925rem]">
                            <div>
                                <dd class="font-serif text-[1.6rem] font-semibold">
                                    {figures.about ? 'about ' : ''}{clock(figures.total_ms)}
                                </dd>
                                <dt class="text-muted">from beginning to end</dt>
                            </div>
                            <div class="mt-1">
                                <dd class="font-serif text-[1.3rem] font-semibold">
                                    {figures.about ? 'about ' : ''}{clock(figures.exercise_ms)}
                                </dd>
                                <dt class="text-muted">of exercise, {figures.breaths} counted breaths</dt>
                            </div>
                        </dl>
                    {:else}<p class="text-muted">Its length is shown as soon as every step can be read.</p>
                    {/if}
                </div>
                {#if errors.steps}<p role="alert" class="font-semibold text-clay">{errors.steps}</p>{/if}
                <div class="flex flex-col gap-1">
                    <label for="routine-name" class="font-semibold">Name</label>
                    <Input
                        id="routine-name"
                        maxlength={80}
                        autocomplete="off"
                        bind:value={draft.name}
                        oninput={changed}
                        aria-invalid={errors.name ? 'true' : undefined}
                        aria-describedby={errors.name ? 'routine-name-error' : undefined}
                    />
                    {#if errors.name}<p id="routine-name-error" class="text-[0.925rem] font-semibold text-clay">
                            {errors.name}
                        </p>{/if}
                </div>
                <Button type="submit" disabled={isBusy}>{is_own ? 'Keep the change' : 'Keep as our own'}</Button>
                {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
                {#if is_own}
                    {#if isSure}<p>
                            Programmes that use it keep their copy. <Button
                                color="red"
                                size="sm"
                                disabled={isBusy}
                                onclick={() => send('DELETE')}>Delete it</Button
                            >
                        </p>
                    {:else}<button
                            type="button"
                            class="linklike self-start"
                            onclick={() => {
                                isSure = true;
                            }}>Delete…</button
                        >{/if}
                {/if}
            </aside>
        </div>
    </form>
    <div class="mt-4 max-w-[50rem] border-t border-rule pt-4">
        <TryInRoom url="/routines/{key}/play" label={is_own ? 'Try it as it is kept' : 'Try it here'} />
    </div>
</Room>
