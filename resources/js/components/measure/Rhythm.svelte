<script lang="ts">
    import { Button } from 'flowbite-svelte';
    import type { MeasureView, Reading } from '../../types/measure';
    import type { Desk } from './desk.svelte';

    let { desk, measure, onkeep }: { desk: Desk; measure: MeasureView; onkeep: (reading: Reading) => void } = $props();

    const of = (field: string): string => desk.of(measure.key, field);
    const put = (field: string, value: string): void => desk.put(measure.key, field, value);

    const SEEN = [
        ['route', 'By which way', ['nose', 'mouth', 'both']],
        ['even', 'The breath is', ['even', 'uneven']],
    ] as const;
</script>

<p class="text-muted">Watched unasked, while you talk of something else.</p>
<div class="mt-2 grid gap-2">
    {#each SEEN as [field, label, choices] (field)}
        <fieldset class="flex flex-wrap items-baseline gap-x-3">
            <legend class="float-left w-[9rem] font-semibold">{label}</legend>
            {#each choices as value (value)}<label class="flex items-center gap-1"
                    ><input
                        type="radio"
                        class="border-gray-300 text-primary-700"
                        name="rhythm-{field}"
                        {value}
                        checked={of(field) === value}
                        onchange={() => put(field, value)}
                    />{value}</label
                >{/each}
        </fieldset>
    {/each}
    <p>
        <label class="font-semibold" for="sighs">Sighs and yawns in 5 minutes</label>
        <input
            id="sighs"
            class="slot"
            inputmode="numeric"
            value={of('sighs')}
            oninput={(event) => put('sighs', event.currentTarget.value)}
        />
        <button type="button" class="linklike" onclick={() => put('sighs', String((Number(of('sighs')) || 0) + 1))}
            >one more</button
        >
    </p>
</div>
<Button size="sm" class="mt-3" onclick={() => onkeep({ route: of('route'), even: of('even'), sighs: of('sighs') })}
    >Keep route and rhythm</Button
>
