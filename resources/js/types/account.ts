export interface SecondFactorShown {
    /** The day from which it is asked for. */
    since: string | null;
    demanded: boolean;
    recovery_left: number;
    /** While it is being set up. */
    secret: string | null;
    address: string | null;
    /** Shown once. */
    recovery_codes: string[] | null;
}

export interface AccountProps {
    person: { name: string; profession: string; registration: string; email: string; mails_reviews: boolean };
    second_factor: SecondFactorShown;
    calendar: { since: string | null; read: string | null; /** Shown once. */ address: string | null };
    sessions: { key: string; program: string; place: string; last: string; here: boolean }[];
}

export interface OutboxProps {
    /** No server is configured: what stands here went nowhere. */
    stands_in: boolean;
    mails: { id: number; to: string; subject: string; text: string; at: string }[];
}

export interface PersonLine {
    id: number;
    name: string;
    profession: string;
    registration: string | null;
    /** Only for the lead. */
    email: string | null;
    role: string;
    role_label: string;
    patients: number;
    second_factor: boolean;
    is_you: boolean;
    ended_on: string | null;
}

export interface InvitationLine {
    id: number;
    email: string;
    role_label: string;
    expires_on: string;
}
