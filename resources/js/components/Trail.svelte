<script lang="ts">
    import Wide from './Wide.svelte';
    import { Link } from '@inertiajs/svelte';
    import type { TrailLine } from '../types/pages';

    let { lines, withPatient = false }: { lines: TrailLine[]; withPatient?: boolean } = $props();
</script>

{#if lines.length === 0}<p class="text-muted">Nothing yet.</p>{:else}
    <Wide label="The access trail"
        ><table class="w-full text-[0.925rem]">
            <thead class="text-left text-[0.8125rem] text-muted"
                ><tr
                    ><th scope="col" class="font-normal">When</th><th scope="col" class="font-normal">Who</th><th
                        scope="col"
                        class="font-normal">What</th
                    >{#if withPatient}<th scope="col" class="font-normal">Of whom</th>{/if}</tr
                ></thead
            >
            <tbody
                >{#each lines as line, index (index)}<tr class="border-t border-rule"
                        ><td class="py-1 pr-4 whitespace-nowrap">{line.on}</td><td class="pr-4 whitespace-nowrap"
                            >{line.by}</td
                        ><td class="pr-4"
                            >{line.kind} <strong>{line.what}</strong>{#each line.changes as change, at (at)}<span
                                    class="block text-[0.875rem] [overflow-wrap:anywhere] text-muted">{change}</span
                                >{/each}</td
                        >{#if withPatient}<td
                                >{#if line.patient_id}<Link class="linklike" href="/patients/{line.patient_id}/record"
                                        >{line.patient}</Link
                                    >{/if}</td
                            >{/if}</tr
                    >{/each}</tbody
            >
        </table></Wide
    >
{/if}
