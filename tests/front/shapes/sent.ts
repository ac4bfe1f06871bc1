// What the server sends, as seen by PageShapesTest: written by it, not by hand.

export type SentAccess = {
    consents: ({
        about: string;
        by: null | string;
        kind: 'accepted';
        on: string;
        version: string;
    })[];
    devices: {
        calendar_since: null;
        id: number;
        label: string;
        last_seen: string;
        locked_out: false;
        ready: true;
        since: string;
    }[];
    kept_aside: {
        device: string;
        id: number;
        on: string;
        urgent: false;
        what: string;
    }[];
    mail_to: null | string;
    new_link: null;
    open_link: null | {
        expires_on: string;
        made_on: string;
    };
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    public_address: string;
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentAccount = {
    calendar: {
        address: null;
        read: null;
        since: null;
    };
    person: {
        email: string;
        mails_reviews: false;
        name: string;
        profession: string;
        registration: string;
    };
    second_factor: {
        address: null;
        demanded: false;
        recovery_codes: null;
        recovery_left: 0;
        secret: null;
        since: null;
    };
    sessions: [];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentBench = {
    answer: {
        error: null;
        items: ({
            errors: Record<string, never>;
            fields: {
                anchors: ({
                    anchor: 'lights-out' | 'lunch' | 'waking';
                    days: number[];
                    from: string;
                    label: string;
                    to: string;
                })[];
                as_needed: boolean;
                bells_first: number;
                bells_last: number;
                breaths: null | number;
                checks: [];
                count_length: number;
                counting: {
                    exhale: 'down';
                    hold: 'up';
                    inhale: 'up';
                    rest: 'up';
                };
                cue_word: false;
                daily_most: number;
                effort: 'gentle';
                ending: null;
                fade: 'nothing';
                fastest: number;
                gaze: 'choice';
                hands: 'as-you-like' | 'chest-and-belly' | 'elbows-on-knees';
                id: string;
                kind?: 'exercise';
                ladder: null;
                minutes: null | number;
                own_in: null;
                own_name: null;
                own_out: null;
                own_prop: null;
                own_right: null;
                parameters: Record<string, never>;
                position: 'reclined' | 'seated' | 'seated-forward' | 'side-lying' | 'supine' | 'supine-knees-bent';
                props: ('chair-with-back' | 'pillow-under-head' | 'wedge')[];
                ratio: null | string;
                route_in: 'nose';
                route_out: 'nose' | 'pursed-lips';
                school: 'gentle-control';
                short: null;
                slowest: number;
                start: 'inhale';
                technique: 'diaphragmatic' | 'extended-exhale' | 'forward-lean' | 'square';
                times_a_day: number;
                use_when: null | string;
                way: 'led';
                why: null | string;
            };
            figures: {
                about: boolean;
                breaths: number;
                counts: Record<string, number> | null;
                cycle_s: null | number;
                exercise_ms: number;
                exhale_to_inhale: null | number;
                minutes_a_day: number;
                quiet_share: null | number;
                rate: null | number;
                rounds: 0;
                total_ms: number;
            };
            findings: ({
                basis: string;
                cause: {
                    flags: ('asthma' | 'copd' | 'epilepsy')[];
                    numbers: Record<string, number>;
                };
                changes: ({
                    add: null | {
                        technique: 'forward-lean';
                    };
                    label: string;
                    set: {
                        breaths?: null | number;
                        count_length?: number;
                        effort?: 'gentle';
                        minutes?: number;
                        parameters?: Record<string, never>;
                        position?: 'seated';
                        ratio?: null | string;
                        route_out?: 'nose';
                        technique?: 'diaphragmatic';
                        times_a_day?: number;
                    };
                })[];
                field: string;
                level: 'caution' | 'needs-reason' | 'note';
                message: string;
                rule: string;
                title: string;
            })[];
            grows: null;
            heard: string;
            id: string;
            ladder: {
                caps: string[];
                edited: false;
                rungs: ({
                    axis: null | string;
                    change: string;
                    cycle_s: null | number;
                    days: number;
                    minutes: number;
                    rate: null | number;
                    ridge: {
                        count_s: number;
                        cues: ({
                            at: number;
                            beats: {
                                at: number;
                                number: number;
                            }[];
                            curve: [number, 0, number, number];
                            from: number;
                            greatest: null;
                            how?: string;
                            instruction: string;
                            kind: 'exhale' | 'hold' | 'inhale' | 'rest';
                            last: false;
                            ms: number;
                            place: {
                                breath: number;
                                of: number;
                                round: 0;
                                step: number;
                            };
                            side: 'none';
                            to: number;
                        })[];
                        minutes: null | number;
                    };
                    set: {
                        breaths?: number;
                        minutes?: number;
                        position?: 'reclined' | 'seated' | 'standing' | 'walking';
                        ratio?: string;
                    };
                })[];
            };
            name: string;
            ridge: {
                count_s: number;
                cues: ({
                    at: number;
                    beats: {
                        at: number;
                        number: number;
                    }[];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: null;
                    how?: string;
                    instruction: string;
                    kind: 'exhale' | 'hold' | 'inhale' | 'rest';
                    last: false;
                    ms: number;
                    place: {
                        breath: number;
                        of: number;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: number;
                })[];
                minutes: null | number;
            };
            short: null | {
                seconds: number;
                summary: string;
            };
            summary: string;
            taught: [];
            told: ({
                label: string;
                part: 'breath' | 'end' | 'eyes' | 'felt' | 'hands' | 'least' | 'length' | 'position' | 'right' | 'stop' | 'when' | 'why' | 'with';
                texts: string[];
            })[];
        })[];
        minutes: number[];
        school: 'gentle-control';
    };
    best_pace: null | {
        as_good: [];
        on: string;
        pace: number;
    };
    choices: {
        anchors: ({
            from: string;
            label: string;
            to: string;
            value: 'afternoon' | 'before-breakfast' | 'breakfast' | 'evening' | 'evening-meal' | 'lights-out' | 'lunch' | 'mid-morning' | 'own' | 'waking' | 'way-home';
        })[];
        checks: ({
            label: string;
            value: 'back-gap' | 'first-hand' | 'more-hand' | 'pace' | 'shoulders' | 'what-moved';
        })[];
        countings: [{
            label: 'up';
            value: 'up';
        }, {
            label: 'down';
            value: 'down';
        }, {
            label: 'silent';
            value: 'silent';
        }];
        efforts: [{
            label: 'gentle';
            value: 'gentle';
        }, {
            label: 'full';
            value: 'full';
        }, {
            label: string;
            value: 'active';
        }, {
            label: 'complete';
            value: 'complete';
        }];
        endings: [{
            label: string;
            value: string;
        }, {
            label: string;
            value: 'bell';
        }, {
            label: string;
            value: 'quiet';
        }, {
            label: string;
            value: 'slow';
        }];
        fades: [{
            label: string;
            value: 'nothing';
        }, {
            label: string;
            value: 'sound';
        }, {
            label: string;
            value: 'sound-then-sight';
        }];
        gazes: [{
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[];
            value: 'choice';
        }, {
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent')[];
            value: 'closed';
        }, {
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent')[];
            value: 'lowered';
        }, {
            label: string;
            positions: ('cross-legged' | 'facing-wall' | 'hands-and-knees' | 'kneeling' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent')[];
            value: 'on-a-point';
        }];
        hands: ({
            is_special: boolean;
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[];
            value: 'as-you-like' | 'belly' | 'belly-and-ease' | 'belly-and-ribs' | 'beside-you' | 'both-on-belly' | 'chest-and-belly' | 'ears-closed' | 'elbows-on-knees' | 'fold-two-fingers' | 'forearms-on-wall' | 'hang' | 'in-the-lap' | 'leading-ribs' | 'lower-ribs' | 'on-the-floor' | 'on-the-knees' | 'on-the-table' | 'press-lower-ribs' | 'round-the-ribs' | 'sides' | 'swing' | 'under-forehead';
        })[];
        kinds: [{
            label: string;
            value: 'settle';
        }, {
            label: 'exercise';
            value: 'exercise';
        }, {
            label: string;
            value: 'free';
        }, {
            label: string;
            value: 'return';
        }];
        props: ({
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[];
            routes: ('hum' | 'mouth' | 'nose' | 'pursed-lips' | 'soft-open-mouth')[];
            value: 'blanket' | 'chair-with-back' | 'cushion-to-sit-on' | 'low-back-support' | 'mirror' | 'pillow-under-head' | 'pillow-under-knees' | 'rolled-towel' | 'strap' | 'straw' | 'tissue' | 'wedge';
        })[];
        routines: ({
            name: string;
            steps: ({
                bells_first?: number;
                bells_last?: number;
                breaths?: null | number;
                count_length?: number;
                counting?: {
                    exhale: 'down';
                    hold: 'up';
                    inhale: 'up';
                    rest: 'up';
                };
                cue_word?: false;
                effort?: 'complete' | 'gentle';
                ending?: 'quiet' | null;
                fade?: 'nothing';
                fastest?: number;
                gaze?: 'choice';
                hands?: 'as-you-like' | 'beside-you' | 'chest-and-belly' | 'elbows-on-knees' | 'hang' | 'lower-ribs' | 'press-lower-ribs' | 'swing' | 'under-forehead';
                kind: 'exercise' | 'free' | 'return' | 'settle';
                minutes?: null | number;
                own_in?: null;
                own_name?: null;
                own_out?: null;
                own_prop?: null;
                own_right?: null;
                parameters?: Record<string, number> | [];
                position?: 'prone' | 'seated' | 'seated-forward' | 'standing' | 'supine' | 'supine-knees-bent' | 'walking';
                props?: ('blanket' | 'chair-with-back' | 'pillow-under-head')[];
                ratio?: null | string;
                route_in?: 'nose';
                route_out?: 'hum' | 'mouth' | 'nose' | 'pursed-lips';
                seconds?: number;
                slowest?: number;
                start?: 'inhale';
                technique?: 'body-scan' | 'double-exhale' | 'double-inhale' | 'extended-exhale' | 'noticing' | 'prone' | 'pursed-exhale' | 'rib-release' | 'ribs-down' | 'shoulder-rolls' | 'square' | 'tense-release' | 'three-part' | 'walking';
            })[];
        })[];
        schools: [{
            assumes: Record<string, string>;
            label: string;
            value: 'gentle-control';
        }, {
            assumes: Record<string, string>;
            label: string;
            value: 'ratio-practice';
        }, {
            assumes: Record<string, string>;
            label: string;
            value: 'rib-mechanics';
        }, {
            assumes: Record<string, string>;
            label: 'contemplative';
            value: 'contemplative';
        }];
        techniques: ({
            about: string;
            defaults: {
                anchors: [];
                as_needed: boolean;
                bells_first: number;
                bells_last: number;
                breaths: null | number;
                checks: [];
                count_length: number;
                counting: {
                    exhale: 'down' | 'up';
                    hold: 'up';
                    inhale: 'down' | 'up';
                    rest: 'up';
                };
                cue_word: false;
                daily_most: number;
                effort: 'complete' | 'full' | 'gentle';
                ending: null;
                fade: 'nothing';
                fastest: number;
                gaze: 'choice';
                hands: 'as-you-like' | null;
                ladder: null;
                minutes: null | number;
                own_in: null | string;
                own_name: null | string;
                own_out: null | string;
                own_prop: null;
                own_right: null | string;
                parameters: Record<string, number>;
                position: 'prone' | 'seated' | 'seated-forward' | 'standing' | 'supine' | 'supine-knees-bent' | 'walking';
                props: ('blanket' | 'chair-with-back' | 'pillow-under-head' | 'pillow-under-knees')[];
                ratio: null | string;
                route_in: 'nose';
                route_out: 'hum' | 'mouth' | 'nose' | 'pursed-lips' | 'soft-open-mouth';
                school: 'gentle-control';
                short: null;
                slowest: number;
                start: 'empty' | 'inhale';
                technique: string;
                times_a_day: number;
                use_when: null | string;
                way: 'led';
                why: null;
            };
            efforts: ('active' | 'complete' | 'full' | 'gentle')[];
            has_ratio: boolean;
            is_paced: boolean;
            is_recovery: boolean;
            key: string;
            length: 'breaths' | 'derived' | 'minutes' | 'rounds';
            mistakes: string[];
            more_hands: 'ears-closed'[];
            name: string;
            only_hands: ('as-you-like' | 'belly-and-ribs' | 'beside-you' | 'fold-two-fingers' | 'leading-ribs' | 'lower-ribs' | 'press-lower-ribs' | 'round-the-ribs' | 'sides')[];
            parameters: ({
                choices: Record<string, string> | [];
                label: string;
                name: string;
            })[];
            positions: ({
                label: string;
                value: 'childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking';
            })[];
            purposes: string[];
            ridge: {
                count_s: number;
                cues: ({
                    at: number;
                    beats: {
                        at: number;
                        number: number;
                    }[];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: null | number;
                    how?: string;
                    instruction: string;
                    kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                    last: false;
                    ms: number;
                    place: {
                        breath: number;
                        of: number;
                        round: number;
                        step: number;
                    };
                    side: 'left' | 'none' | 'right';
                    soft?: true;
                    to: number;
                })[];
                minutes: null | number;
            };
            routes_in: ({
                label: string;
                value: 'mouth' | 'nose' | 'pursed-lips';
            })[];
            routes_out: ({
                label: string;
                value: 'hum' | 'mouth' | 'nose' | 'pursed-lips' | 'soft-open-mouth';
            })[];
            starts: ({
                label: string;
                value: 'empty' | 'exhale' | 'inhale';
            })[];
        })[];
        templates: ({
            id: null;
            items: [{
                breaths?: number;
                kind?: 'routine';
                minutes?: number;
                position?: 'seated';
                ratio?: string;
                routine_name?: string;
                steps?: ({
                    bells_first?: number;
                    bells_last?: number;
                    breaths?: null | number;
                    count_length?: number;
                    counting?: {
                        exhale: 'down';
                        hold: 'up';
                        inhale: 'up';
                        rest: 'up';
                    };
                    cue_word?: false;
                    effort?: 'gentle';
                    ending?: 'quiet' | null;
                    fade?: 'nothing';
                    fastest?: number;
                    gaze?: 'choice';
                    hands?: 'beside-you' | 'chest-and-belly';
                    kind: 'exercise' | 'free' | 'settle';
                    minutes?: null;
                    own_in?: null;
                    own_name?: null;
                    own_out?: null;
                    own_prop?: null;
                    own_right?: null;
                    parameters?: Record<string, number> | [];
                    position?: 'supine';
                    props?: ('blanket' | 'pillow-under-head')[];
                    ratio?: null | string;
                    route_in?: 'nose';
                    route_out?: 'nose';
                    seconds?: number;
                    slowest?: number;
                    start?: 'inhale';
                    technique?: 'body-scan' | 'tense-release' | 'three-part';
                })[];
                technique?: 'diaphragmatic' | 'pursed-exhale' | 'ribs-down';
                times_a_day: number;
                why?: string;
            }, {
                anchors?: [{
                    anchor: 'evening';
                    days: number[];
                    from: string;
                    to: string;
                }];
                breaths?: number;
                position?: 'reclined' | 'seated';
                ratio?: string;
                technique: 'extended-exhale' | 'rib-release' | 'tense-release' | 'walking';
                times_a_day: number;
            }, {
                as_needed?: true;
                breaths?: number;
                daily_most?: number;
                kind?: 'routine';
                position?: 'seated' | 'supine';
                ratio?: string;
                routine_name?: string;
                steps?: ({
                    bells_first?: number;
                    bells_last?: number;
                    breaths?: null | number;
                    count_length?: number;
                    counting?: {
                        exhale: 'down';
                        hold: 'up';
                        inhale: 'up';
                        rest: 'up';
                    };
                    cue_word?: false;
                    effort?: 'complete' | 'gentle';
                    ending?: null;
                    fade?: 'nothing';
                    fastest?: number;
                    gaze?: 'choice';
                    hands?: 'as-you-like' | 'chest-and-belly' | 'hang' | 'lower-ribs' | 'press-lower-ribs' | 'under-forehead';
                    kind: 'exercise' | 'free' | 'return';
                    minutes?: null | number;
                    own_in?: null;
                    own_name?: null;
                    own_out?: null;
                    own_prop?: null;
                    own_right?: null;
                    parameters?: Record<string, number> | [];
                    position?: 'prone' | 'seated' | 'supine-knees-bent';
                    props?: 'chair-with-back'[];
                    ratio?: null | string;
                    route_in?: 'nose';
                    route_out?: 'hum' | 'nose';
                    seconds?: number;
                    slowest?: number;
                    start?: 'inhale';
                    technique?: 'extended-exhale' | 'noticing' | 'prone' | 'rib-release' | 'ribs-down' | 'shoulder-rolls';
                })[];
                technique?: 'forward-lean' | 'reverse-count' | 'soft-exhale';
                times_a_day?: number;
                use_when?: string;
            }];
            name: string;
            school: 'gentle-control' | 'rib-mechanics';
        })[];
    };
    decided: null;
    draft: {
        goal: {
            direction: 'at-most';
            measure: string;
            target: number | string;
            words: string;
        };
        maintenance: boolean;
        rated_symptom: 'breathlessness' | 'tension';
        review_on: string;
        starts_on: string;
        weeks: number;
    };
    goals: {
        name: string;
        unit: string;
    }[];
    measured: Record<string, number>;
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    session: null;
    today: string;
    version: null | {
        issued_on: string;
        number: number;
    };
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentCaseload = {
    appointments: {
        all: {
            at: string;
            minute: number;
            name: string;
            patient: string;
            practitioner: number;
            with: string;
        }[];
        now: number;
    };
    counts: {
        by_reason: Record<string, number>;
        fitting: number;
        flags: string[];
        reasons: ({
            label: string;
            value: 'access-unused' | 'finished' | 'get-help' | 'kept-aside' | 'new-finding' | 'no-practice' | 'no-programme' | 'not-screened' | 'on-track' | 'paused' | 'proposal-waiting' | 'red-flag' | 'review-overdue' | 'screening-waiting' | 'stopped-once' | 'worse';
        })[];
        total: number;
    };
    filter: {
        flag: string;
        reason: string;
        search: string;
        whose: 'clinic';
    };
    lines: ({
        born: string;
        flags: string[];
        heading: string;
        id: string;
        name: string;
        number: string;
        prescribed: null | string;
        reason: 'access-unused' | 'finished' | 'get-help' | 'kept-aside' | 'new-finding' | 'no-practice' | 'no-programme' | 'not-screened' | 'on-track' | 'paused' | 'proposal-waiting' | 'red-flag' | 'review-overdue' | 'screening-waiting' | 'stopped-once' | 'worse';
        responsible: number;
        review_on: null | string;
        sentence: string;
        symptom: null | {
            days: (null | number)[];
            name: string;
        };
        tally: string;
    })[];
    me: number;
    names_that_meet: [];
    page_size: number;
    tally_days: number;
    today: string;
    urgent: ('get-help' | 'home-rate' | 'paused' | 'red-flag' | 'stopped-once' | 'worse')[];
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentClinic = {
    agreement: {
        decisions: number;
        share: null;
    };
    backup: {
        is_late: true;
        last: null;
    };
    clinic: {
        calendar_initials: true;
        crisis_number: string;
        emergency_wording: string;
        minutes: [{
            label: 'first';
            minutes: number;
            value: 'first';
        }, {
            label: 'review';
            minutes: number;
            value: 'review';
        }, {
            label: 'remote';
            minutes: number;
            value: 'remote';
        }];
        name: string;
        school: 'gentle-control';
        telephone: string;
        time_zone: string;
    };
    demands_second_factor: false;
    invitations: {
        email: string;
        expires_on: string;
        id: number;
        role_label: 'practitioner';
    }[];
    is_lead: boolean;
    keeping: null | {
        due: [];
        minors_until: string;
        past: [];
        years: string;
    };
    letters: null | {
        blocks: [{
            name: string;
            text: string;
        }, {
            name: string;
            text: string;
        }, {
            name: string;
            text: string;
        }];
        foot: string;
        head: string;
    };
    new_invitation: null;
    outcomes: {
        anchors: [{
            credit: number;
            due: number;
            key: 'lights-out';
            name: string;
            patients: number;
            practices: 0;
            share: number;
            stops: 0;
            stops_per_1000: null;
        }, {
            credit: number;
            due: number;
            key: 'waking';
            name: string;
            patients: number;
            practices: 0;
            share: number;
            stops: 0;
            stops_per_1000: null;
        }];
        finished: {
            outcomes: [{
                label: string;
                programmes: number;
            }, {
                label: string;
                programmes: number;
            }, {
                label: string;
                programmes: number;
            }, {
                label: string;
                programmes: number;
            }];
            programmes: number;
        };
        forms: [{
            form: string;
            improved: 0;
            name: string;
            patients: number;
            recovered: number;
            unchanged: number;
            worse: 0;
        }];
        least: number;
        techniques: [{
            credit: number;
            due: number;
            key: 'extended-exhale';
            name: string;
            patients: number;
            practices: number;
            share: number;
            stops: number;
            stops_per_1000: number;
        }, {
            credit: number;
            due: number;
            key: 'diaphragmatic';
            name: string;
            patients: number;
            practices: number;
            share: number;
            stops: 0;
            stops_per_1000: 0;
        }];
    };
    people: [{
        email: null | string;
        ended_on: null;
        id: number;
        is_you: boolean;
        name: string;
        patients: number;
        profession: 'counsellor';
        registration: null;
        role: 'practitioner';
        role_label: 'practitioner';
        second_factor: false;
    }, {
        email: null | string;
        ended_on: null;
        id: number;
        is_you: boolean;
        name: string;
        patients: number;
        profession: string;
        registration: null;
        role: 'lead';
        role_label: string;
        second_factor: false;
    }, {
        email: null | string;
        ended_on: null;
        id: number;
        is_you: false;
        name: string;
        patients: number;
        profession: string;
        registration: null;
        role: 'practitioner';
        role_label: 'practitioner';
        second_factor: false;
    }, {
        email: null | string;
        ended_on: string;
        id: number;
        is_you: false;
        name: string;
        patients: 0;
        profession: string;
        registration: null;
        role: 'practitioner';
        role_label: 'practitioner';
        second_factor: false;
    }];
    quarters: {
        label: string;
        value: string;
    }[];
    questionnaires: [{
        counts: string;
        id: string;
        intro: string;
        name: string;
        questions: [{
            answers: string;
            text: string;
        }, {
            answers: string;
            text: string;
        }, {
            answers: string;
            text: string;
        }, {
            answers: string;
            text: string;
        }];
    }];
    reliabilities: [{
        key: 'nijmegen';
        name: string;
        reliability: null;
        sd: null;
    }, {
        key: 'mmrc';
        name: string;
        reliability: null;
        sd: null;
    }];
    roles: [{
        label: 'practitioner';
        value: 'practitioner';
    }, {
        label: string;
        value: 'lead';
    }];
    schools: [{
        label: string;
        value: 'gentle-control';
    }, {
        label: string;
        value: 'ratio-practice';
    }, {
        label: string;
        value: 'rib-mechanics';
    }, {
        label: 'contemplative';
        value: 'contemplative';
    }];
    thresholds: {
        label: string;
        name: string;
        shipped: number;
        value: number;
    }[];
    today: string;
    trail: ({
        by: string;
        changes: string[];
        kind: 'changed' | 'opened';
        on: string;
        patient: null | string;
        patient_id: null | string;
        what: string;
    })[] | null;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentCourse = {
    added_on: string;
    anchors: {
        credit: number;
        due: number;
        name: string;
        share: number;
    }[];
    appointment: null | {
        day: string;
        id: number;
        more: number;
        starts_at: string;
        time: string;
        with: string;
        words: string;
    };
    effects: {
        effect: string;
        name: string;
    }[];
    ended: null | {
        note: null | string;
        on: string;
        outcome: string;
        programme: number;
    };
    home_checks: {
        doubtful: 0;
        on: string;
        rate: number;
    }[];
    lifted: [];
    maintenance: boolean;
    new_findings: {
        exercise: string;
        found: string;
        message: string;
        rule: string;
        title: string;
    }[];
    note: null | {
        on: string;
        session: string;
        text: string;
    };
    outcomes: ({
        label: string;
        value: 'better' | 'goal-reached' | 'no-change' | 'patient' | 'referred-on' | 'symptoms';
    })[];
    paper: null | {
        days: {
            date: string;
            label: string;
        }[];
        rows: [{
            days: {
                known: number;
                planned: number;
            }[];
            lineage: string;
            name: string;
        }];
        symptoms: ({
            label: string;
            value: 'breathlessness' | 'breathlessness-stays' | 'chest-pain' | 'confusion' | 'cramp' | 'dizziness' | 'fainting' | 'headache' | 'loss-of-sight' | 'numb-side' | 'palpitations' | 'panic' | 'seizure' | 'slurred-speech' | 'something-else' | 'tingling' | 'unreal' | 'weakness';
        })[];
    };
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    pauses: {
        by_flag: boolean;
        id: number;
        rule: string;
        since: string;
        text: string;
    }[];
    periods: null | {
        days: number;
        first: string;
        lines: ({
            change: null | string;
            now: string;
            then: string;
            what: string;
        })[];
        overlap: false;
        second: string;
    };
    practices: ({
        after: null | number;
        anchor: null | string;
        before: null | number;
        effort: null | number;
        exercise: string;
        from_paper: false;
        got: string;
        on: string;
        remark: null | string;
        slight_symptom: null;
        smooth: 'no' | 'partly' | 'yes' | null;
        symptom: null | string;
        uuid: string;
        version: number;
    })[];
    programme: null | {
        by_week: boolean;
        diary: {
            days: [string, number][];
            name: string;
        }[];
        exercises: ({
            adherence: {
                credit: number;
                days_due: number;
                days_practised: number;
                due: number;
                extras: number;
                longest_gap: number;
                share: null | number;
            };
            agreed: null;
            days: {
                date: string;
                paused: boolean;
                strokes: string;
            }[];
            name: string;
            uses: null | number;
            weeks: {
                credit: number;
                date: string;
                due: number;
                stops: number;
            }[];
        })[];
        felt: {
            day: string;
            lag: number;
            practices: number;
            ratio: number;
            share: number;
        }[];
        from: string;
        goal: null | {
            at_most: true;
            measure: 'breathlessness' | 'tension';
            target: number;
        };
        measures: ({
            goal: null;
            name: string;
            points: ({
                day: string;
                earlier: null | string;
                value: number;
            })[];
            unit: string;
        })[];
        present: [{
            lineage: string;
            name: string;
        }];
        questionnaires: ({
            least: 0;
            most: number;
            name: string;
            points: ({
                band: string;
                day: string;
                earlier: null | string;
                value: number;
            })[];
        })[];
        ratings: ({
            after: null | number;
            before: number;
            day: string;
        })[];
        sessions: {
            day: string;
            id: string;
            number: number;
            signed: true;
        }[];
        symptom: 'breathlessness' | 'tension';
        to: string;
        today: string;
        versions: ({
            adherence: {
                credit: number;
                days_due: number;
                days_practised: number;
                due: number;
                extras: number;
                longest_gap: number;
                share: null | number;
            };
            by: string;
            from: string;
            number: number;
            reason: null | string;
            review_on: string;
            state: 'before' | 'begun';
            summary: string;
            to: null | string;
        })[];
    };
    programmes: {
        here: boolean;
        id: number;
        running: boolean;
        text: string;
    }[];
    proposals: ({
        accepted: null | string;
        asks: boolean;
        based_on: number;
        because: string;
        decided: null | {
            on: string;
            reason: string;
            what: string;
        };
        exercise: string;
        finishes: boolean;
        kind: 'finish' | 'lighten' | 'look' | 'stay' | 'step-back' | 'step-up' | 'too-early';
        label: string;
        lineage: string;
        measures: false;
        now: string;
        rule: string;
    })[];
    put_offs: {
        anchor: string;
        exercise: string;
        on: string;
        reason: 'tired';
    }[];
    self_checks: [];
    span: string;
    spans: [{
        label: string;
        value: string;
    }, {
        label: string;
        value: string;
    }, {
        label: 'all';
        value: 'all';
    }];
    stops: ({
        class: 'get-help' | 'made-me-stop';
        exercise: string;
        got: string;
        on: string;
        remark: null | string;
        symptom: string;
    })[];
    today: string;
    trends: ({
        days: null | string;
        name: string;
        trend: string;
    })[];
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentExercises = {
    chosen: {
        about: string;
        cautions: ({
            level: 'caution' | 'needs-reason' | 'note';
            rule: string;
            title: string;
            with: string[];
        })[];
        effort: 'complete' | 'full' | 'gentle';
        feels: string[];
        fields: {
            bells_first: number;
            bells_last: number;
            breaths: null | number;
            count_length: number;
            counting: {
                exhale: 'down' | 'up';
                hold: 'up';
                inhale: 'down' | 'up';
                rest: 'up';
            };
            cue_word: false;
            effort: 'complete' | 'full' | 'gentle';
            ending: null;
            fade: 'nothing';
            fastest: number;
            gaze: 'choice';
            hands: 'as-you-like' | 'beside-you' | 'both-on-belly' | 'chest-and-belly' | 'elbows-on-knees' | 'fold-two-fingers' | 'hang' | 'in-the-lap' | 'lower-ribs' | 'press-lower-ribs' | 'round-the-ribs' | 'swing' | 'under-forehead';
            minutes: null | number;
            own_in: null;
            own_name: null;
            own_out: null;
            own_prop: null;
            own_right: null;
            parameters: Record<string, number> | [];
            position: 'prone' | 'seated' | 'seated-forward' | 'standing' | 'supine' | 'supine-knees-bent' | 'walking';
            props: ('blanket' | 'chair-with-back' | 'pillow-under-head' | 'pillow-under-knees')[];
            ratio: null | string;
            route_in: 'nose';
            route_out: 'hum' | 'mouth' | 'nose' | 'pursed-lips' | 'soft-open-mouth';
            slowest: number;
            start: 'empty' | 'inhale';
            technique: string;
        };
        figures: {
            about: boolean;
            breaths: number;
            counts: Record<string, number> | null;
            cycle_s: null | number;
            exercise_ms: number;
            exhale_to_inhale: null | number;
            minutes_a_day: 0;
            quiet_share: null | number;
            rate: null | number;
            rounds: number;
            total_ms: number;
        };
        hands: string;
        is_own: false;
        is_recovery: boolean;
        key: string;
        mistakes: string[];
        name: string;
        positions: string[];
        props: string[];
        ridge: {
            count_s: number;
            cues: ({
                at: number;
                beats: {
                    at: number;
                    number: number;
                }[];
                curve: [number, 0, number, number];
                from: number;
                greatest: null | number;
                how?: string;
                instruction: string;
                kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                last: false;
                ms: number;
                place: {
                    breath: number;
                    of: number;
                    round: number;
                    step: number;
                };
                side: 'left' | 'none' | 'right';
                soft?: true;
                to: number;
            })[];
            minutes: null | number;
        };
        right: string[];
        route: string;
        schools: [{
            assumes: Record<string, string>;
            effort: 'complete' | 'full' | 'gentle';
            key: 'gentle-control';
            label: string;
            ladder: ({
                axis: null | string;
                change: string;
                cycle_s: null | number;
                days: number;
                minutes: number;
                rate: null | number;
                ridge: {
                    count_s: number;
                    cues: ({
                        at: number;
                        beats: {
                            at: number;
                            number: number;
                        }[];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: null | number;
                        how?: string;
                        instruction: string;
                        kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                        last: false;
                        ms: number;
                        place: {
                            breath: number;
                            of: number;
                            round: number;
                            step: number;
                        };
                        side: 'left' | 'none' | 'right';
                        soft?: true;
                        to: number;
                    })[];
                    minutes: null | number;
                };
                set: {
                    breaths?: number;
                    minutes?: number;
                    parameters?: Record<string, number>;
                    position?: 'reclined' | 'seated' | 'standing' | 'walking';
                    ratio?: string;
                };
            })[];
            right: string[];
            starts: string;
            too_easy: string[];
            too_hard: string[];
        }, {
            assumes: Record<string, string>;
            effort: 'complete' | 'full' | 'gentle';
            key: 'ratio-practice';
            label: string;
            ladder: ({
                axis: null | string;
                change: string;
                cycle_s: null | number;
                days: number;
                minutes: number;
                rate: null | number;
                ridge: {
                    count_s: number;
                    cues: ({
                        at: number;
                        beats: {
                            at: number;
                            number: number;
                        }[];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: null | number;
                        how?: string;
                        instruction: string;
                        kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                        last: false;
                        ms: number;
                        place: {
                            breath: number;
                            of: number;
                            round: number;
                            step: number;
                        };
                        side: 'left' | 'none' | 'right';
                        soft?: true;
                        to: number;
                    })[];
                    minutes: null | number;
                };
                set: {
                    breaths?: number;
                    minutes?: number;
                    parameters?: Record<string, number>;
                    position?: 'standing' | 'walking';
                };
            })[];
            right: string[];
            starts: string;
            too_easy: string[];
            too_hard: string[];
        }, {
            assumes: Record<string, string>;
            effort: 'complete' | 'full' | 'gentle';
            key: 'rib-mechanics';
            label: string;
            ladder: ({
                axis: null | string;
                change: string;
                cycle_s: null | number;
                days: number;
                minutes: number;
                rate: null | number;
                ridge: {
                    count_s: number;
                    cues: ({
                        at: number;
                        beats: {
                            at: number;
                            number: number;
                        }[];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: null | number;
                        how?: string;
                        instruction: string;
                        kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                        last: false;
                        ms: number;
                        place: {
                            breath: number;
                            of: number;
                            round: number;
                            step: number;
                        };
                        side: 'left' | 'none' | 'right';
                        soft?: true;
                        to: number;
                    })[];
                    minutes: null | number;
                };
                set: {
                    breaths?: number;
                    minutes?: number;
                    parameters?: Record<string, number>;
                    position?: 'standing' | 'walking';
                };
            })[];
            right: string[];
            starts: string;
            too_easy: string[];
            too_hard: string[];
        }, {
            assumes: Record<string, string>;
            effort: 'complete' | 'full' | 'gentle';
            key: 'contemplative';
            label: 'contemplative';
            ladder: ({
                axis: null | string;
                change: string;
                cycle_s: null | number;
                days: number;
                minutes: number;
                rate: null | number;
                ridge: {
                    count_s: number;
                    cues: ({
                        at: number;
                        beats: ({
                            at: number;
                            number: null | number;
                        })[];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: null | number;
                        how?: string;
                        instruction: string;
                        kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                        last: false;
                        ms: number;
                        place: {
                            breath: number;
                            of: number;
                            round: number;
                            step: number;
                        };
                        side: 'left' | 'none' | 'right';
                        soft?: true;
                        to: number;
                    })[];
                    minutes: null | number;
                };
                set: {
                    breaths?: number;
                    minutes?: number;
                    parameters?: Record<string, number>;
                    position?: 'reclined' | 'seated' | 'standing';
                    ratio?: string;
                };
            })[];
            right: string[];
            starts: string;
            too_easy: string[];
            too_hard: string[];
        }];
        short: null | {
            seconds: null | number;
            summary: string;
        };
        stops: string[];
        summary: string;
        times: string[];
        times_a_day: number;
        uses: string[];
    };
    list: ({
        about: string;
        finding: null;
        has_hold: boolean;
        is_about: boolean;
        is_own: boolean;
        key: string;
        name: string;
        positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[];
        possible: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[] | null;
        purposes: ('attention' | 'breathlessness' | 'learning' | 'moving' | 'pressure' | 'settling' | 'sleep' | 'trunk')[];
        ridge: {
            count_s: number;
            cues: ({
                at: number;
                beats: {
                    at: number;
                    number: number;
                }[];
                curve: [number, 0, number, number];
                from: number;
                greatest: null | number;
                how?: string;
                instruction: string;
                kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                last: false;
                ms: number;
                place: {
                    breath: number;
                    of: number;
                    round: number;
                    step: number;
                };
                side: 'left' | 'none' | 'right';
                soft?: true;
                to: number;
            })[];
            minutes: null | number;
        };
        summary: string;
        total_ms: number;
    })[];
    own: {
        positions: ({
            hands: ({
                label: string;
                value: 'as-you-like' | 'belly' | 'belly-and-ease' | 'belly-and-ribs' | 'beside-you' | 'both-on-belly' | 'chest-and-belly' | 'elbows-on-knees' | 'hang' | 'in-the-lap' | 'leading-ribs' | 'lower-ribs' | 'on-the-knees' | 'on-the-table' | 'round-the-ribs' | 'sides';
            })[];
            label: string;
            value: 'cross-legged' | 'kneeling' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent';
        })[];
        routes_in: [{
            label: string;
            value: 'nose';
        }, {
            label: string;
            value: 'mouth';
        }, {
            label: string;
            value: 'pursed-lips';
        }];
        routes_out: [{
            label: string;
            value: 'nose';
        }, {
            label: string;
            value: 'mouth';
        }, {
            label: string;
            value: 'pursed-lips';
        }, {
            label: string;
            value: 'soft-open-mouth';
        }];
    };
    patient: null | {
        id: string;
        name: string;
    };
    patients: {
        id: string;
        name: string;
    }[];
    positions: ({
        label: string;
        value: 'childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking';
    })[];
    purposes: ({
        label: string;
        value: 'attention' | 'breathlessness' | 'learning' | 'moving' | 'pressure' | 'settling' | 'sleep' | 'trunk';
    })[];
    routines: {
        about: boolean;
        breaths: number;
        exercise_ms: number;
        is_own: boolean;
        key: string;
        name: string;
        steps: {
            is_exercise: boolean;
            label: string;
            summary: string;
        }[];
        total_ms: number;
    }[];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentJoinRecords = {
    mine: {
        added_on: string;
        contact: null | string;
        devices: number;
        id: string;
        name: string;
        practices: number;
        running: boolean;
        screened_on: null | string;
        sessions: number;
        with: string;
    };
    others: [];
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentLetters = {
    all: null | {
        kinds: [{
            draft: null | string;
            label: string;
            value: 'progress';
        }, {
            draft: null | string;
            label: string;
            value: 'discharge';
        }, {
            draft: null | string;
            label: string;
            value: 'onward';
        }, {
            draft: null | string;
            label: string;
            value: 'summary';
        }];
        letters: {
            by: string;
            id: number;
            kind: 'progress';
            label: string;
            on: string;
            replaced_on: null;
            sent: string;
            to: string;
        }[];
    };
    draft: null | {
        blocks: [{
            name: string;
            text: string;
        }, {
            name: string;
            text: string;
        }, {
            name: string;
            text: string;
        }];
        is_to_other: boolean;
        kept: {
            by: string;
            content: {
                addressee: string;
                parts: {
                    asked?: string;
                    closing?: string;
                    concern?: string;
                    measures: string;
                    outcome?: string;
                    plan?: string;
                    practice?: string;
                    programme: string;
                    why: string;
                };
                with_course: true;
            };
            revision: number;
        };
        kind: 'discharge' | 'onward' | 'progress' | 'summary';
        label: string;
        longest: number;
        parts: ({
            heading: string;
            key: 'asked' | 'closing' | 'concern' | 'measures' | 'outcome' | 'plan' | 'practice' | 'programme' | 'why';
            needed: boolean;
        })[];
        replaces: false;
    };
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentMeasure = {
    desk: {
        exercises: {
            lineage: string;
            name: string;
        }[];
        has_device: boolean;
        low_saturation: number;
        measures: ({
            before: null | {
                at: string;
                by: string;
                method: string;
                on: string;
                position: 'seated';
                value: number;
                words: null | string;
            };
            comparable: boolean;
            first: null | {
                at: string;
                by: string;
                method: string;
                on: string;
                position: 'seated';
                value: number;
                words: null | string;
            };
            how: 'ceiling' | 'fall' | 'hands' | 'rating' | 'rhythm' | 'ribs' | 'taps' | 'tries' | 'typed';
            key: string;
            label: string;
            last: null | {
                at: string;
                by: string;
                method: string;
                on: string;
                position: 'reclined' | 'seated';
                value: number;
                words: null | string;
            };
            measure: 'ceiling' | 'diastolic' | 'exhale' | 'girth' | 'hand-check' | 'hand-check-deep' | 'hold' | 'inhale' | 'peak-flow' | 'peak-flow-best' | 'pulse' | 'resting-rate' | 'rhythm' | 'rib-expansion' | 'rib-flare' | 'saturation' | 'saturation-fall' | 'symptom' | 'systolic';
            possible: [number, number];
            symptom: null | number;
            unit: string;
        })[];
        own_low_saturation: null;
        positions: ({
            label: string;
            value: 'childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking';
        })[];
        questionnaires: [{
            answers: {
                said: string;
                text: string;
            }[];
            change: null | string;
            first: null | {
                band: 'mild' | 'moderate' | 'severe';
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            is_asked: true;
            items: number;
            key: string;
            label: string;
            last: null | {
                band: 'mild' | 'minimal' | 'moderate';
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }, {
            answers: {
                said: string;
                text: string;
            }[];
            change: null;
            first: null;
            is_asked: true;
            items: number;
            key: 'nijmegen';
            label: string;
            last: null | {
                band: string;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }, {
            answers: {
                said: string;
                text: string;
            }[];
            change: null | string;
            first: null | {
                band: string;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            is_asked: true;
            items: number;
            key: 'mmrc';
            label: string;
            last: null | {
                band: string;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }, {
            answers: {
                said: string;
                text: string;
            }[];
            change: null;
            first: null;
            is_asked: true;
            items: number;
            key: string;
            label: string;
            last: null | {
                band: null;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }];
        red_flags: {
            actions: {
                action: string;
                by: string;
                on: string;
                waits: false;
            }[];
            id: number;
            is_open: boolean;
            label: string;
            pauses: true;
            raised: string;
        }[];
        symptoms_asked: null;
    };
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentOutbox = {
    mails: [{
        at: string;
        id: number;
        subject: string;
        text: string;
        to: string;
    }];
    stands_in: true;
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: true;
        key: string;
        name: string;
    };
};

export type SentPatientNew = {
    time_zone: string;
    time_zones: string[];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentRecord = {
    added_on: string;
    archived: null;
    colleagues: [{
        id: number;
        name: string;
    }, {
        id: number;
        name: string;
    }, {
        id: number;
        name: string;
    }];
    details: {
        birth_date: string;
        contact: string;
        day_start: string;
        locale: 'en';
        mails_appointments: false;
        minutes_a_day: string;
        name: string;
        time_zone: string;
    };
    exercises: {
        lineage: string;
        name: string;
    }[];
    handovers: [];
    is_lead: boolean;
    joins: [];
    languages: [{
        label: string;
        value: 'en';
    }];
    letters: number;
    lifted: {
        by: string;
        found: string;
        from: string;
        text: string;
        to: string;
    }[];
    measurements: ({
        by: string;
        how: string;
        id: number;
        label: string;
        on: string;
        struck: null;
        value: string;
        words: null | string;
    })[];
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    practices: number;
    questionnaires: [{
        answers: {
            said: string;
            text: string;
        }[];
        change: null | string;
        first: null | {
            band: 'mild' | 'moderate' | 'severe';
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        is_asked: true;
        items: number;
        key: string;
        label: string;
        last: null | {
            band: 'mild' | 'minimal' | 'moderate';
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        least: 0;
        most: number;
        open: null;
        source: string;
    }, {
        answers: {
            said: string;
            text: string;
        }[];
        change: null;
        first: null;
        is_asked: true;
        items: number;
        key: 'nijmegen';
        label: string;
        last: null | {
            band: string;
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        least: 0;
        most: number;
        open: null;
        source: string;
    }, {
        answers: {
            said: string;
            text: string;
        }[];
        change: null | string;
        first: null | {
            band: string;
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        is_asked: true;
        items: number;
        key: 'mmrc';
        label: string;
        last: null | {
            band: string;
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        least: 0;
        most: number;
        open: null;
        source: string;
    }, {
        answers: {
            said: string;
            text: string;
        }[];
        change: null;
        first: null;
        is_asked: true;
        items: number;
        key: string;
        label: string;
        last: null | {
            band: null;
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        least: 0;
        most: number;
        open: null;
        source: string;
    }];
    red_flags: {
        actions: {
            action: string;
            by: string;
            on: string;
            waits: false;
        }[];
        id: number;
        is_open: boolean;
        label: string;
        pauses: true;
        raised: string;
    }[];
    refusals: [];
    responsible: {
        id: number;
        name: string;
    };
    screenings: {
        by: string;
        correction: null;
        from_patient: false;
        is_corrected: false;
        on: string;
        yes: string[];
    }[];
    sessions: {
        amendments: 0;
        by: string;
        dropped: null;
        id: string;
        note: string;
        number: number;
        on: string;
        signed_by: string;
    }[];
    shared_with: [];
    time_zones: string[];
    today: string;
    trail: ({
        by: string;
        changes: string[];
        kind: 'changed' | 'opened';
        on: string;
        patient: string;
        patient_id: string;
        what: string;
    })[] | null;
    versions: ({
        by: string;
        id: number;
        items: string;
        number: number;
        on: string;
        query: string;
        reason: null | string;
        withdrawn: null;
    })[];
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentRoutineEdit = {
    answer: {
        about: false;
        breaths: number;
        exercise_ms: number;
        steps: [{
            is_exercise: true;
            label: string;
            summary: string;
        }, {
            is_exercise: true;
            label: string;
            summary: string;
        }, {
            is_exercise: false;
            label: string;
            summary: string;
        }, {
            is_exercise: true;
            label: string;
            summary: string;
        }];
        total_ms: number;
    };
    body: {
        efforts: [{
            label: 'gentle';
            value: 'gentle';
        }, {
            label: 'full';
            value: 'full';
        }, {
            label: string;
            value: 'active';
        }, {
            label: 'complete';
            value: 'complete';
        }];
        endings: [{
            label: string;
            value: string;
        }, {
            label: string;
            value: 'bell';
        }, {
            label: string;
            value: 'quiet';
        }, {
            label: string;
            value: 'slow';
        }];
        gazes: [{
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[];
            value: 'choice';
        }, {
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent')[];
            value: 'closed';
        }, {
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent')[];
            value: 'lowered';
        }, {
            label: string;
            positions: ('cross-legged' | 'facing-wall' | 'hands-and-knees' | 'kneeling' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent')[];
            value: 'on-a-point';
        }];
        hands: ({
            is_special: boolean;
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[];
            value: 'as-you-like' | 'belly' | 'belly-and-ease' | 'belly-and-ribs' | 'beside-you' | 'both-on-belly' | 'chest-and-belly' | 'ears-closed' | 'elbows-on-knees' | 'fold-two-fingers' | 'forearms-on-wall' | 'hang' | 'in-the-lap' | 'leading-ribs' | 'lower-ribs' | 'on-the-floor' | 'on-the-knees' | 'on-the-table' | 'press-lower-ribs' | 'round-the-ribs' | 'sides' | 'swing' | 'under-forehead';
        })[];
        props: ({
            label: string;
            positions: ('childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking')[];
            routes: ('hum' | 'mouth' | 'nose' | 'pursed-lips' | 'soft-open-mouth')[];
            value: 'blanket' | 'chair-with-back' | 'cushion-to-sit-on' | 'low-back-support' | 'mirror' | 'pillow-under-head' | 'pillow-under-knees' | 'rolled-towel' | 'strap' | 'straw' | 'tissue' | 'wedge';
        })[];
    };
    fields: {
        name: string;
        steps: [{
            bells_first: number;
            bells_last: number;
            breaths: null;
            count_length: number;
            counting: {
                exhale: 'down';
                hold: 'up';
                inhale: 'up';
                rest: 'up';
            };
            cue_word: false;
            effort: 'gentle';
            ending: null;
            fade: 'nothing';
            fastest: number;
            gaze: 'choice';
            hands: 'as-you-like';
            kind: 'exercise';
            minutes: number;
            own_in: null;
            own_name: null;
            own_out: null;
            own_prop: null;
            own_right: null;
            parameters: [];
            position: 'seated';
            props: ['chair-with-back'];
            ratio: null;
            route_in: 'nose';
            route_out: 'nose';
            slowest: number;
            start: 'inhale';
            technique: 'noticing';
        }, {
            bells_first: 0;
            bells_last: number;
            breaths: number;
            count_length: number;
            counting: {
                exhale: 'down';
                hold: 'up';
                inhale: 'up';
                rest: 'up';
            };
            cue_word: false;
            effort: 'gentle';
            ending: null;
            fade: 'nothing';
            fastest: number;
            gaze: 'choice';
            hands: 'chest-and-belly';
            kind: 'exercise';
            minutes: null;
            own_in: null;
            own_name: null;
            own_out: null;
            own_prop: null;
            own_right: null;
            parameters: [];
            position: 'seated';
            props: ['chair-with-back'];
            ratio: string;
            route_in: 'nose';
            route_out: 'nose';
            slowest: number;
            start: 'inhale';
            technique: 'extended-exhale';
        }, {
            kind: 'free';
            seconds: number;
        }, {
            bells_first: number;
            bells_last: number;
            breaths: null;
            count_length: number;
            counting: {
                exhale: 'down';
                hold: 'up';
                inhale: 'up';
                rest: 'up';
            };
            cue_word: false;
            effort: 'gentle';
            ending: null;
            fade: 'nothing';
            fastest: number;
            gaze: 'choice';
            hands: 'hang';
            kind: 'exercise';
            minutes: number;
            own_in: null;
            own_name: null;
            own_out: null;
            own_prop: null;
            own_right: null;
            parameters: [];
            position: 'seated';
            props: ['chair-with-back'];
            ratio: null;
            route_in: 'nose';
            route_out: 'nose';
            slowest: number;
            start: 'inhale';
            technique: 'shoulder-rolls';
        }];
    };
    is_own: true;
    key: string;
    kinds: [{
        label: string;
        value: 'settle';
    }, {
        label: 'exercise';
        value: 'exercise';
    }, {
        label: string;
        value: 'free';
    }, {
        label: string;
        value: 'return';
    }];
    limits: {
        seconds: number;
        steps: number;
    };
    techniques: ({
        about: string;
        defaults: {
            anchors: [];
            as_needed: false;
            bells_first: number;
            bells_last: number;
            breaths: null | number;
            checks: [];
            count_length: number;
            counting: {
                exhale: 'down' | 'up';
                hold: 'up';
                inhale: 'down' | 'up';
                rest: 'up';
            };
            cue_word: false;
            daily_most: number;
            effort: 'complete' | 'full' | 'gentle';
            ending: null;
            fade: 'nothing';
            fastest: number;
            gaze: 'choice';
            hands: null;
            ladder: null;
            minutes: null | number;
            own_in: null;
            own_name: null;
            own_out: null;
            own_prop: null;
            own_right: null;
            parameters: Record<string, number>;
            position: 'prone' | 'seated' | 'standing' | 'supine' | 'supine-knees-bent' | 'walking';
            props: ('blanket' | 'chair-with-back' | 'pillow-under-head' | 'pillow-under-knees')[];
            ratio: null | string;
            route_in: 'nose';
            route_out: 'hum' | 'mouth' | 'nose' | 'pursed-lips' | 'soft-open-mouth';
            school: 'gentle-control';
            short: null;
            slowest: number;
            start: 'empty' | 'inhale';
            technique: string;
            times_a_day: number;
            use_when: null;
            way: 'led';
            why: null;
        };
        efforts: ('active' | 'complete' | 'full' | 'gentle')[];
        has_ratio: boolean;
        is_paced: boolean;
        is_recovery: false;
        key: string;
        length: 'breaths' | 'derived' | 'minutes' | 'rounds';
        mistakes: string[];
        more_hands: 'ears-closed'[];
        name: string;
        only_hands: ('as-you-like' | 'belly-and-ribs' | 'beside-you' | 'fold-two-fingers' | 'leading-ribs' | 'lower-ribs' | 'press-lower-ribs' | 'round-the-ribs' | 'sides')[];
        parameters: ({
            choices: Record<string, string> | [];
            label: string;
            name: string;
        })[];
        positions: ({
            label: string;
            value: 'childs-pose' | 'cross-legged' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking';
        })[];
        purposes: string[];
        ridge: {
            count_s: number;
            cues: ({
                at: number;
                beats: {
                    at: number;
                    number: number;
                }[];
                curve: [number, 0, number, number];
                from: number;
                greatest: null | number;
                how?: string;
                instruction: string;
                kind: 'exhale' | 'hold' | 'hum' | 'inhale' | 'release' | 'rest' | 'retention' | 'top-up';
                last: false;
                ms: number;
                place: {
                    breath: number;
                    of: number;
                    round: number;
                    step: number;
                };
                side: 'left' | 'none' | 'right';
                soft?: true;
                to: number;
            })[];
            minutes: null | number;
        };
        routes_in: ({
            label: string;
            value: 'mouth' | 'nose' | 'pursed-lips';
        })[];
        routes_out: ({
            label: string;
            value: 'hum' | 'mouth' | 'nose' | 'pursed-lips' | 'soft-open-mouth';
        })[];
        starts: ({
            label: string;
            value: 'empty' | 'exhale' | 'inhale';
        })[];
    })[];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentScreening = {
    crisis_number_missing: false;
    exercises: {
        lineage: string;
        name: string;
    }[];
    from_home: null | {
        answered: number;
        answers: Record<string, boolean>;
        id: string;
        of: number;
        sent_on: string;
    };
    has_device: boolean;
    history: {
        by: string;
        correction: null;
        from_patient: false;
        is_corrected: false;
        on: string;
        yes: string[];
    }[];
    latest: null | {
        answers: Record<string, boolean>;
        by: string;
        can_be_corrected: boolean;
        ends_on: Record<string, never>;
        happened_on: Record<string, never>;
        id: number;
        new_questions: 0;
        on: string;
        pregnancy_weeks: null | number;
        remark: null;
        with_gas: false;
    };
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    questions: ({
        questions: ({
            gas?: boolean;
            key: string;
            note?: null | string;
            text: string;
            weeks?: null | number;
        })[];
        red: boolean;
        source: string;
        title: string;
    })[];
    red_flags: {
        actions: {
            action: string;
            by: string;
            on: string;
            waits: false;
        }[];
        id: number;
        is_open: boolean;
        label: string;
        pauses: true;
        raised: string;
    }[];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentSession = {
    kept: {
        by: null;
        content: Record<string, never>;
        revision: 0;
    };
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: true;
        id: string;
        minutes_a_day: number;
        name: string;
        obstacle: null;
        open_session: null;
        today: string;
    };
    session: {
        begun_at: string;
        begun_on: string;
        by: string;
        closed_on: string;
        id: string;
        number: number;
        step: 'brief' | 'catch-up' | 'decide' | 'hand-over' | 'measure' | 'note' | 'prescribe' | 'teach';
        steps: ({
            has: false;
            key: 'brief' | 'catch-up' | 'decide' | 'hand-over' | 'measure' | 'note' | 'prescribe' | 'teach';
            label: string;
        })[];
    };
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentSessionShownBrief = {
    goal: null | {
        summary: string;
        words: string;
    };
    last: null | {
        id: string;
        note: string;
        number: number;
        on: string;
    };
    lines: ({
        evidence: 'course' | 'measure';
        number: string;
        text: string;
    })[];
    questions: string[];
};

export type SentSessionShownCatchUp = {
    diary: {
        changes: {
            date: string;
            number: number;
        }[];
        entries: {
            date: string;
            late: false;
            ratings: Record<string, number>;
            sleep: number;
            text: string;
        }[];
        from: string;
        late_days: number;
        symptoms: [{
            id: number;
            name: 'breathlessness';
        }];
        today: string;
    };
    exercises: {
        lines: {
            number: string;
            text: string;
        }[];
        name: string;
    }[];
    remarks: {
        on: string;
        text: string;
    }[];
    screened: {
        by: string;
        on: string;
        today: false;
    };
    stops: {
        on: string;
        remark: string;
        symptom: 'dizziness';
    }[];
};

export type SentSessionShownDecide = {
    decisions: ({
        label: string;
        value: 'lighten' | 'pause' | 'stay' | 'step-back' | 'step-up' | 'stop';
    })[];
    items: ({
        as_needed: boolean;
        lineage: string;
        lines: {
            number: string;
            text: string;
        }[];
        name: string;
        next: 'standing' | null;
        paused: null;
        proposal: null | {
            because: string;
            kind: 'step-up';
            label: string;
            rule: string;
        };
        since: string;
        summary: string;
    })[];
};

export type SentSessionShownHandOver = {
    appointment: null | {
        day: string;
        id: number;
        more: 0;
        starts_at: string;
        time: string;
        with: string;
        words: string;
    };
    has_device: true;
    mail_to: null;
    public_address: string;
    version: {
        in_force_from: string;
        is_new: true;
        items: ({
            name: string;
            summary: string;
            told: ({
                label: string;
                part: 'breath' | 'eyes' | 'felt' | 'hands' | 'least' | 'length' | 'position' | 'right' | 'stop' | 'when' | 'why' | 'with';
                texts: string[];
            })[];
            when: string[];
        })[];
        number: number;
        patient_note: null;
        review_on: string;
    };
};

export type SentSessionShownMeasure = {
    exercises: [{
        lineage: string;
        name: string;
    }];
    has_device: true;
    low_saturation: number;
    measures: ({
        before: null | {
            at: string;
            by: string;
            method: string;
            on: string;
            position: 'seated';
            value: number;
            words: null | string;
        };
        comparable: boolean;
        first: null | {
            at: string;
            by: string;
            method: string;
            on: string;
            position: 'seated';
            value: number;
            words: null | string;
        };
        how: 'ceiling' | 'fall' | 'hands' | 'rating' | 'rhythm' | 'ribs' | 'taps' | 'tries' | 'typed';
        key: string;
        label: string;
        last: null | {
            at: string;
            by: string;
            method: string;
            on: string;
            position: 'reclined' | 'seated';
            value: number;
            words: null | string;
        };
        measure: 'ceiling' | 'diastolic' | 'exhale' | 'girth' | 'hand-check' | 'hand-check-deep' | 'hold' | 'inhale' | 'peak-flow' | 'peak-flow-best' | 'pulse' | 'resting-rate' | 'rhythm' | 'rib-expansion' | 'rib-flare' | 'saturation' | 'saturation-fall' | 'symptom' | 'systolic';
        possible: [number, number];
        symptom: null | number;
        unit: string;
    })[];
    own_low_saturation: null;
    positions: ({
        label: string;
        value: 'childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking';
    })[];
    questionnaires: [{
        answers: [];
        change: null;
        first: null;
        is_asked: true;
        items: number;
        key: string;
        label: string;
        last: null;
        least: 0;
        most: number;
        open: null;
        source: string;
    }, {
        answers: [];
        change: null;
        first: null;
        is_asked: true;
        items: number;
        key: 'nijmegen';
        label: string;
        last: null;
        least: 0;
        most: number;
        open: null;
        source: string;
    }, {
        answers: [{
            said: string;
            text: string;
        }];
        change: string;
        first: {
            band: string;
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        is_asked: true;
        items: number;
        key: 'mmrc';
        label: string;
        last: {
            band: string;
            missing: 0;
            on: string;
            score: number;
            where: string;
        };
        least: 0;
        most: number;
        open: null;
        source: string;
    }, {
        answers: [];
        change: null;
        first: null;
        is_asked: true;
        items: number;
        key: string;
        label: string;
        last: null;
        least: 0;
        most: number;
        open: null;
        source: string;
    }];
    red_flags: [];
    symptoms_asked: null;
};

export type SentSessionShownNote = {
    draft: string;
    signed: {
        amendments: [];
        by: string;
        on: string;
        text: string;
    };
    since: [];
};

export type SentSessionShownPrescribe = [];

export type SentSessionShownTeach = {
    choices: ({
        count_length: null | number;
        fields: {
            anchors?: ({
                anchor: 'lights-out' | 'lunch' | 'waking';
                days: number[];
                from: string;
                label: string;
                to: string;
            })[];
            as_needed?: boolean;
            bells_first?: 0;
            bells_last?: number;
            breaths?: null | number;
            checks?: [];
            count_length?: number;
            counting?: {
                exhale: 'down';
                hold: 'up';
                inhale: 'up';
                rest: 'up';
            };
            cue_word?: false;
            daily_most?: null | number;
            effort?: 'gentle';
            ending?: null;
            fade?: 'nothing';
            fastest?: number;
            gaze?: 'choice';
            hands?: 'chest-and-belly' | 'elbows-on-knees';
            kind?: 'exercise';
            ladder?: null;
            minutes?: null;
            own_in?: null;
            own_name?: null;
            own_out?: null;
            own_prop?: null;
            own_right?: null;
            parameters?: [];
            position?: 'seated' | 'seated-forward';
            props?: 'chair-with-back'[];
            ratio?: null | string;
            route_in?: 'nose';
            route_out?: 'pursed-lips';
            school?: 'gentle-control';
            short?: null;
            slowest?: number;
            start?: 'inhale';
            technique: string;
            times_a_day?: null | number;
            use_when?: null | string;
            way?: 'led' | null;
            why?: null | string;
        };
        hands: string;
        lineage: null | string;
        mistakes: string[];
        name: string;
        ratio: null | string;
        right: string[];
    })[];
};

export type SentSignals = {
    agreed: null | true;
    agreement: string;
    choices: ({
        count_length: null | number;
        fields: {
            anchors?: ({
                anchor: 'lights-out' | 'lunch' | 'waking';
                days: number[];
                from: string;
                label: string;
                to: string;
            })[];
            as_needed?: boolean;
            bells_first?: number;
            bells_last?: number;
            breaths?: null | number;
            checks?: [];
            count_length?: number;
            counting?: {
                exhale: 'down';
                hold: 'up';
                inhale: 'up';
                rest: 'up';
            };
            cue_word?: false;
            daily_most?: null | number;
            effort?: 'gentle';
            ending?: null;
            fade?: 'nothing';
            fastest?: number;
            gaze?: 'choice';
            hands?: 'as-you-like' | 'chest-and-belly' | 'elbows-on-knees';
            kind?: 'exercise';
            ladder?: null;
            minutes?: null | number;
            own_in?: null;
            own_name?: null;
            own_out?: null;
            own_prop?: null;
            own_right?: null;
            parameters?: [];
            position?: 'reclined' | 'seated' | 'seated-forward' | 'side-lying' | 'supine' | 'supine-knees-bent';
            props?: ('chair-with-back' | 'pillow-under-head' | 'wedge')[];
            ratio?: null | string;
            route_in?: 'nose';
            route_out?: 'nose' | 'pursed-lips';
            school?: 'gentle-control';
            short?: null;
            slowest?: number;
            start?: 'inhale';
            technique: string;
            times_a_day?: null | number;
            use_when?: null | string;
            way?: 'led' | null;
            why?: null | string;
        };
        hands: string;
        lineage: null | string;
        mistakes: string[];
        name: string;
        ratio: null | string;
        right: string[];
    })[];
    desk: {
        exercises: {
            lineage: string;
            name: string;
        }[];
        has_device: boolean;
        low_saturation: number;
        measures: ({
            before: null | {
                at: string;
                by: string;
                method: string;
                on: string;
                position: 'seated';
                value: number;
                words: null | string;
            };
            comparable: boolean;
            first: null | {
                at: string;
                by: string;
                method: string;
                on: string;
                position: 'seated';
                value: number;
                words: null | string;
            };
            how: 'ceiling' | 'fall' | 'hands' | 'rating' | 'rhythm' | 'ribs' | 'taps' | 'tries' | 'typed';
            key: string;
            label: string;
            last: null | {
                at: string;
                by: string;
                method: string;
                on: string;
                position: 'reclined' | 'seated';
                value: number;
                words: null | string;
            };
            measure: 'ceiling' | 'diastolic' | 'exhale' | 'girth' | 'hand-check' | 'hand-check-deep' | 'hold' | 'inhale' | 'peak-flow' | 'peak-flow-best' | 'pulse' | 'resting-rate' | 'rhythm' | 'rib-expansion' | 'rib-flare' | 'saturation' | 'saturation-fall' | 'symptom' | 'systolic';
            possible: [number, number];
            symptom: null | number;
            unit: string;
        })[];
        own_low_saturation: null;
        positions: ({
            label: string;
            value: 'childs-pose' | 'cross-legged' | 'facing-wall' | 'folded-forward' | 'hands-and-knees' | 'kneeling' | 'prone' | 'reclined' | 'seated' | 'seated-at-table' | 'seated-forward' | 'side-lying' | 'standing' | 'standing-at-wall' | 'supine' | 'supine-knees-bent' | 'walking';
        })[];
        questionnaires: [{
            answers: {
                said: string;
                text: string;
            }[];
            change: null | string;
            first: null | {
                band: 'mild' | 'moderate' | 'severe';
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            is_asked: true;
            items: number;
            key: string;
            label: string;
            last: null | {
                band: 'mild' | 'minimal' | 'moderate';
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }, {
            answers: {
                said: string;
                text: string;
            }[];
            change: null;
            first: null;
            is_asked: true;
            items: number;
            key: 'nijmegen';
            label: string;
            last: null | {
                band: string;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }, {
            answers: {
                said: string;
                text: string;
            }[];
            change: null | string;
            first: null | {
                band: string;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            is_asked: true;
            items: number;
            key: 'mmrc';
            label: string;
            last: null | {
                band: string;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }, {
            answers: {
                said: string;
                text: string;
            }[];
            change: null;
            first: null;
            is_asked: true;
            items: number;
            key: string;
            label: string;
            last: null | {
                band: null;
                missing: 0;
                on: string;
                score: number;
                where: string;
            };
            least: 0;
            most: number;
            open: null;
            source: string;
        }];
        red_flags: {
            actions: {
                action: string;
                by: string;
                on: string;
                waits: false;
            }[];
            id: number;
            is_open: boolean;
            label: string;
            pauses: true;
            raised: string;
        }[];
        symptoms_asked: null;
    };
    open: null;
    paces: {
        left_out: {
            pace: number;
            why: string;
        }[];
        minutes: number;
        paces: number[];
        possible: true;
    };
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: null | number;
        name: string;
        obstacle: null | string;
        open_session: null;
        today: string;
    };
    recordings: ({
        about: null;
        has_samples: boolean;
        inked: null | number[];
        keep: ({
            kept: false;
            label: string;
            measure: 'hand-check' | 'pulse' | 'resting-rate' | 'saturation';
            value: string;
        })[];
        kind: 'pace' | 'practice' | 'quiet';
        label: string;
        lines: string[];
        on: string;
        outside: 0;
        paces: {
            breaths: number;
            from: number;
            pace: number;
            swing: number;
            to: number;
        }[];
        position: 'seated' | null;
        samples: string;
        uuid: string;
    })[];
    seconds: {
        after_hold: number;
        calibration: number;
        quiet: number;
    };
    sensors: [{
        here: false;
        id: number;
        name: string;
        seen: string;
    }, {
        here: false;
        id: number;
        name: string;
        seen: string;
    }];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentToAsNeeded = {
    crisis: string;
    emergency: string;
    emergency_call: string;
    item: {
        as_needed: null;
        breaths: null;
        checks: [];
        ends: [];
        joining: null;
        like: [];
        lineage: 'everyone';
        minutes: null;
        name: string;
        needs: [];
        night: null;
        paused: null;
        paused_note: null;
        phone: null;
        quiet: false;
        recovery: true;
        ridge: {
            count_s: number;
            cues: [];
            minutes: number;
        };
        seconds: number;
        short: null;
        taught: [];
        technique: 'forward-lean';
        tempo: null;
        timeline: {
            about: true;
            breaths: 0;
            exercise_ms: number;
            rounds: 0;
            segments: [{
                cues: [{
                    at: 0;
                    beats: [];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: null;
                    instruction: string;
                    kind: 'move';
                    last: false;
                    ms: number;
                    place: {
                        breath: 0;
                        of: 0;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: number;
                }, {
                    at: number;
                    beats: [];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: null;
                    how: string;
                    instruction: string;
                    kind: 'exhale';
                    last: false;
                    ms: number;
                    place: {
                        breath: 0;
                        of: 0;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: 0;
                }, {
                    at: number;
                    beats: [];
                    curve: [number, 0, number, number];
                    from: 0;
                    greatest: null;
                    how: string;
                    instruction: string;
                    kind: 'inhale';
                    last: false;
                    ms: number;
                    place: {
                        breath: 0;
                        of: 0;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: number;
                }, {
                    at: number;
                    beats: [];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: number;
                    instruction: string;
                    kind: 'free';
                    last: false;
                    ms: number;
                    place: {
                        breath: 0;
                        of: 0;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: 0;
                }];
                ms: number;
                open: true;
                role: 'exercise';
            }, {
                cues: [{
                    at: 0;
                    beats: [];
                    curve: [number, 0, number, number];
                    from: 0;
                    greatest: null;
                    instruction: string;
                    kind: 'bell';
                    last: false;
                    ms: number;
                    place: {
                        breath: 0;
                        of: 0;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: 0;
                }];
                ms: number;
                open: false;
                role: 'settle';
            }];
            sets: 0;
            total_ms: number;
        };
        told: ({
            label: string;
            part: 'breath' | 'eyes' | 'felt' | 'hands' | 'length' | 'position' | 'right' | 'stop' | 'when';
            texts: string[];
        })[];
        why: string;
    };
    owner: string;
    rules: {
        days: {
            lately: number;
            tally: number;
            waits_at_most: number;
        };
        night: {
            anchors: ['lights-out'];
            from_hour: number;
            until_hour: number;
        };
        pausing: {
            look_at: number;
            stops: number;
        };
        seconds: {
            ask_after: number;
            help_after: number;
            look_back_after: number;
            trusted_offset: number;
        };
        symptoms: {
            get_help: ('breathlessness-stays' | 'chest-pain' | 'confusion' | 'fainting' | 'headache' | 'loss-of-sight' | 'numb-side' | 'palpitations' | 'seizure' | 'slurred-speech' | 'weakness')[];
            made_me_stop: ('breathlessness' | 'cramp' | 'dizziness' | 'panic' | 'something-else' | 'tingling' | 'unreal')[];
        };
    };
    telephone: string;
};

export type SentToDiary = {
    changes: {
        date: string;
        number: number;
    }[];
    entries: {
        date: string;
        late: false;
        ratings: Record<string, number>;
        sleep: number;
        text: string;
    }[];
    from: string;
    late_days: number;
    symptoms: ({
        id: number;
        name: 'breathlessness' | 'tension';
    })[];
    today: string;
};

export type SentToProgress = {
    as_needed: {
        name: string;
        recovered: [number, number, number];
        times: number;
    }[];
    changes: [];
    checks: null | {
        count: number;
        first: number;
        last: number;
        on: string;
    };
    days_practised: number;
    measured: {
        on: string;
        sentence: string;
    }[];
    next: null | string;
    then_now: ({
        direction: -1 | 0 | 1;
        name: string;
        now: number;
        then: number;
    })[];
    weeks: ((null | {
        date: string;
        label: string;
        paused: boolean;
        strokes: ('done' | 'missed' | 'open' | 'partial' | 'stopped')[];
    })[])[];
};

export type SentToSheet = {
    sheet: null | {
        cautions: [string, string, string, string];
        clinic: string;
        emergency: string;
        from: string;
        goal: string;
        items: ({
            about: boolean;
            breaths: number;
            minutes: string;
            name: string;
            needed: boolean;
            ridge: string;
            taught: [];
            told: ({
                label: string;
                part: 'breath' | 'end' | 'eyes' | 'felt' | 'hands' | 'least' | 'length' | 'position' | 'right' | 'stop' | 'when' | 'why' | 'with';
                texts: string[];
            })[];
        })[];
        needs: string[];
        note: null;
        number: number;
        review: string;
        slight: string;
        symptom: 'breathlessness' | 'tension';
    };
};

export type SentToToday = {
    appointment: null | string;
    asked: [];
    check_due: boolean;
    clinic: string;
    crisis: string;
    days: [{
        date: string;
        from: string;
        label: string;
        note: null;
        rated_symptom: 'breathlessness' | 'tension' | null;
        slots: ({
            anchor: 'lights-out' | 'lunch' | 'waking';
            closes_at: string;
            done: null | {
                at: string;
                stroke: 'done';
            };
            from: string;
            lineage: string;
            name: null;
            put_off: null;
            to: string;
        })[];
        starts_on: null | string;
        state: 'none' | 'running';
        to: string;
        version_id: null | number;
    }, {
        date: string;
        from: string;
        label: string;
        note: null;
        rated_symptom: 'breathlessness' | 'tension' | null;
        slots: ({
            anchor: 'lights-out' | 'lunch' | 'waking';
            closes_at: string;
            done: null;
            from: string;
            lineage: string;
            name: null;
            put_off: null;
            to: string;
        })[];
        starts_on: null | string;
        state: 'none' | 'running';
        to: string;
        version_id: null | number;
    }];
    emergency: string;
    emergency_call: string;
    items: Record<string, ({
        as_needed: null | {
            done: 0;
            most: number;
            room: number;
            use_when: string;
            way: 'led';
        };
        breaths: null | number;
        checks: [];
        ends: ['get-help' | 'made-me-stop' | null, 'made-me-stop' | null];
        joining: null | {
            least: number;
            over: number;
            slowest: number;
        };
        like: [string];
        lineage: string;
        minutes: null | number;
        name: string;
        needs: string[];
        night: null | {
            drop: number;
            segments: [];
        };
        paused: 'answers' | 'stop' | null;
        paused_note: null;
        phone: 'belly' | 'chest' | null;
        quiet: boolean;
        recovery: boolean;
        ridge: {
            count_s: number;
            cues: ({
                at: number;
                beats: {
                    at: number;
                    number: number;
                }[];
                curve: [number, 0, number, number];
                from: number;
                greatest: null;
                how?: string;
                instruction: string;
                kind: 'exhale' | 'hold' | 'inhale' | 'rest';
                last: false;
                ms: number;
                place: {
                    breath: number;
                    of: number;
                    round: 0;
                    step: number;
                };
                side: 'none';
                to: number;
            })[];
            minutes: null | number;
        };
        seconds: number;
        short: null | {
            breaths: null | number;
            night: null | {
                drop: number;
                segments: [];
            };
            quiet: boolean;
            ridge: {
                count_s: number;
                cues: ({
                    at: number;
                    beats: {
                        at: number;
                        number: number;
                    }[];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: null;
                    how?: string;
                    instruction: string;
                    kind: 'exhale' | 'hold' | 'inhale' | 'rest';
                    last: false;
                    ms: number;
                    place: {
                        breath: number;
                        of: number;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: number;
                })[];
                minutes: null | number;
            };
            seconds: number;
            timeline: {
                about: false;
                breaths: number;
                exercise_ms: number;
                rounds: 0;
                segments: ({
                    cues: ({
                        at: number;
                        beats: {
                            at: number;
                            number: number;
                        }[];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: null;
                        how?: string;
                        instruction: string;
                        kind: 'bell' | 'exhale' | 'free' | 'hold' | 'inhale' | 'lead-in' | 'rest' | 'return' | 'settle';
                        last: boolean;
                        ms: number;
                        place: {
                            breath: number;
                            of: number;
                            round: 0;
                            step: number;
                        };
                        side: 'none';
                        to: number;
                    })[];
                    ms: number;
                    open: false;
                    role: 'exercise' | 'lead-in' | 'return' | 'settle';
                })[];
                sets: number;
                total_ms: number;
            };
        };
        taught: [];
        technique: 'diaphragmatic' | 'extended-exhale' | 'forward-lean' | 'square';
        tempo: null;
        timeline: {
            about: boolean;
            breaths: number;
            exercise_ms: number;
            rounds: 0;
            segments: ({
                cues: ({
                    at: number;
                    beats: {
                        at: number;
                        number: number;
                    }[];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: null | number;
                    how?: string;
                    instruction: string;
                    kind: 'bell' | 'exhale' | 'free' | 'hold' | 'inhale' | 'lead-in' | 'move' | 'rest' | 'return' | 'settle';
                    last: boolean;
                    ms: number;
                    place: {
                        breath: number;
                        of: number;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: number;
                })[];
                ms: number;
                open: boolean;
                role: 'exercise' | 'lead-in' | 'return' | 'settle';
            })[];
            sets: number;
            total_ms: number;
        };
        told: ({
            label: string;
            part: 'breath' | 'end' | 'eyes' | 'felt' | 'hands' | 'least' | 'length' | 'position' | 'right' | 'stop' | 'when' | 'why' | 'with';
            texts: string[];
        })[];
        why: string;
    })[]>;
    now: string;
    owner: string;
    recovery: null | {
        item: {
            as_needed: {
                done: 0;
                most: number;
                room: number;
                use_when: string;
                way: 'led';
            };
            breaths: null;
            checks: [];
            ends: [null, null];
            joining: null;
            like: [string];
            lineage: string;
            minutes: null;
            name: string;
            needs: [];
            night: null;
            paused: null;
            paused_note: null;
            phone: null;
            quiet: false;
            recovery: true;
            ridge: {
                count_s: number;
                cues: [];
                minutes: number;
            };
            seconds: number;
            short: null;
            taught: [];
            technique: 'forward-lean';
            tempo: null;
            timeline: {
                about: true;
                breaths: 0;
                exercise_ms: number;
                rounds: 0;
                segments: [{
                    cues: [{
                        at: 0;
                        beats: [];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: null;
                        instruction: string;
                        kind: 'move';
                        last: false;
                        ms: number;
                        place: {
                            breath: 0;
                            of: 0;
                            round: 0;
                            step: number;
                        };
                        side: 'none';
                        to: number;
                    }, {
                        at: number;
                        beats: [];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: null;
                        how: string;
                        instruction: string;
                        kind: 'exhale';
                        last: false;
                        ms: number;
                        place: {
                            breath: 0;
                            of: 0;
                            round: 0;
                            step: number;
                        };
                        side: 'none';
                        to: 0;
                    }, {
                        at: number;
                        beats: [];
                        curve: [number, 0, number, number];
                        from: 0;
                        greatest: null;
                        how: string;
                        instruction: string;
                        kind: 'inhale';
                        last: false;
                        ms: number;
                        place: {
                            breath: 0;
                            of: 0;
                            round: 0;
                            step: number;
                        };
                        side: 'none';
                        to: number;
                    }, {
                        at: number;
                        beats: [];
                        curve: [number, 0, number, number];
                        from: number;
                        greatest: number;
                        instruction: string;
                        kind: 'free';
                        last: false;
                        ms: number;
                        place: {
                            breath: 0;
                            of: 0;
                            round: 0;
                            step: number;
                        };
                        side: 'none';
                        to: 0;
                    }];
                    ms: number;
                    open: true;
                    role: 'exercise';
                }, {
                    cues: [{
                        at: 0;
                        beats: [];
                        curve: [number, 0, number, number];
                        from: 0;
                        greatest: null;
                        instruction: string;
                        kind: 'bell';
                        last: false;
                        ms: number;
                        place: {
                            breath: 0;
                            of: 0;
                            round: 0;
                            step: number;
                        };
                        side: 'none';
                        to: 0;
                    }];
                    ms: number;
                    open: false;
                    role: 'settle';
                }];
                sets: 0;
                total_ms: number;
            };
            told: ({
                label: string;
                part: 'breath' | 'eyes' | 'felt' | 'hands' | 'length' | 'position' | 'right' | 'stop' | 'when';
                texts: string[];
            })[];
            why: string;
        };
        version_id: number;
    };
    rules: {
        days: {
            lately: number;
            tally: number;
            waits_at_most: number;
        };
        night: {
            anchors: ['lights-out'];
            from_hour: number;
            until_hour: number;
        };
        pausing: {
            look_at: number;
            stops: number;
        };
        seconds: {
            ask_after: number;
            help_after: number;
            look_back_after: number;
            trusted_offset: number;
        };
        symptoms: {
            get_help: ('breathlessness-stays' | 'chest-pain' | 'confusion' | 'fainting' | 'headache' | 'loss-of-sight' | 'numb-side' | 'palpitations' | 'seizure' | 'slurred-speech' | 'weakness')[];
            made_me_stop: ('breathlessness' | 'cramp' | 'dizziness' | 'panic' | 'something-else' | 'tingling' | 'unreal')[];
        };
    };
    telephone: string;
};

export type SentVersion = {
    patient: {
        age: number;
        archived_on: null;
        born: null;
        flags: string[];
        has_programme: boolean;
        id: string;
        minutes_a_day: number;
        name: string;
        obstacle: null;
        open_session: null;
        today: string;
    };
    today: string;
    version: {
        by: string;
        can_be_withdrawn: false;
        ends_on: null | string;
        finding_reasons: [];
        goal: null | {
            direction: 'at-most';
            measure: 'breathlessness' | 'tension';
            summary: string;
            target: number;
            words: string;
        };
        in_force_from: string;
        issued_on: string;
        items: ({
            as_needed: null | string;
            effort: 'gentle';
            fields: {
                anchors: ({
                    anchor: 'lights-out' | 'lunch' | 'waking';
                    days: number[];
                    from: string;
                    label: string;
                    to: string;
                })[];
                as_needed: boolean;
                bells_first: number;
                bells_last: number;
                breaths: null | number;
                checks: [];
                count_length: number;
                counting: {
                    exhale: 'down';
                    hold: 'up';
                    inhale: 'up';
                    rest: 'up';
                };
                cue_word: false;
                daily_most: null | number;
                effort: 'gentle';
                ending: null;
                fade: 'nothing';
                fastest: number;
                gaze: 'choice';
                hands: 'as-you-like' | 'chest-and-belly' | 'elbows-on-knees';
                kind: 'exercise';
                ladder: null;
                minutes: null | number;
                own_in: null;
                own_name: null;
                own_out: null;
                own_prop: null;
                own_right: null;
                parameters: Record<string, never>;
                position: 'reclined' | 'seated' | 'seated-forward' | 'side-lying' | 'supine' | 'supine-knees-bent';
                props: ('chair-with-back' | 'pillow-under-head' | 'wedge')[];
                ratio: null | string;
                route_in: 'nose';
                route_out: 'nose' | 'pursed-lips';
                school: 'gentle-control';
                short: null;
                slowest: number;
                start: 'inhale';
                technique: 'diaphragmatic' | 'extended-exhale' | 'forward-lean' | 'square';
                times_a_day: null | number;
                use_when: null | string;
                way: 'led' | null;
                why: null | string;
            };
            figures: {
                about: boolean;
                breaths: number;
                counts: Record<string, number> | null;
                cycle_s: null | number;
                exercise_ms: number;
                exhale_to_inhale: null | number;
                minutes_a_day: number;
                quiet_share: null | number;
                rate: null | number;
                rounds: 0;
                total_ms: number;
            };
            lineage: string;
            name: string;
            position: string;
            props: string[];
            ridge: {
                count_s: number;
                cues: ({
                    at: number;
                    beats: {
                        at: number;
                        number: number;
                    }[];
                    curve: [number, 0, number, number];
                    from: number;
                    greatest: null;
                    how?: string;
                    instruction: string;
                    kind: 'exhale' | 'hold' | 'inhale' | 'rest';
                    last: false;
                    ms: number;
                    place: {
                        breath: number;
                        of: number;
                        round: 0;
                        step: number;
                    };
                    side: 'none';
                    to: number;
                })[];
                minutes: null | number;
            };
            route_in: string;
            route_out: string;
            short: null | string;
            steps: [];
            summary: string;
            why: string;
        })[];
        number: number;
        patient_note: null;
        query: string;
        rated_symptom: 'breathlessness' | 'tension';
        reason: null | string;
        review_on: string;
        school: string;
        withdrawn: null;
    };
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentVoice = {
    lines: {
        kept: null;
        line: string;
        longest_s: number;
        text: string;
        used: number;
    }[];
    running: string[][];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
};

export type SentWeek = {
    absences: [{
        day: string;
        from: 0;
        id: number;
        practitioner: number;
        reason: null;
        to: number;
    }, {
        day: string;
        from: number;
        id: number;
        practitioner: number;
        reason: 'teaching';
        to: number;
    }];
    after: string;
    appointments: ({
        born: null;
        day: string;
        id: number;
        in_series: boolean;
        is_over: boolean;
        kind: 'first' | 'remote' | 'review';
        minute: number;
        minutes: number;
        name: string;
        patient: string;
        practitioner: number;
        time: string;
    })[];
    before: string;
    days: {
        date: string;
        day: string;
        is_today: boolean;
        name: string;
    }[];
    is_now: true;
    kinds: [{
        label: 'first';
        minutes: number;
        value: 'first';
    }, {
        label: 'review';
        minutes: number;
        value: 'review';
    }, {
        label: 'remote';
        minutes: number;
        value: 'remote';
    }];
    me: number;
    monday: string;
    now: {
        day: string;
        minute: number;
    };
    number: number;
    people: [{
        id: number;
        name: string;
        shown: true;
        works: true;
    }, {
        id: number;
        name: string;
        shown: true;
        works: true;
    }, {
        id: number;
        name: string;
        shown: true;
        works: true;
    }];
    today: string;
    who: {
        clinic: string;
        email: string;
        idle_minutes: number;
        is_lead: boolean;
        key: string;
        name: string;
    };
    whose: 'everyone';
};
