<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Appointment;
use App\Models\HomeCheck;
use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\PutOffPractice;
use App\Support\Course\AxisOf;
use App\Support\Course\PeriodsOf;
use App\Support\Course\PracticeLines;
use App\Support\Course\ProposalsOf;
use App\Support\Course\Span;
use Carbon\CarbonImmutable;
use IvoryPace\Practice\Share;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\Outcome;
use IvoryPace\Safety\PauseRules;

/** A patient's Course: what was prescribed above what happened, on one axis of days. */
final class CourseOf
{
    private const LATEST_PRACTICES = 30;

    private const LATEST_STOPS = 10;

    private const EMPTY = ['programme' => null, 'proposals' => [], 'stops' => [], 'practices' => [], 'put_offs' => [], 'home_checks' => [], 'trends' => [], 'anchors' => [], 'periods' => null, 'paper' => null, 'note' => null];

    /**
     * @param  array<string, mixed>  $compare  the two stretches that are compared
     * @return array<string, mixed>
     */
    public static function patient(Patient $patient, CarbonImmutable $now, Span $span = Span::ThreeMonths, array $compare = []): array
    {
        $patient->load('clinic', 'openRedFlags', 'activeProgramme.versions.items', 'activeProgramme.versions.practitioner');
        // Only what was answered with yes makes a flag.
        $patient->load(['latestScreening.answers' => fn ($answers) => $answers->where('answer', true)]);
        $programme = $patient->activeProgramme;

        return [
            'patient' => PatientHead::of($patient, $now),
            'added_on' => $patient->created_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'pauses' => self::pauses($patient),
            'new_findings' => $patient->newFindings()->limit(20)->get()->map(fn (NewFinding $finding) => [
                'exercise' => $finding->exercise, 'title' => $finding->title, 'message' => $finding->message, 'rule' => $finding->rule, 'found' => self::time($finding->found_at, $patient),
            ]),
            'appointment' => self::appointment($patient, $now),
            'outcomes' => array_map(fn (Outcome $outcome) => ['value' => $outcome->value, 'label' => $outcome->label()], Outcome::cases()),
            'ended' => $programme !== null ? null : self::ended($patient),
            'span' => $span->value,
            'spans' => array_map(fn (Span $each) => ['value' => $each->value, 'label' => $each->label()], Span::cases()),
            ...($programme === null ? self::EMPTY : self::course($patient, $programme, $now, $span, $compare)),
        ];
    }

    /**
     * @param  array<string, mixed>  $compare
     * @return array<string, mixed>
     */
    private static function course(Patient $patient, Programme $programme, CarbonImmutable $now, Span $span, array $compare): array
    {
        $first = $programme->history()->firstDay();
        $from = $span->firstDay($first, $patient->dayOf($now));
        $file = OnFile::patient($patient, $now, $compare === [] ? $from : $first);
        $evidence = EvidenceOf::on($file);
        if ($evidence === null) {
            return self::EMPTY;
        }
        $lines = new PracticeLines($programme, $patient);
        $practices = array_reverse($evidence->practicesFrom($from));
        $latest = array_slice($practices, 0, self::LATEST_PRACTICES);
        $stopped = array_slice(array_filter($practices, fn (PracticeOnFile $practice) => $practice->stopClass !== null), 0, self::LATEST_STOPS);
        $told = self::told([...$latest, ...$stopped]);

        return [
            'programme' => (new AxisOf($file, $programme, $evidence, $lines, $from))->toArray(),
            'proposals' => ProposalsOf::on($file, $evidence),
            'stops' => array_map(fn (PracticeOnFile $practice) => $lines->stop($told[$practice->id]), $stopped),
            'trends' => TrendsOf::on($file, $from),
            'anchors' => array_map(
                fn (string $anchor, Share $share) => ['name' => Anchor::from($anchor)->label(), 'share' => $share->share(), 'credit' => $share->credit, 'due' => $share->due],
                array_keys($shares = $evidence->adherence->byAnchor($from, $file->today)), $shares,
            ),
            'put_offs' => $file->putOffs->filter(fn (PutOffPractice $said) => $said->day->format('Y-m-d') >= $from->date)->reverse()->take(10)->map(fn (PutOffPractice $said) => [
                'on' => $said->day->format('D j M'), 'exercise' => $lines->nameOf($said->lineage), 'anchor' => $said->anchor->label(), 'reason' => $said->reason->label(),
            ])->values(),
            'home_checks' => $patient->homeChecks()->orderByDesc('taken_at')->limit(10)->get()->map(fn (HomeCheck $check) => [
                'on' => self::time($check->taken_at, $patient), 'rate' => round($check->rate, 1), 'doubtful' => $check->doubtful,
            ]),
            'practices' => array_map(fn (PracticeOnFile $practice) => $lines->practice($told[$practice->id]), $latest),
            'periods' => PeriodsOf::on($file, $evidence, $from, $compare),
            'paper' => PaperGrid::of($patient, $programme, $evidence, $now),
            'note' => self::note($patient),
        ];
    }

    /**
     * Whole, for those that are told one by one.
     *
     * @param  list<PracticeOnFile>  $practices
     * @return array<int, Practice> by id
     */
    private static function told(array $practices): array
    {
        return Practice::query()->whereKey(array_map(fn (PracticeOnFile $practice) => $practice->id, $practices))->limit(self::LATEST_PRACTICES + self::LATEST_STOPS)->get()->keyBy('id')->all();
    }

    /** @return array{text: string, on: string, session: string}|null the last signed one */
    private static function note(Patient $patient): ?array
    {
        $session = $patient->careSessions()->whereNotNull('closed_at')->orderByDesc('number')->with('note')->first();

        return $session?->note === null ? null
            : ['text' => $session->note->text, 'on' => $session->note->signed_at->setTimezone($patient->clinic->time_zone)->format('j M'), 'session' => $session->id];
    }

    /** @return array{id: int, day: string, time: string, words: string}|null the next one */
    private static function appointment(Patient $patient, CarbonImmutable $now): ?array
    {
        $next = Appointment::query()->where('patient_id', $patient->id)->whereNull('cancelled_at')->where('starts_at', '>', $now)->orderBy('starts_at')->with('practitioner')->first();
        $at = $next?->starts_at->setTimezone($patient->clinic->time_zone);

        return $next === null || $at === null ? null : ['id' => $next->id, 'day' => $at->format('Y-m-d'), 'time' => $at->format('H:i'), 'words' => $at->format('D j M, H:i')." with {$next->practitioner->name}"];
    }

    /** @return array{on: string, outcome: string, note: string|null}|null how the last programme ended */
    private static function ended(Patient $patient): ?array
    {
        $last = Programme::query()->where('patient_id', $patient->id)->whereNotNull('closed_on')->orderByDesc('closed_on')->orderByDesc('id')->first();

        return $last === null ? null : ['on' => (string) $last->closed_on?->format('j M Y'), 'outcome' => $last->outcome?->label() ?? 'closed', 'note' => $last->outcome_note];
    }

    /** @return array<int, array<string, mixed>> pauses that go on */
    private static function pauses(Patient $patient): array
    {
        return $patient->pauses()->goingOn()->with('practice')->limit(20)->get()->map(fn (Pause $pause) => [
            'id' => $pause->id,
            'since' => self::time($pause->from_at, $patient),
            'text' => match ($pause->rule) {
                PauseRules::GET_HELP => 'Every exercise is paused: '.($pause->practice?->stop_symptom?->label() ?? 'a symptom').', for which help is needed at once.',
                PauseRules::NEW_FINDING => "Paused after a new answer. {$pause->cause}.",
                default => 'Paused: stopped for a symptom in two of the last three practices, last for '.($pause->practice?->stop_symptom?->label() ?? 'a symptom').'.',
            },
            'rule' => $pause->rule,
        ])->all();
    }

    private static function time(CarbonImmutable $instant, Patient $patient): string
    {
        return $instant->setTimezone($patient->time_zone)->format('D j M H:i');
    }
}
