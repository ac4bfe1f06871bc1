<script lang="ts">
    import { Button, Textarea } from 'flowbite-svelte';
    import { onMount } from 'svelte';
    import type { Bench } from './bench.svelte';

    export interface Preview {
        changes: { kind: string; name: string; lines: { what: string; from: string; to: string }[] }[];
        patient_note: string;
        /** What was decided in the session and is not done here. */
        against: string[];
    }

    interface Props {
        preview: Preview;
        bench: Bench;
        /** There is nothing before it: it is read whole. */
        isFirst: boolean;
        note: string;
        number: number;
        isBusy: boolean;
        onleave: () => void;
    }

    let { preview, bench, isFirst, note = $bindable(), number, isBusy, onleave }: Props = $props();

    const KINDS: Record<string, string> = { added: 'new', removed: 'taken out', changed: '' };
    const title = $derived(isFirst ? 'What this programme says' : `What version ${number} changes`);
    let heading: HTMLHeadingElement | undefined = $state();
    onMount(() => heading?.focus());
</script>

<section class="grid gap-x-10 gap-y-3 border-b border-ink bg-card px-5 py-4 md:grid-cols-2" aria-label={title}>
    <div>
        <h2 class="text-[1.05rem]" tabindex="-1" bind:this={heading}>{title}</h2>
        {#each preview.against as line (line)}<p class="my-1 border-l-4 border-clay pl-3 text-[0.925rem]" role="alert">
                {line}
            </p>{/each}
        {#if isFirst}<ul class="text-[0.925rem]">
                {#each bench.items as item (item.id)}{@const said = bench.of(item.id)}
                    <li class="mt-1">
                        <strong>{said?.name}</strong>
                        {#if said}<span class="text-muted">{said.told.flatMap((each) => each.texts).join(' ')}</span
                            >{/if}
                    </li>{/each}
            </ul>
        {:else}<ul class="text-[0.925rem]">
                {#each preview.changes as change, index (index)}
                    <li class="mt-1">
                        <strong>{change.name}</strong>
                        {KINDS[change.kind] ?? ''}
                        {#if change.lines.length > 0}<ul class="text-muted">
                                {#each change.lines as line (line.what)}<li>
                                        {line.what}: {line.from || '–'} → {line.to || '–'}
                                    </li>{/each}
                            </ul>{/if}
                    </li>
                {:else}<li class="text-muted">Nothing in the exercises; dates and goal only.</li>{/each}
            </ul>{/if}
    </div>
    <div>
        <label class="text-[0.925rem] font-semibold" for="patient_note"
            >{isFirst ? 'A word for the patient, if you like' : 'What changed and why, as the patient reads it'}</label
        >
        <Textarea id="patient_note" rows={5} class="mt-1 w-full" bind:value={note} />
        <div class="mt-2 flex gap-3">
            <Button type="submit" disabled={isBusy}>Issue version {number} now</Button><Button
                color="alternative"
                onclick={onleave}>Go on building</Button
            >
        </div>
    </div>
</section>
