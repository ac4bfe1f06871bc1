<?php

declare(strict_types=1);

namespace App\Pages\Session;

use App\Facts\AskedForms;
use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\PracticeOnFile;
use App\Facts\Safeguards;
use App\Facts\SelfAnswers;
use App\Models\AskedForm;
use App\Models\CareSession;
use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Models\SessionNote;
use App\Pages\Shared\PausesOf;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Health\RedFlag;
use IvoryPace\Session\Brief;
use IvoryPace\Session\BriefFacts;

/** The brief before a session, from rows. */
final class BriefOf
{
    public static function patient(Patient $patient, CareSession $session, CarbonImmutable $now): Brief
    {
        $last = self::before($patient, $session);
        $programme = $patient->activeProgramme;
        $evidence = EvidenceOf::on(OnFile::patient($patient, $now));
        $since = $last !== null ? $patient->dayOf($last->begun_at) : $programme?->history()->firstDay();
        $practices = collect($evidence !== null && $since !== null ? $evidence->practicesFrom($since) : []);
        $latest = $programme?->latestVersion();
        $from = $since === null ? null : $patient->clock()->startsAt($since);

        return Brief::of(new BriefFacts(
            daysSinceLast: $last === null ? null : (int) $last->begun_at->diffInDays($now),
            evidence: $evidence !== null && $since !== null ? $evidence->from($since) : null,
            ratedSymptom: $latest?->rated_symptom,
            stops: $practices->filter(fn (PracticeOnFile $practice) => $practice->isStoppedForSymptom())
                ->countBy(fn (PracticeOnFile $practice) => $practice->stopSymptom?->label() ?? 'a symptom')->sortDesc()->all(),
            longestGap: $evidence !== null && $since !== null ? $evidence->longestGapSince($since) : 0,
            remarks: array_values($practices->reverse()->map(fn (PracticeOnFile $practice) => $practice->remark())->filter()->all()),
            openRedFlags: array_map(fn (RedFlag $flag) => $flag->label(), Safeguards::openRedFlags($patient)),
            newFindings: array_values(
                $patient->newFindings()->limit(10)->get()->map(fn (NewFinding $finding) => "{$finding->title} ({$finding->exercise})")
                    ->all(),
            ),
            pausedExercises: $patient->pauses()->goingOn()->count(),
            questionnaires: self::questionnaires($patient, $last),
            screeningDays: $patient->latestScreening === null ? null : (int) $patient->latestScreening->completed_at->diffInDays($now),
            screeningWaits: $patient->askedForms()->where('form', AskedForm::SCREENING)->whereNotNull('completed_at')
                ->whereNull('settled_at')->exists(),
            reviewOverdue: $latest === null ? null : PatientDay::of($latest->review_on->format('Y-m-d'))->daysUntil($patient->dayOf($now)),
            slight: $practices->where('slight', true)->count(),
            selfChecks: $programme === null || $from === null ? [] : array_map(fn (SelfAnswers $of) => [
                'exercise' => $of->exercise, 'asked' => $of->check->label(), 'answers' => SelfAnswers::inWords($of->answers),
                'times' => count($of->answers),
            ], SelfAnswers::since($programme, $from, $now)),
            lifted: array_map(
                fn (array $each) => ['what' => rtrim($each['text'], '.'), 'found' => rtrim($each['found'], '.')],
                PausesOf::lifted($patient, $from === null ? null : CarbonImmutable::instance($from)),
            ),
            habits: $latest === null || $from === null ? [] : self::habits($patient, $latest, $from),
        ));
    }

    /** @return list<array{habit: string, ticks: int, agreed: int}> */
    private static function habits(Patient $patient, ProgrammeVersion $version, DateTimeImmutable $from): array
    {
        $habits = $version->items->filter(fn (ProgrammeItem $row) => $row->item()->isTicked());
        $ticks = $habits->isEmpty() ? collect() : $patient->ticks()->where('ticked_at', '>=', $from)
            ->whereIn('lineage', $habits->pluck('lineage'))->groupBy('lineage')->selectRaw('lineage, count(*) as times')
            ->pluck('times', 'lineage');

        return array_values($habits->map(fn (ProgrammeItem $row) => [
            'habit' => $row->item()->name(), 'ticks' => (int) ($ticks[$row->lineage] ?? 0),
            'agreed' => (int) $row->item()->asNeeded?->dailyMost,
        ])->all());
    }

    public static function before(Patient $patient, CareSession $session): ?CareSession
    {
        return $patient->careSessions()->where('number', '<', $session->number)->orderByDesc('number')->first();
    }

    /** What the last session's note said; null when there is none. */
    public static function lastNote(?CareSession $last): ?SessionNote
    {
        return $last?->note()->with('practitioner')->first();
    }

    /** @return list<array{name: string, score: string, band: string, change: string|null}> */
    private static function questionnaires(Patient $patient, ?CareSession $last): array
    {
        $new = [];
        foreach (AskedForms::questionnaires($patient) as $each) {
            $completed = $patient->askedForms()->where('form', $each['key'])->whereNotNull('completed_at')
                ->when($last !== null, fn ($query) => $query->where('completed_at', '>=', $last?->begun_at))->exists();
            // Of what has no points, it is read under Measure.
            if ($completed && ($each['last']['score'] !== null || $each['most'] === null)) {
                $new[] = [
                    'name' => $each['label'],
                    'score' => $each['last']['score'] === null ? 'answered' : (string) round($each['last']['score'], 1),
                    'band' => (string) $each['last']['band'], 'change' => $each['change'],
                ];
            }
        }

        return $new;
    }
}
