<script lang="ts">
    import { breathGeometry, ENGLISH, uncountedGeometry, type RidgeWords } from './ridge';
    import type { RidgeShape } from './timeline';

    interface Props {
        shape: RidgeShape;
        width?: number;
        height?: number;
        /** 0–1: how far the ink has come; without it the whole breath is inked. */
        inked?: number | null;
        /** The patient's own breath over it: 0–100 % at even parts. */
        own?: number[] | null;
        /** Of how many parts these are the first, while it goes on. */
        ownOf?: number | null;
        label: string;
        /** Only the drawing: no ruler and no labels, for lists. */
        bare?: boolean;
        /** In which it is labelled; the practitioner's where none are given. */
        words?: RidgeWords;
    }

    let {
        shape,
        width = 700,
        height = 190,
        inked = null,
        own = null,
        ownOf = null,
        label,
        bare = false,
        words = ENGLISH,
    }: Props = $props();

    const id = $props.id();
    const breath = $derived(breathGeometry(shape, width, height, words));
    const uncounted = $derived(shape.minutes === null ? null : uncountedGeometry(shape.minutes, width, height * 0.6));
    const base = $derived(uncounted ? height * 0.6 : breath.baseline);
    const below = $derived(Math.max(uncounted ? base : breath.bottom, base));
    const extra = $derived(breath.phases.some((phase) => phase.y > 23) ? 17 : 0);
    const parts = $derived(ownOf ?? own?.length ?? 0);
    const ownLine = $derived(
        own && shape.cues[0]?.kind === 'inhale'
            ? `M${own.map((v, n) => `${(n / (parts - 1)) * width} ${4 + (1 - v / 100) * (base - 4)}`).join('L')}`
            : null,
    );
    const ink = $derived(inked === null ? width : Math.max(0, Math.min(1, inked)) * width);
</script>

<svg
    class="ridge"
    viewBox="0 -4 {width} {bare ? below + 3 : below + 36 + extra}"
    role={bare ? 'presentation' : 'img'}
    aria-label={bare ? undefined : label}
    aria-hidden={bare ? 'true' : undefined}
>
    <defs>
        <pattern id="{id}-inhale" width="7" height="7" patternUnits="userSpaceOnUse"
            ><path d="M3.5 0V7" stroke="var(--reed)" stroke-opacity=".42" /></pattern
        >
        <pattern id="{id}-exhale" width="8" height="8" patternUnits="userSpaceOnUse"
            ><path d="M0 8L8 0M-2 2L2 -2M6 10L10 6" stroke="var(--heather)" stroke-opacity=".45" /></pattern
        >
        <pattern id="{id}-hold" width="8" height="8" patternUnits="userSpaceOnUse"
            ><circle cx="4" cy="4" r="1.2" fill="var(--ochre)" fill-opacity=".7" /></pattern
        >
        <pattern id="{id}-rest" width="8" height="8" patternUnits="userSpaceOnUse"></pattern>
        <clipPath id="{id}-ink"><rect x="-2" y="-8" width={ink + 2} height={below + 20} /></clipPath>
    </defs>
    {#if uncounted}
        <path class="line ahead" d={uncounted.line} />
        <path class="line" d={uncounted.line} clip-path="url(#{id}-ink)" />
    {:else}
        {#if inked !== null}<path class="line ahead" d={breath.line} />{/if}
        <g clip-path="url(#{id}-ink)">
            {#each breath.phases as phase, index (index)}
                <path d={phase.fill} fill="url(#{id}-{phase.tone})" class="fill-{phase.tone}" />
            {/each}
            <path class="line" d={breath.line} />
        </g>
    {/if}
    {#if ownLine}<path class="own" d={ownLine} />{/if}
    <path class="base" d="M0 {base}H{width}" />
    {#if bare}
        <!-- The shape alone. -->
    {:else if uncounted}
        {#each uncounted.ticks as tick (tick.x)}
            <path class="tick" d="M{tick.x} {base}v{tick.long ? 9 : 5}" />
            {#if tick.label}
                <text
                    class="label-rest"
                    x={tick.x}
                    y={base + 25}
                    text-anchor={tick.x === 0 ? 'start' : tick.x >= width ? 'end' : 'middle'}
                    >{tick.label}{tick.x >= width ? ` ${words.minutes}` : ''}</text
                >
            {/if}
        {/each}
    {:else}
        {#each breath.ticks as tick, index (index)}
            <path class="tick" d="M{tick.x} {base}v{tick.long ? 9 : 5}" />
        {/each}
        {#each breath.phases as phase, index (index)}
            <text
                class="label-{phase.tone}"
                x={phase.x}
                y={base + phase.y + (below > base ? below - base : 0)}
                text-anchor="middle">{phase.label}</text
            >
        {/each}
    {/if}
    {#if inked !== null}<path class="now" d="M{ink} -4V{below + 10}" />{/if}
</svg>
