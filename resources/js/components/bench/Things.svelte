<script lang="ts">
    import type { BenchChoices } from '../../types/pages';
    import type { Bench } from './bench.svelte';

    let { bench, choices }: { bench: Bench; choices: BenchChoices } = $props();

    /** What goes with the position and the route; what is there already is never hidden. */
    const there = $derived(
        choices.props.filter(
            (each) =>
                bench.fields.props.includes(each.value) ||
                (each.positions.includes(bench.fields.position) && each.routes.includes(bench.fields.route_out)),
        ),
    );
    const labels = (values: string[]): string =>
        values.map((value) => choices.props.find((each) => each.value === value)?.label ?? value).join(', ');

    function toggle(value: string): void {
        const props = bench.fields.props;
        bench.set({ props: props.includes(value) ? props.filter((each) => each !== value) : [...props, value] });
    }
</script>

<div class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-0.5 text-[0.875rem]">
    <span class="text-muted">With</span>
    {#each there as prop (prop.value)}
        <label class="flex cursor-pointer items-center gap-1.5">
            <input
                type="checkbox"
                class="size-4 rounded-sm border-gray-300 text-primary-700 focus:ring-primary-500"
                checked={bench.fields.props.includes(prop.value)}
                onchange={() => toggle(prop.value)}
            />{prop.label}
        </label>
    {/each}
    <label
        >and <input
            class="slot small !w-[11rem] !text-left"
            placeholder="something else"
            aria-label="What else is needed"
            maxlength="80"
            autocomplete="off"
            value={bench.fields.own_prop ?? ''}
            oninput={(event) => {
                bench.fields.own_prop = event.currentTarget.value === '' ? null : event.currentTarget.value;
                bench.typed();
            }}
        /></label
    >
</div>
{#if bench.carried && bench.carried.id === bench.fields.id}
    <p class="text-[0.875rem] text-muted" role="status">
        With the position {[
            bench.carried.left.length > 0 ? `left: ${labels(bench.carried.left)}` : '',
            bench.carried.came.length > 0 ? `came: ${labels(bench.carried.came)}` : '',
        ]
            .filter(Boolean)
            .join('; ')}.
    </p>
{/if}
