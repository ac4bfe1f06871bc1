<script lang="ts">
    import Wide from '../Wide.svelte';
    import { short } from '../../shared/format';
    import type { SchoolView } from '../../types/exercises';

    let { schools }: { schools: SchoolView[] } = $props();

    const questions = $derived(Object.keys(schools[0]?.assumes ?? {}));
</script>

<Wide label="Schools side by side">
    <table class="schools">
        <caption class="text-left font-serif text-[0.95rem] font-semibold">Where practitioners disagree</caption>
        <thead>
            <tr
                ><td></td>{#each schools as school (school.key)}<th scope="col">{school.label}</th>{/each}</tr
            >
        </thead>
        <tbody>
            <tr
                ><th scope="row">Starts with</th>{#each schools as school (school.key)}<td
                        >{school.starts}, {school.effort}</td
                    >{/each}</tr
            >
            {#each questions as question (question)}
                <tr
                    ><th scope="row">{question}</th>{#each schools as school (school.key)}<td
                            >{school.assumes[question]}</td
                        >{/each}</tr
                >
            {/each}
            <tr
                ><th scope="row">Right looks like</th>{#each schools as school (school.key)}<td
                        >{school.right.join(' ')}</td
                    >{/each}</tr
            >
            <tr
                ><th scope="row">Too hard, here</th>{#each schools as school (school.key)}<td
                        >{school.too_hard.join('; ') || 'less often'}</td
                    >{/each}</tr
            >
            <tr
                ><th scope="row">Too easy, here</th>{#each schools as school (school.key)}<td
                        >{school.too_easy.join('; ') || 'at the top'}</td
                    >{/each}</tr
            >
            <tr>
                <th scope="row">Ladder</th>
                {#each schools as school (school.key)}
                    <td
                        ><ol class="ladder">
                            {#each school.ladder as rung, index (index)}
                                <li>
                                    <span class="block">{rung.change}</span>
                                    <span class="text-muted"
                                        >{rung.cycle_s === null
                                            ? ''
                                            : `${short(rung.cycle_s)} s, ${short(rung.rate ?? 0, 1)} a minute, `}{short(
                                            rung.minutes,
                                            1,
                                        )} min{rung.days > 0 ? ` · after ${rung.days} days` : ''}</span
                                    >
                                </li>
                            {/each}
                        </ol></td
                    >
                {/each}
            </tr>
        </tbody>
    </table>
</Wide>

<style>
    .schools {
        width: 100%;
        border-collapse: collapse;
        font-size: 0.8125rem;
        line-height: 1.35;
    }
    .schools th {
        text-align: left;
        font-weight: 600;
        vertical-align: top;
        padding: 0.25rem 0.7rem 0.25rem 0;
    }
    .schools thead th {
        border-bottom: 1px solid var(--ink);
    }
    .schools td {
        vertical-align: top;
        padding: 0.25rem 0.7rem 0.25rem 0;
        min-width: 9rem;
    }
    .schools tbody tr + tr > * {
        border-top: 1px solid var(--rule);
    }
    .ladder {
        list-style: decimal;
        padding-left: 1.2rem;
    }
    .ladder li + li {
        margin-top: 0.2rem;
    }
</style>
