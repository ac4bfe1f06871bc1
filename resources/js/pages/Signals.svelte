<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { untrack } from 'svelte';
    import { roomSound, type Sounding } from '../lib/roomSound';
    import { sendSignedIn } from '../lib/send';
    import { BACK_LATER, inWords } from '../shared/http';
    import { Desk } from '../components/measure/desk.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import RedFlagActions from '../components/RedFlagActions.svelte';
    import Room from '../components/Room.svelte';
    import Begin from '../components/signals/Begin.svelte';
    import Recording from '../components/signals/Recording.svelte';
    import Recordings from '../components/signals/Recordings.svelte';
    import { Signals } from '../components/signals/signals.svelte';
    import Traces from '../components/signals/Traces.svelte';
    import type { RoomPlay } from '../types/exercises';
    import type { RoomKind, SignalsProps } from '../types/signals';

    let props: SignalsProps = $props();

    const signals = untrack(() => new Signals(props.patient.id, props));
    const desk = untrack(() => new Desk(props.patient.id, props.desk, 'desk'));
    $effect(() => {
        desk.shown = props.desk;
    });
    // What was asked for anew, after a code was handed in or a value was kept.
    $effect(() => {
        signals.shown = {
            open: props.open,
            recordings: props.recordings,
            sensors: props.sensors,
            agreed: props.agreed,
        };
    });

    const openSound = roomSound();
    let kind = $state<RoomKind>('quiet');
    /** Of what is counted it can be said how far it was followed. */
    let exercise = $state(
        untrack(() =>
            String(
                Math.max(
                    0,
                    props.choices.findIndex((choice) => choice.ratio !== null),
                ),
            ),
        ),
    );
    let sounding = $state.raw<Sounding<RoomPlay> | null>(null);
    const flags = $derived(desk.shown.red_flags.filter((flag) => flag.is_open));

    // The next one begins with a sound of its own.
    $effect(() => {
        if (!signals.shown.open) sounding = null;
    });

    /** What is led begins when the recording has. */
    async function lead(): Promise<void> {
        sounding = null;
        const choice = props.choices[Number(exercise)];
        if (kind !== 'pace' && (kind !== 'led' || !choice)) return;
        try {
            sounding = await openSound(() =>
                kind === 'pace'
                    ? sendSignedIn<RoomPlay>(`${signals.url}/paces`, 'GET')
                    : sendSignedIn<RoomPlay>(`/patients/${props.patient.id}/bench/play`, 'POST', {
                          items: [choice?.fields],
                          at: 0,
                      }),
            );
        } catch (problem) {
            signals.trouble = inWords(problem, BACK_LATER);
        }
    }
</script>

<Room title="Signals of {props.patient.name}">
    <PatientBar patient={props.patient} here="measure" />
    <p class="pt-3 text-muted">
        <Link class="linklike" href="/patients/{props.patient.id}/measure">Measure</Link>
        with belts, an oximeter or a file. A training aid, not a diagnosis.
    </p>
    <div class="grid grid-cols-1 items-start gap-x-10 gap-y-6 pt-3 min-[70rem]:grid-cols-[38rem_1fr]">
        <div>
            {#if signals.shown.open}
                {#key signals.shown.open.uuid + String(sounding !== null)}<Recording
                        {signals}
                        open={signals.shown.open}
                        {sounding}
                        seconds={props.seconds}
                    />{/key}
            {:else}
                <Begin
                    {signals}
                    choices={props.choices}
                    paces={props.paces}
                    positions={desk.shown.positions}
                    bind:kind
                    bind:exercise
                    onstart={() => void lead()}
                />
            {/if}
            <Traces {signals} agreement={props.agreement} />
        </div>
        <div>
            {#if flags.length > 0}<div class="mb-4">
                    <RedFlagActions patient={props.patient} {flags} exercises={desk.shown.exercises} />
                </div>{/if}
            <Recordings {signals} {desk} patientId={props.patient.id} />
        </div>
    </div>
</Room>
