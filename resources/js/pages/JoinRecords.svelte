<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import AskWhy from '../components/asking/AskWhy.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import Room from '../components/Room.svelte';
    import Wide from '../components/Wide.svelte';
    import { plural } from '../shared/format';
    import type { JoinProps, JoinSide } from '../types/record';

    let { patient, mine, others }: JoinProps = $props();

    const LINES: readonly (readonly [string, (side: JoinSide) => string])[] = [
        ['Added', (side) => `${side.added_on}, with ${side.with}`],
        ['Contact', (side) => side.contact ?? 'none'],
        ['Screened', (side) => side.screened_on ?? 'not yet'],
        ['Sessions', (side) => plural(side.sessions, 'session', 'sessions')],
        ['Practices', (side) => plural(side.practices, 'practice', 'practices')],
        ['Programme', (side) => (side.running ? 'running' : 'none running')],
        ['Devices', (side) => plural(side.devices, 'device', 'devices')],
    ];
</script>

<Room title="Two records of {patient.name}">
    <PatientBar {patient} here="record" note="two records of one person" />
    <p class="max-w-[46rem] pt-4">
        Records of this clinic with the same date of birth. Joined, the older record is the one that stays: everything
        of the younger moves to it, sessions are counted anew, phones go on, and the old address leads here. A join
        cannot be parted again, so look first.
    </p>
    {#each others as other (other.id)}
        <section class="mt-6 border-t border-ink pt-3" aria-labelledby="other-{other.id}">
            <h2 id="other-{other.id}" class="text-[1.15rem]">{mine.name} and {other.name}</h2>
            <Wide label="The two records, side by side">
                <table class="mt-2 w-full max-w-[52rem] text-[0.95rem]">
                    <thead
                        ><tr class="text-left"
                            ><td></td><th scope="col" class="py-1 pr-4">This record</th><th scope="col" class="py-1"
                                ><Link class="linklike" href="/patients/{other.id}/record">The other</Link></th
                            ></tr
                        ></thead
                    >
                    <tbody>
                        {#each LINES as [label, of] (label)}<tr class="border-t border-rule"
                                ><th scope="row" class="py-1 pr-4 text-left font-normal text-muted">{label}</th><td
                                    class="pr-4">{of(mine)}</td
                                ><td>{of(other)}</td></tr
                            >{/each}
                        {#each other.differs as line (line.question)}<tr class="border-t border-rule"
                                ><th scope="row" class="py-1 pr-4 text-left font-normal text-muted">{line.question}</th
                                ><td class="pr-4">{line.mine}</td><td>{line.theirs}</td></tr
                            >{/each}
                    </tbody>
                </table>
            </Wide>
            <p class="mt-3">
                {#if mine.running && other.running}A programme is running in both: close the one that is not to go on,
                    then join them.
                {:else}<AskWhy
                        url="/patients/{patient.id}/join"
                        also={{ other: other.id }}
                        opener="Join these two"
                        of="{mine.name} and {other.name}"
                        title="Join two records of {other.keeps}"
                        text="They become one under the name {other.keeps}. This is not undone from the screen."
                        button="Join them"
                    />{/if}
            </p>
        </section>
    {:else}
        <p class="mt-6">
            No other record of this clinic has this date of birth. If one was typed wrong, correct it under <Link
                class="linklike"
                href="/patients/{patient.id}/record">Details</Link
            > first.
        </p>
    {/each}
</Room>
