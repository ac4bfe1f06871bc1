<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import ExerciseDetail from '../components/exercises/ExerciseDetail.svelte';
    import { EVERYTHING, filtered, type Filter } from '../components/exercises/filter';
    import OwnForm from '../components/exercises/OwnForm.svelte';
    import Routines from '../components/exercises/Routines.svelte';
    import Ridge from '../shared/Ridge.svelte';
    import Room from '../components/Room.svelte';
    import { clock, plural } from '../shared/format';
    import type { ExercisesProps } from '../types/exercises';

    let { list, chosen, patient, patients, routines, purposes, positions, own }: ExercisesProps = $props();

    let filter = $state<Filter>({ ...EVERYTHING });
    let editing = $state<'' | 'new' | 'change'>('');

    const shown = $derived(filtered(list, { ...filter, possible: patient !== null }));
    const query = $derived(patient ? `?patient=${patient.id}` : '');
    const LEVELS = { note: 'note', caution: 'caution', 'needs-reason': 'needs a reason' } as const;

    function choosePatient(event: Event): void {
        const id = event.currentTarget instanceof HTMLSelectElement ? event.currentTarget.value : '';
        router.visit(`/exercises/${chosen.key}${id === '' ? '' : `?patient=${id}`}`, {
            preserveState: true,
            preserveScroll: true,
        });
    }

    function goTo(key: string): void {
        editing = '';
        router.visit(`/exercises/${key}${query}`, { preserveState: true, preserveScroll: true });
    }

    const lasting = (entry: { is_about: boolean; total_ms: number; is_own: boolean }): string =>
        `${entry.is_about ? 'about ' : ''}${clock(entry.total_ms)}${entry.is_own ? ' · own' : ''}`;
</script>

<Room title="Exercises" current="exercises">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-ink pt-4 pb-3">
        <h1 class="text-[1.45rem]">Exercises</h1>
        <div class="filter">
            <label for="filter-name">Name</label><input
                id="filter-name"
                class="box w-28"
                type="search"
                bind:value={filter.text}
            />
        </div>
        <div class="filter">
            <label for="filter-for">For</label><select id="filter-for" class="box" bind:value={filter.purpose}
                ><option value="">anything</option>{#each purposes as purpose (purpose.value)}<option
                        value={purpose.value}>{purpose.label}</option
                    >{/each}</select
            >
        </div>
        <div class="filter">
            <label for="filter-position">Position</label><select
                id="filter-position"
                class="box"
                bind:value={filter.position}
                ><option value="">any</option>{#each positions as position (position.value)}<option
                        value={position.value}>{position.label}</option
                    >{/each}</select
            >
        </div>
        <div class="filter">
            <label for="filter-possible">Possible for</label><select
                id="filter-possible"
                class="box"
                value={patient?.id ?? ''}
                onchange={choosePatient}
                ><option value="">everyone</option>{#each patients as each (each.id)}<option value={each.id}
                        >{each.name}</option
                    >{/each}</select
            >
        </div>
        <label class="tick"
            ><input
                type="checkbox"
                class="size-5 rounded-sm border-gray-300 text-primary-700 focus:ring-primary-500"
                bind:checked={filter.noHolds}
            />no holds</label
        >
        <label class="tick"
            ><input
                type="checkbox"
                class="size-5 rounded-sm border-gray-300 text-primary-700 focus:ring-primary-500"
                bind:checked={filter.short}
            />under 2 min</label
        >
        <p class="ml-auto text-muted" role="status">{plural(shown.length, 'exercise', 'exercises')}</p>
    </div>
    <div class="grid md:grid-cols-[20rem_1fr]">
        <div class="border-r border-rule pr-4">
            <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
            <nav aria-label="Exercises" class="max-h-[34rem] overflow-y-auto" tabindex="0">
                <ul>
                    {#each shown as entry (entry.key)}
                        <li>
                            <Link
                                href="/exercises/{entry.key}{query}"
                                preserveState
                                preserveScroll
                                class="entry {entry.key === chosen.key ? 'here' : ''}"
                                aria-current={entry.key === chosen.key ? 'page' : undefined}
                                onclick={() => {
                                    editing = '';
                                }}
                            >
                                <span class="w-[4.6rem] shrink-0"
                                    ><Ridge shape={entry.ridge} width={90} height={26} label="" bare /></span
                                >
                                <span class="min-w-0"
                                    ><span class="block font-serif text-[0.93rem] leading-tight font-semibold"
                                        >{entry.name}</span
                                    >
                                    <span class="block truncate text-[0.8125rem] leading-snug text-muted"
                                        >{entry.finding
                                            ? `${LEVELS[entry.finding.level]}: ${entry.finding.title.toLowerCase()}`
                                            : lasting(entry)}</span
                                    ></span
                                >
                            </Link>
                        </li>
                    {:else}
                        <li class="py-4 text-muted">
                            Nothing fits. <button
                                type="button"
                                class="linklike"
                                onclick={() => {
                                    filter = { ...EVERYTHING };
                                }}>Show all</button
                            >
                        </li>
                    {/each}
                </ul>
            </nav>
            <p class="border-t border-rule py-2.5">
                <button
                    type="button"
                    class="linklike"
                    onclick={() => {
                        editing = 'new';
                    }}>Add a counted breath of your own</button
                >
            </p>
            <section class="border-t border-ink pt-2" aria-label="Routines">
                <h2 class="text-[1.05rem]">Routines</h2>
                <Routines {routines} />
            </section>
        </div>
        <div class="min-w-0 py-3 pl-6">
            {#if editing === ''}
                <ExerciseDetail
                    exercise={chosen}
                    onedit={() => {
                        editing = 'change';
                    }}
                />
            {:else}
                <OwnForm
                    id={editing === 'change' ? chosen.key : ''}
                    fields={editing === 'change' ? chosen.fields : {}}
                    choices={own}
                    onkept={goTo}
                    ongone={() => {
                        editing = '';
                        router.visit('/exercises');
                    }}
                    onleave={() => {
                        editing = '';
                    }}
                />
            {/if}
        </div>
    </div>
</Room>

<style>
    .filter {
        display: flex;
        flex-direction: column;
        font-size: 0.8125rem;
        color: var(--muted);
    }
    .tick {
        display: flex;
        align-items: center;
        gap: 0.4rem;
        padding-bottom: 0.3rem;
        cursor: pointer;
    }
    .box {
        background-color: var(--card);
        border: 1px solid var(--muted);
        border-radius: 2px;
        padding: 0.2rem 0.5rem;
        font-size: 0.925rem;
        color: var(--ink);
        height: 2.1rem;
    }
    select.box {
        padding-right: 1.8rem;
        max-width: 10.5rem;
        background-position: right 0.5rem center;
        background-size: 0.65em;
    }
    nav :global(.entry) {
        display: flex;
        align-items: center;
        gap: 0.7rem;
        padding: 0.28rem 0.5rem;
        border: 1px solid transparent;
    }
    nav :global(.entry.here) {
        background: var(--card);
        border-color: var(--ink);
    }
    nav :global(.entry:hover) {
        background: var(--card);
    }
</style>
