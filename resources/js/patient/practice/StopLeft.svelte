<script lang="ts">
    import { untrack } from 'svelte';
    import { fileSecondLook, fileStop, type OpenStop } from '../keeping/openStops';
    import { has, locale, t } from '../words';
    import Stopped from './Stopped.svelte';
    import type { Help, PracticeLog, Rules } from '../types';

    /** The page was left before it was said what made somebody stop: it is asked before anything else. */
    interface Props {
        stop: OpenStop;
        help: Help;
        rules: Rules;
        onrecover?: (() => void) | undefined;
        onleave: () => void;
    }

    let { stop, help, rules, onrecover, onleave }: Props = $props();

    const which = untrack(() => ({
        exercise: has(stop.exercise) ? t(stop.exercise) : stop.exercise,
        when: new Date(stop.log.ended_at).toLocaleString(locale(), {
            weekday: 'long',
            hour: '2-digit',
            minute: '2-digit',
        }),
    }));

    function told(stopClass: PracticeLog['stop_class'], symptom: string | null): void {
        fileStop({ ...stop, log: { ...stop.log, stop_class: stopClass, stop_symptom: symptom } });
        if (stopClass === 'no-symptom') onleave();
    }
</script>

<Stopped
    {help}
    {rules}
    which={t('patient.stopped.which', which)}
    ontold={told}
    onlooked={(settled) => fileSecondLook(stop.log.uuid, settled)}
    {onrecover}
    {onleave}
/>
