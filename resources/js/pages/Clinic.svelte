<script lang="ts">
    import { Link, router } from '@inertiajs/svelte';
    import Room from '../components/Room.svelte';
    import Trail from '../components/Trail.svelte';
    import type { Choice, TrailLine } from '../types/pages';

    interface Props {
        clinic: { name: string; time_zone: string; emergency_wording: string };
        people: { id: number; name: string; profession: string; role: string; role_label: string }[];
        roles: Choice[];
        is_lead: boolean;
        trail: TrailLine[] | null;
    }

    let { clinic, people, roles, is_lead, trail }: Props = $props();
    let trouble = $state('');

    function give(id: number, role: string): void {
        trouble = '';
        router.put(`/clinic/people/${id}`, { role }, { preserveScroll: true, onError: (errors) => { trouble = Object.values(errors)[0] ?? ''; router.reload(); } });
    }
</script>

<Room title="Clinic" current="clinic">
    <div class="grid gap-x-12 gap-y-6 pt-5 md:grid-cols-[1fr_1.4fr]">
        <section>
            <h1 class="text-[1.45rem]">{clinic.name}</h1>
            <p class="text-muted">{clinic.time_zone.replaceAll('_', ' ')}</p>
            <h2 class="mt-5 mb-1 text-[1.15rem]">People</h2>
            <ul>
                {#each people as person (person.id)}
                    <li class="flex items-baseline justify-between gap-4 border-t border-rule py-2"><span><strong>{person.name}</strong><span class="block text-[0.875rem] text-muted">{person.profession}</span></span>
                        {#if is_lead}<select class="slot small" aria-label="Role of {person.name}" value={person.role} onchange={(event) => give(person.id, event.currentTarget.value)}>{#each roles as role (role.value)}<option value={role.value}>{role.label}</option>{/each}</select>
                        {:else}<span>{person.role_label}</span>{/if}</li>
                {/each}
            </ul>
            {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
            <h2 class="mt-5 mb-1 text-[1.15rem]">My voice</h2>
            <p>Numbers and words in your own voice lead your patients at home. <Link href="/voice" class="linklike">Record it</Link></p>
            <h2 class="mt-5 mb-1 text-[1.15rem]">In an emergency, patients read</h2>
            <p class="border-l-4 border-clay bg-card px-4 py-2">{clinic.emergency_wording}</p>
        </section>
        <section>
            <h2 class="mb-1 text-[1.15rem]">Who opened and changed what</h2>
            {#if trail}<Trail lines={trail} withPatient />{:else}<p class="text-muted">The clinic’s lead sees this.</p>{/if}
        </section>
    </div>
</Room>
