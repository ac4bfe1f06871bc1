import type { Choice, Figures, LadderRung } from './pages';
import type { RidgeShape, Timeline } from '../shared/timeline';

export interface ExerciseEntry {
    key: string;
    name: string;
    about: string;
    is_own: boolean;
    summary: string;
    total_ms: number;
    is_about: boolean;
    has_hold: boolean;
    purposes: string[];
    positions: string[];
    /** Positions that no rule speaks against for the chosen patient; null without one. */
    possible: string[] | null;
    finding: { level: Level; title: string } | null;
    ridge: RidgeShape;
}

export type Level = 'note' | 'caution' | 'needs-reason';

export interface SchoolView {
    key: string;
    label: string;
    assumes: Record<string, string>;
    starts: string;
    effort: string;
    right: string[];
    ladder: LadderRung[];
    too_hard: string[];
    too_easy: string[];
}

export interface ExerciseView {
    key: string;
    name: string;
    about: string;
    is_own: boolean;
    fields: Record<string, unknown>;
    summary: string;
    figures: Figures;
    ridge: RidgeShape;
    uses: string[];
    times: string[];
    times_a_day: number;
    is_recovery: boolean;
    positions: string[];
    props: string[];
    hands: string;
    route: string;
    effort: string;
    short: { summary: string; seconds: number | null } | null;
    right: string[];
    mistakes: string[];
    feels: string[];
    stops: string[];
    cautions: { rule: string; title: string; level: Level; with: string[] }[];
    schools: SchoolView[];
}

export interface RoutineFigures {
    steps: { label: string; summary: string; is_exercise: boolean }[];
    exercise_ms: number;
    total_ms: number;
    breaths: number;
    about: boolean;
}

export interface RoutineEntry extends RoutineFigures {
    key: string;
    name: string;
    is_own: boolean;
}

export interface ExercisesProps {
    list: ExerciseEntry[];
    chosen: ExerciseView;
    patient: { id: string; name: string } | null;
    patients: { id: string; name: string }[];
    routines: RoutineEntry[];
    purposes: Choice[];
    positions: Choice[];
    own: OwnChoices;
}

/** What a clinic chooses from for a counted breath of its own. */
export interface OwnChoices {
    positions: (Choice & { hands: Choice[] })[];
    routes_in: Choice[];
    routes_out: Choice[];
}

/** What the player needs in the room. */
export interface RoomPlay {
    name: string;
    timeline: Timeline;
    ridge: RidgeShape;
    words: Record<string, string>;
}
