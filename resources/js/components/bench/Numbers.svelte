<script lang="ts">
    import { clock, number, percent, short } from '../../shared/format';
    import type { Figures } from '../../types/pages';

    let { figures }: { figures: Figures } = $props();

    const about = $derived(figures.about ? 'about ' : '');
    const shown = $derived(
        figures.cycle_s !== null &&
            figures.rate !== null &&
            figures.exhale_to_inhale !== null &&
            figures.quiet_share !== null
            ? [
                  [number(figures.rate, 1), 'breaths a minute'],
                  [`${short(figures.cycle_s)} s`, 'one breath'],
                  [`1 : ${short(figures.exhale_to_inhale)}`, 'in to out'],
                  [percent(figures.quiet_share), 'quiet share'],
                  [
                      about + clock(figures.exercise_ms),
                      `one practice, ${figures.breaths} breaths` +
                          (figures.rounds > 1 ? ` in ${figures.rounds} rounds` : ''),
                  ],
                  [about + clock(figures.total_ms), 'with lead-in and return'],
              ]
            : [
                  [
                      about + clock(figures.exercise_ms),
                      figures.breaths > 0 ? `one practice, ${figures.breaths} breaths` : 'one practice',
                  ],
                  [
                      about + clock(figures.total_ms),
                      figures.breaths > 0 ? 'with lead-in and return' : 'with settling and return',
                  ],
              ],
    );
</script>

<dl class="flex flex-wrap gap-x-[1.05rem] gap-y-1">
    {#each shown as [value, label] (label)}
        <div class="flex flex-col-reverse">
            <dt class="text-[0.8125rem] text-muted">{label}</dt>
            <dd class="font-serif text-[1.4rem] leading-tight font-semibold">{value}</dd>
        </div>
    {/each}
</dl>
