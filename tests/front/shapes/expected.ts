// What the server sends has to be what each page and each device expects: otherwise svelte-check fails here.
import type { AccountProps, OutboxProps } from '../../../resources/js/types/account';
import type { CourseProps } from '../../../resources/js/types/course';
import type { ExercisesProps } from '../../../resources/js/types/exercises';
import type {
    AccessProps,
    BenchProps,
    CaseloadProps,
    ClinicProps,
    MeasureProps,
    PatientNewProps,
    RoutineEditProps,
    ScreeningProps,
    SessionProps,
    VersionProps,
    VoiceProps,
} from '../../../resources/js/types/props';
import type { JoinProps, RecordProps } from '../../../resources/js/types/record';
import type { LettersProps } from '../../../resources/js/types/letters';
import type { SignalsProps } from '../../../resources/js/types/signals';
import type { WeekProps } from '../../../resources/js/types/week';
import type { StepShown } from '../../../resources/js/types/session';
import type { Bundle, DiaryData, NeededData, ProgressData, SheetData } from '../../../resources/js/patient/types';
import type * as Sent from './sent';

type Is<Given extends Expected, Expected> = Given;

export type Pages = [
    Is<Sent.SentAccess, AccessProps>,
    Is<Sent.SentAccount, AccountProps>,
    Is<Sent.SentBench, BenchProps>,
    Is<Sent.SentCaseload, CaseloadProps>,
    Is<Sent.SentClinic, ClinicProps>,
    Is<Sent.SentCourse, CourseProps>,
    Is<Sent.SentExercises, ExercisesProps>,
    Is<Sent.SentJoinRecords, JoinProps>,
    Is<Sent.SentLetters, LettersProps>,
    Is<Sent.SentMeasure, MeasureProps>,
    Is<Sent.SentOutbox, OutboxProps>,
    Is<Sent.SentPatientNew, PatientNewProps>,
    Is<Sent.SentRecord, RecordProps>,
    Is<Sent.SentRoutineEdit, RoutineEditProps>,
    Is<Sent.SentScreening, ScreeningProps>,
    Is<Sent.SentSession, Omit<SessionProps, 'shown'>>,
    Is<Sent.SentSignals, SignalsProps>,
    Is<Sent.SentVersion, VersionProps>,
    Is<Sent.SentVoice, VoiceProps>,
    Is<Sent.SentWeek, WeekProps>,
];

export type Steps = [
    Is<Sent.SentSessionShownBrief, StepShown['brief']>,
    Is<Sent.SentSessionShownCatchUp, StepShown['catch-up']>,
    Is<Sent.SentSessionShownMeasure, StepShown['measure']>,
    Is<Sent.SentSessionShownTeach, StepShown['teach']>,
    Is<Sent.SentSessionShownDecide, StepShown['decide']>,
    Is<Sent.SentSessionShownHandOver, StepShown['hand-over']>,
    Is<Sent.SentSessionShownNote, StepShown['note']>,
];

export type Devices = [
    Is<Sent.SentToToday, Bundle>,
    Is<Sent.SentToAsNeeded, NeededData>,
    Is<Sent.SentToDiary, DiaryData>,
    Is<Sent.SentToProgress, ProgressData>,
    Is<Sent.SentToSheet, { sheet: SheetData | null }>,
];
