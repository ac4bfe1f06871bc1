import { router } from '@inertiajs/svelte';
import { clock } from './week';
import type { Place, WeekAppointment } from '../types/week';

type Moved = Pick<WeekAppointment, 'id' | 'patient' | 'name'> & { from: Place };

/** What is being moved in the Week, by hand or by keys, until it is kept or put back. */
export class WeekMove {
    id: number | null = $state(null);
    place: Place | null = $state(null);
    isSending = $state(false);
    problem: string | null = $state(null);
    /** The last one that was kept, to be put back. */
    last: Moved | null = $state(null);

    /** Where it stands now: moved, or as it was. */
    placeOf(appointment: WeekAppointment): Place {
        return this.id === appointment.id && this.place ? this.place : placeOf(appointment);
    }

    to(appointment: WeekAppointment, place: Place): void {
        this.id = appointment.id;
        this.place = place;
        this.problem = null;
    }

    leave(): void {
        this.id = null;
        this.place = null;
    }

    isMoving(appointment: WeekAppointment): boolean {
        return this.id === appointment.id && this.place !== null;
    }

    keep(appointment: WeekAppointment): void {
        const from = placeOf(appointment);
        const to = this.placeOf(appointment);
        if (to.day === from.day && to.minute === from.minute && to.practitioner === from.practitioner) {
            this.leave();
            return;
        }
        this.send({ id: appointment.id, patient: appointment.patient, name: appointment.name, from }, to);
    }

    putBack(): void {
        if (this.last) this.send(this.last, this.last.from, true);
    }

    private send(what: Moved, to: Place, isBack = false): void {
        if (this.isSending) return;
        this.isSending = true;
        router.put(
            `/patients/${what.patient}/appointments/${what.id}`,
            { day: to.day, time: clock(to.minute), with: to.practitioner },
            {
                preserveScroll: true,
                preserveState: true,
                onSuccess: () => {
                    this.last = isBack ? null : what;
                },
                onError: (errors) => {
                    this.problem = Object.values(errors)[0] ?? null;
                },
                onFinish: () => {
                    this.isSending = false;
                    this.leave();
                },
            },
        );
    }
}

function placeOf({ day, minute, practitioner }: WeekAppointment): Place {
    return { day, minute, practitioner };
}
