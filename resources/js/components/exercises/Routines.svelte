<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { clock } from '../../shared/format';
    import type { RoutineEntry } from '../../types/exercises';

    let { routines }: { routines: RoutineEntry[] } = $props();
</script>

<ul>
    {#each routines as routine (routine.key)}
        <li class="border-t border-rule py-2">
            <Link href="/routines/{routine.key}" class="flex items-baseline gap-3"
                ><span class="font-serif font-semibold">{routine.name}</span>
                <span class="ml-auto whitespace-nowrap text-[0.8125rem] text-muted"
                    >{routine.about ? 'about ' : ''}{clock(routine.total_ms)}{routine.is_own ? ' · own' : ''}</span
                ></Link
            >
            <p class="text-[0.8125rem] leading-snug text-muted">
                {routine.steps.map((step) => step.label).join(' → ')}
            </p>
        </li>
    {/each}
</ul>
