<?php

declare(strict_types=1);

namespace App\Pages\Session;

use App\Facts\AskedForms;
use App\Facts\Calendar\AppointmentsOf;
use App\Facts\EvidenceOf;
use App\Facts\MeasureSheet;
use App\Facts\OnFile;
use App\Facts\PracticeOnFile;
use App\Models\CareSession;
use App\Models\Measurement;
use App\Models\NoteAmendment;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Models\RedFlagAction;
use App\Models\ScreeningAnswer;
use App\Pages\Shared\PatientHead;
use App\Pages\Shared\PausesOf;
use Carbon\CarbonImmutable;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Session\NoteDraft;

/** A session's note: signed, or as the steps before it fill it. */
final class SessionNoteOf
{
    /** @return array<string, mixed> */
    public static function session(Patient $patient, CareSession $session): array
    {
        $time = fn (CarbonImmutable $at) => $at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i');
        $note = $session->note;

        return [
            'since' => $note !== null ? [] : array_map(
                fn (array $line) => ['number' => $line['number'], 'text' => $line['text']],
                BriefOf::patient($patient, $session, CarbonImmutable::now())->lines,
            ),
            'draft' => $note === null ? self::draft($patient, $session) : '',
            'signed' => $note === null ? null : [
                'text' => $note->text, 'by' => $note->practitioner->name, 'on' => $time($note->signed_at),
                'amendments' => $note->amendments->map(fn (NoteAmendment $amendment) => [
                    'text' => $amendment->text, 'reason' => $amendment->reason, 'by' => $amendment->practitioner->name,
                    'on' => $time($amendment->signed_at),
                ]),
            ],
        ];
    }

    private static function draft(Patient $patient, CareSession $session): string
    {
        return NoteDraft::text([
            'Session '.$session->number => [
                "{$session->begun_at->setTimezone($patient->clinic->time_zone)->format('j F Y')}, with {$session->practitioner->name}",
            ],
            'Screening' => self::screening($patient, $session),
            'Practised since the last session' => self::practised($patient, $session),
            'Looked at' => self::lookedAt($patient, $session),
            'Catch up' => [self::text($session->kept('catch-up')['remarks'] ?? '')],
            'Measured' => [...self::measured($patient, $session), self::text($session->kept('measure')['remarks'] ?? '')],
            'Taught and tried' => [...self::tried($session), self::text($session->kept('teach')['remarks'] ?? '')],
            'Decided' => [...self::decided($patient, $session), self::text($session->kept('decide')['remarks'] ?? '')],
            'Prescribed' => self::prescribed($patient, $session),
            'Handed over' => self::handedOver($patient, $session),
        ]);
    }

    /**
     * From the moment at which the last session began up to that of this one: what was practised on the day of a session is in
     * one of them, and in one only.
     *
     * @return list<string>
     */
    private static function practised(Patient $patient, CareSession $session): array
    {
        $evidence = EvidenceOf::on(OnFile::patient($patient, now()->toImmutable()));
        $since = BriefOf::before($patient, $session)?->begun_at;
        if ($evidence === null) {
            return [];
        }
        $lines = [];
        foreach ($patient->activeProgramme?->latestVersion()->items ?? [] as $row) {
            $done = array_filter($evidence->practices, fn (PracticeOnFile $practice) => $practice->record->lineage === $row->lineage
                && ($since === null || $practice->record->startedAt >= $since) && $practice->record->startedAt < $session->begun_at);
            $stops = array_count_values(array_map(
                fn (PracticeOnFile $practice) => $practice->stopSymptom?->label() ?? 'a symptom',
                array_filter($done, fn (PracticeOnFile $practice) => $practice->isStoppedForSymptom()),
            ));
            $times = count(array_filter($done, fn (PracticeOnFile $practice) => $practice->record->isCredited()));
            $share = $since === null ? null : $evidence->ofDays($row, $patient->dayOf($since), $patient->dayOf($session->begun_at));
            if ($times > 0 || $share !== null) {
                $lines[] = NoteDraft::practised($row->item()->name(), $times, $share, $stops);
            }
        }

        return $lines;
    }

    /** @return list<string> what was paused and what was found, red flags and what was done about them, since the session began */
    private static function lookedAt(Patient $patient, CareSession $session): array
    {
        $day = $session->begun_at->setTimezone($patient->clinic->time_zone)->startOfDay();
        $actions = RedFlagAction::query()->whereIn('raised_red_flag_id', $patient->redFlags()->select('id'))
            ->where('recorded_at', '>=', $day)->with('raised')->orderBy('id')->limit(20)->get();

        return [
            ...array_map(
                fn (RedFlagAction $action) => "Red flag, {$action->raised->flag->label()}: {$action->action}",
                array_values($actions->all()),
            ),
            ...array_map(
                fn (array $each) => rtrim($each['text'], '.').". Lifted: {$each['found']}", PausesOf::lifted($patient, $day->utc()),
            ),
        ];
    }

    /** @return list<string> */
    private static function screening(Patient $patient, CareSession $session): array
    {
        $screening = $patient->latestScreening;
        // A first assessment begins with the screening, often before the session is opened.
        $day = $session->begun_at->setTimezone($patient->clinic->time_zone)->startOfDay();
        if ($screening !== null && $screening->completed_at >= $day) {
            $yes = $screening->answers->filter(fn (ScreeningAnswer $answer) => $answer->answer)->count();

            return [$yes === 0 ? 'Screened today; every answer was no' : "Screened today; $yes answered yes", ...array_map(
                fn (string $label) => ucfirst($label), PatientHead::flags($patient),
            )];
        }

        return match ($session->kept('catch-up')['anything_new'] ?? null) {
            'no' => ['Asked whether anything is new: nothing'],
            'yes' => ['Asked whether anything is new: yes'],
            default => [],
        };
    }

    /** @return list<string> */
    private static function measured(Patient $patient, CareSession $session): array
    {
        $today = Measurement::query()->where('patient_id', $patient->id)->where('measured_at', '>=', $session->begun_at)->exists();
        $lines = [];
        foreach ($today ? MeasureSheet::of($patient) : [] as $row) {
            if ($row['last'] === null || $row['last']['at'] < $session->begun_at->toIso8601ZuluString()) {
                continue;
            }
            $show = fn (?array $value) => $value === null
                ? null
                : ($row['how'] === 'hands' || $row['how'] === 'rhythm' ? $value['words'] : round($value['value'], 1)." {$row['unit']}");
            $lines[] = NoteDraft::measured($row['label'], (string) $show($row['last']), $show($row['before']), $show($row['first']));
        }
        foreach (AskedForms::questionnaires($patient) as $each) {
            if (
                $each['last'] !== null
                    && $patient->askedForms()->where('form', $each['key'])->where('completed_at', '>=', $session->begun_at)->exists()
            ) {
                $lines[] = "{$each['label']} "
                    .(
                        match (true) {
                            $each['most'] === null => 'answered',
                            $each['last']['score'] === null => 'not scored, answers are missing',
                            default => round($each['last']['score'], 1)
                                .((string) $each['last']['band'] === '' ? '' : " ({$each['last']['band']})"),
                        }
                    )
                    .($each['change'] === null ? '' : "; {$each['change']}");
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private static function tried(CareSession $session): array
    {
        $lines = [];
        foreach ($session->kept('teach')['tried'] ?? [] as $tried) {
            $line = NoteDraft::tried(
                (string) $tried['name'], $tried['pattern'] ?? null, isset($tried['effort']) ? (int) $tried['effort'] : null,
                $tried['smooth'] ?? null, ...array_values($tried['seen'] ?? []),
            );
            $lines[] = trim($line.(self::text($tried['remark'] ?? '') === '' ? '' : '. '.self::text($tried['remark'])));
        }

        return $lines;
    }

    /** @return list<string> */
    private static function decided(Patient $patient, CareSession $session): array
    {
        $names = [];
        foreach ($patient->activeProgramme->versions ?? [] as $version) {
            foreach ($version->items as $row) {
                $names[$row->lineage] = $row->item()->name();
            }
        }
        $lines = [];
        foreach ($session->kept('decide')['decisions'] ?? [] as $lineage => $each) {
            $decision = Decision::tryFrom((string) ($each['decision'] ?? ''));
            if ($decision !== null) {
                $lines[] = ($names[$lineage] ?? 'An exercise').": {$decision->label()}"
                    .(self::text($each['reason'] ?? '') === '' ? '' : '. '.self::text($each['reason']));
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private static function prescribed(Patient $patient, CareSession $session): array
    {
        $lines = [];
        foreach (
            $patient->activeProgramme?->versions->filter(
                fn (ProgrammeVersion $version) => $version->issued_at >= $session->begun_at,
            ) ?? [] as $version
        ) {
            $lines[] = "Version {$version->number}, in force from {$version->in_force_from->format('j M Y')}, "
                ."review {$version->review_on->format('j M Y')}";
            array_push(
                $lines, ...$version->items->map(fn (ProgrammeItem $row) => "{$row->item()->name()}: {$row->item()->summary()}")->all(),
            );
        }

        return $lines;
    }

    /** @return list<string> */
    private static function handedOver(Patient $patient, CareSession $session): array
    {
        $kept = $session->kept('hand-over');
        $next = AppointmentsOf::next($patient, now()->toImmutable());

        return [
            ($kept['practised'] ?? false) ? 'The patient has practised it once here' : '',
            $next === null ? '' : "Next appointment {$next['words']}", self::text($kept['remarks'] ?? ''),
        ];
    }

    private static function text(mixed $typed): string
    {
        return is_string($typed) ? trim($typed) : '';
    }
}
