export interface WeekPerson {
    id: number;
    name: string;
    /** Still works here. */
    works: boolean;
    shown: boolean;
}

export interface WeekDay {
    date: string;
    name: string;
    day: string;
    is_today: boolean;
}

/** Minutes are those of the clinic's wall clock, from midnight. */
export interface WeekAppointment {
    id: number;
    patient: string;
    name: string;
    /** Said where two patients have one name. */
    born: string | null;
    day: string;
    time: string;
    minute: number;
    minutes: number;
    kind: string;
    practitioner: number;
    in_series: boolean;
    is_over: boolean;
}

export interface WeekAbsence {
    id: number;
    practitioner: number;
    day: string;
    from: number;
    to: number;
    reason: string | null;
}

export interface AppointmentKind {
    value: string;
    label: string;
    minutes: number;
}

export interface WeekProps {
    /** The first day of the week that is shown, as a date. */
    monday: string;
    number: number;
    before: string;
    after: string;
    is_now: boolean;
    days: WeekDay[];
    people: WeekPerson[];
    /** "everyone", or a person's number. */
    whose: string;
    me: number;
    appointments: WeekAppointment[];
    absences: WeekAbsence[];
    now: { day: string; minute: number };
    kinds: AppointmentKind[];
}

/** Where something stands in the week. */
export interface Place {
    day: string;
    minute: number;
    practitioner: number;
}

export interface PatientFound {
    id: string;
    name: string;
    born: string;
    /** Came, or is to come, already. */
    came: boolean;
}
