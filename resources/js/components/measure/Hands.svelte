<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import { percent } from '../../shared/format';
    import type { MeasureView, Reading } from '../../types/measure';
    import type { Desk } from './desk.svelte';

    let { desk, measure, onkeep }: { desk: Desk; measure: MeasureView; onkeep: (reading: Reading) => void } = $props();

    const AMOUNTS = ['0', '1', '2', '3', '4'];
    const WORDS = ['none', 'a little', 'some', 'much', 'very much'];
    const of = (field: string): string => desk.of(measure.key, field);
    const put = (field: string, value: string): void => desk.put(measure.key, field, value);
    const chest = $derived(Number(of('chest')));
    const belly = $derived(Number(of('belly')));
    const isComplete = $derived(of('chest') !== '' && of('belly') !== '' && of('first') !== '' && chest + belly > 0);

    const SEEN = [
        ['shoulders', 'shoulders lift'],
        ['ribs', 'ribs flared at rest'],
    ] as const;
</script>

<p class="text-muted">One hand on the upper chest, one on the belly. Watch a few quiet breaths.</p>
<div class="mt-2 grid gap-2">
    {#each [['chest', 'The chest hand moves'], ['belly', 'The belly hand moves']] as const as [field, label] (field)}
        <fieldset class="flex flex-wrap items-baseline gap-x-3">
            <legend class="float-left w-[11rem] font-semibold">{label}</legend>
            {#each AMOUNTS as amount, index (amount)}<label class="flex items-center gap-1"
                    ><input
                        type="radio"
                        class="border-gray-300 text-primary-700"
                        name="hands-{field}"
                        value={amount}
                        checked={of(field) === amount}
                        onchange={() => put(field, amount)}
                    />{WORDS[index]}</label
                >{/each}
        </fieldset>
    {/each}
    <fieldset class="flex flex-wrap items-baseline gap-x-3">
        <legend class="float-left w-[11rem] font-semibold">Which moves first</legend>
        {#each ['chest', 'belly', 'together'] as first (first)}<label class="flex items-center gap-1"
                ><input
                    type="radio"
                    class="border-gray-300 text-primary-700"
                    name="hands-first"
                    value={first}
                    checked={of('first') === first}
                    onchange={() => put('first', first)}
                />{first}</label
            >{/each}
    </fieldset>
    <p class="flex gap-5">
        {#each SEEN as [field, label] (field)}<label
                ><input
                    type="checkbox"
                    class="mr-1 size-4 rounded-sm border-gray-300 text-primary-700"
                    checked={of(field) === '1'}
                    onchange={(event) => put(field, event.currentTarget.checked ? '1' : '')}
                />{label}</label
            >{/each}
    </p>
</div>
<p class="mt-2" role="status">
    {#if isComplete}
        <strong class="font-serif text-[1.4rem]">{percent(chest / (chest + belly))}</strong>
        of the movement is at the chest.
    {/if}
</p>
<Button
    size="sm"
    class="mt-2"
    disabled={!isComplete}
    onclick={() =>
        onkeep({
            chest: of('chest'),
            belly: of('belly'),
            first: of('first'),
            shoulders: of('shoulders') === '1',
            ribs: of('ribs') === '1',
        })}>Keep the hand check</Button
>
