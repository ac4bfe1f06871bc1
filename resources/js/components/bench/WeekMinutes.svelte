<script lang="ts">
    import { short, WEEKDAYS } from '../../shared/format';

    let { minutes, has }: { minutes: number[]; has: number | null } = $props();

    const HEIGHT = 40;
    const most = $derived(Math.max(...minutes, has ?? 0, 1));
    const fullest = $derived(Math.max(...minutes));
</script>

<div class="flex items-center gap-5">
    <svg
        width="216"
        height={HEIGHT + 18}
        role="img"
        aria-label="Minutes by weekday: {WEEKDAYS.map((day, n) => `${day} ${short(minutes[n] ?? 0, 1)}`).join(', ')}"
    >
        {#each minutes as each, day (day)}
            <rect
                x={day * 31}
                y={HEIGHT - (each / most) * (HEIGHT - 4)}
                width="24"
                height={(each / most) * (HEIGHT - 4)}
                fill="var(--rule)"
            />
            <text x={day * 31 + 12} y={HEIGHT + 14} text-anchor="middle" font-size="12" fill="var(--muted)"
                >{WEEKDAYS[day]?.charAt(0)}</text
            >
        {/each}
        {#if has !== null}<path
                d="M0 {HEIGHT - (has / most) * (HEIGHT - 4)}H210"
                stroke="var(--ink)"
                stroke-dasharray="3 3"
            />{/if}
        <path d="M0 {HEIGHT}H210" stroke="var(--ink)" />
    </svg>
    <p class="leading-tight">
        <strong class="font-serif text-lg">{short(fullest, 1)} min a day</strong>
        <span class="block text-[0.875rem] text-muted"
            >{has === null ? 'on the fullest day' : `the patient has about ${has}`}</span
        >
    </p>
</div>
