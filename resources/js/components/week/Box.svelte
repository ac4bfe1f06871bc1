<script lang="ts">
    import { clock, shortName } from '../../lib/week';
    import type { WeekAppointment } from '../../types/week';

    /** An appointment on its lane: opens by a tap, moves under the hand or by keys. */
    interface Props {
        appointment: WeekAppointment & { row: number; meets: boolean };
        left: number;
        width: number;
        isMoving: boolean;
        /** For those who hear it: everything that is seen. */
        words: string;
        open: () => void;
        press: (event: PointerEvent) => void;
        key: (event: KeyboardEvent) => void;
        leave: () => void;
    }

    let { appointment, left, width, isMoving, words, open, press, key, leave }: Props = $props();
</script>

<li class="box" style:left="{left}%" style:width="{width}%" style:--row={appointment.row}>
    <button
        type="button"
        class="on-paper {appointment.kind} {isMoving ? 'moving' : ''} {appointment.is_over ? 'over' : ''}"
        data-appointment={appointment.id}
        aria-label={words}
        aria-keyshortcuts={appointment.is_over ? undefined : 'ArrowLeft ArrowRight ArrowUp ArrowDown'}
        title={words}
        onclick={open}
        onpointerdown={press}
        onkeydown={key}
        onblur={leave}
    >
        <strong>{shortName(appointment.name)}</strong>
        <span
            ><span class="time">{clock(appointment.minute)}</span>
            {appointment.kind}{appointment.meets ? ', twice' : ''}</span
        >
    </button>
</li>

<style>
    .box {
        position: absolute;
        top: calc(var(--row) * 2.625rem);
        height: 2.375rem;
    }
    button {
        display: block;
        width: 100%;
        height: 100%;
        padding: 0 0.25rem;
        overflow: hidden;
        text-align: left;
        white-space: nowrap;
        line-height: 1.2;
        background: var(--card);
        border: 1px solid var(--ink);
        user-select: none;
    }
    button.first {
        border-width: 2px;
    }
    button.remote {
        border-style: dashed;
    }
    button.over {
        background: transparent;
    }
    button.moving {
        background: var(--paper);
        outline: 3px solid var(--reed);
        outline-offset: 1px;
        position: relative;
        z-index: 2;
    }
    strong {
        display: block;
        overflow: hidden;
        text-overflow: ellipsis;
        font-family: var(--serif);
        font-size: 0.875rem;
    }
    .time {
        display: none;
    }
    span {
        font-size: 0.8125rem;
        color: var(--muted);
    }
    @media (max-width: 767px) {
        .box {
            position: static;
            width: auto !important;
            height: auto;
        }
        button {
            padding: 0.5rem 0.75rem;
        }
        .time {
            display: inline;
        }
    }
</style>
