<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\HomeCheck;
use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use IvoryPace\Practice\Adherence;
use IvoryPace\Practice\AdherenceResult;
use IvoryPace\Practice\PatientDay;
use IvoryPace\Safety\PauseRules;

/** A patient's Course: what was prescribed above what happened, on one axis of days. */
final class CourseOf
{
    /** The axis shows this many days at the most. */
    private const DAYS = 42;

    private const LATEST_PRACTICES = 30;

    /** @return array<string, mixed> */
    public static function patient(Patient $patient, CarbonImmutable $now): array
    {
        $patient->load('latestScreening.answers', 'openRedFlags', 'activeProgramme.versions.items', 'activeProgramme.versions.practitioner');
        $programme = $patient->activeProgramme;

        return [
            'patient' => PatientHead::of($patient, $now),
            'added_on' => $patient->created_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'pauses' => self::pauses($patient),
            'new_findings' => $patient->newFindings()->limit(20)->get()->map(fn (NewFinding $finding) => [
                'exercise' => $finding->exercise, 'title' => $finding->title, 'message' => $finding->message, 'rule' => $finding->rule, 'found' => self::time($finding->found_at, $patient),
            ]),
            ...($programme === null ? ['programme' => null, 'stops' => [], 'practices' => [], 'put_offs' => [], 'home_checks' => [], 'trends' => []] : self::course($patient, $programme, $now)),
        ];
    }

    /** @return array<string, mixed> */
    private static function course(Patient $patient, Programme $programme, CarbonImmutable $now): array
    {
        $clock = $patient->clock();
        $today = $clock->dayOf($now);
        $first = $programme->history()->firstDay();
        $from = $today->plusDays(1 - self::DAYS);
        $from = $from->isBefore($first) ? $first : $from;
        $to = $from->plusDays(min(self::DAYS, max(14, $from->daysUntil($today) + 1)) - 1);
        // Version by version adherence looks further back than the axis.
        $practices = $patient->practices()->where('started_at', '>=', $clock->startsAt($first))->orderBy('started_at')->limit(5000)->get();
        $pauses = $patient->pauses()->orderBy('from_at')->limit(500)->get();
        $putOffs = $patient->putOffs()->where('day', '>=', $from->date)->orderByDesc('day')->limit(200)->get();
        $adherence = AdherenceOf::programme($programme, $patient, $practices, $pauses, $putOffs, $now);
        $axis = $practices->filter(fn (Practice $practice) => ! $clock->dayOf($practice->started_at)->isBefore($from));

        return [
            'programme' => [
                'from' => $from->date,
                'to' => $to->date,
                'today' => $today->date,
                'versions' => $programme->versions->map(fn (ProgrammeVersion $version) => self::version($version, $programme, $adherence, $today)),
                'exercises' => array_map(
                    fn (string $lineage) => self::exercise($lineage, $programme, $adherence->ofItem($lineage, $from, $today)),
                    $programme->history()->lineages(),
                ),
                'symptom' => $programme->latestVersion()?->rated_symptom,
                'ratings' => $axis->filter(fn (Practice $practice) => $practice->before !== null || $practice->after !== null)
                    ->map(fn (Practice $practice) => ['day' => $clock->dayOf($practice->started_at)->date, 'before' => $practice->before, 'after' => $practice->after])->values(),
            ],
            'stops' => $practices->filter(fn (Practice $practice) => $practice->stop_class !== null)->reverse()->take(10)
                ->map(fn (Practice $practice) => self::stop($practice, $programme, $patient))->values(),
            'trends' => TrendsOf::patient($patient, $first, $practices),
            'put_offs' => $putOffs->take(10)->map(fn (PutOffPractice $said) => [
                'on' => $said->day->format('D j M'), 'exercise' => self::nameOf($said->lineage, $programme), 'anchor' => $said->anchor->label(), 'reason' => $said->reason->label(),
            ])->values(),
            'home_checks' => $patient->homeChecks()->orderByDesc('taken_at')->limit(10)->get()->map(fn (HomeCheck $check) => [
                'on' => self::time($check->taken_at, $patient), 'rate' => round($check->rate, 1), 'doubtful' => $check->doubtful,
            ]),
            'practices' => $practices->reverse()->take(self::LATEST_PRACTICES)
                ->map(fn (Practice $practice) => self::practice($practice, $programme, $patient))->values(),
        ];
    }

    /** @return array<string, mixed> */
    private static function version(ProgrammeVersion $version, Programme $programme, Adherence $adherence, PatientDay $today): array
    {
        $from = PatientDay::of($version->in_force_from->format('Y-m-d'));
        $next = $programme->versions->first(fn (ProgrammeVersion $other) => $other->number === $version->number + 1);
        $last = $next !== null ? PatientDay::of($next->in_force_from->format('Y-m-d'))->previous()
            : ($version->ends_on !== null ? PatientDay::of($version->ends_on->format('Y-m-d')) : null);
        $result = $adherence->ofProgramme($from, $last ?? $today);

        return [
            'number' => $version->number,
            'from' => $from->date,
            'to' => $last?->date,
            'summary' => $version->items->map(fn ($item) => $item->item()->summary())->implode('; '),
            'by' => $version->practitioner->name,
            'reason' => $version->reason,
            'review_on' => $version->review_on->format('j M Y'),
            'state' => match (true) {
                $last !== null && $last->isBefore($from) => 'replaced',
                $from->isAfter($today) => 'ahead',
                default => 'begun',
            },
            'adherence' => self::figures($result),
        ];
    }

    /** @return array<string, mixed> */
    private static function exercise(string $lineage, Programme $programme, AdherenceResult $result): array
    {
        $days = [];
        foreach ($result->days as $day) {
            $days[] = ['date' => $day->day->date, 'paused' => $day->paused, 'strokes' => array_map(fn ($stroke) => $stroke->value, $day->strokes)];
        }

        return ['name' => self::nameOf($lineage, $programme), 'days' => $days, 'adherence' => self::figures($result)];
    }

    /** @return array<string, mixed> */
    private static function figures(AdherenceResult $result): array
    {
        return [
            'share' => $result->share(), 'credit' => $result->credit, 'due' => $result->due,
            'days_practised' => $result->daysPractised, 'days_due' => $result->daysDue,
            'longest_gap' => $result->longestGap, 'extras' => $result->extras,
        ];
    }

    /** @return array<string, mixed> */
    private static function stop(Practice $practice, Programme $programme, Patient $patient): array
    {
        return [
            'on' => self::time($practice->started_at, $patient),
            'exercise' => self::nameOf($practice->lineage, $programme),
            'class' => $practice->stop_class?->value,
            'symptom' => $practice->stop_symptom?->label() ?? 'no symptom',
            'got' => self::got($practice),
            'remark' => $practice->remark,
        ];
    }

    /** @return array<string, mixed> */
    private static function practice(Practice $practice, Programme $programme, Patient $patient): array
    {
        return [
            'uuid' => $practice->uuid,
            'on' => self::time($practice->started_at, $patient),
            'exercise' => self::nameOf($practice->lineage, $programme),
            'version' => $programme->versions->firstWhere('id', $practice->programme_version_id)?->number,
            'anchor' => $practice->anchor?->label(),
            'got' => self::got($practice).self::enough($practice, $programme).self::hums($practice).self::pace($practice).self::circumstances($practice),
            'before' => $practice->before,
            'after' => $practice->after,
            'effort' => $practice->effort,
            'smooth' => $practice->smooth,
            'slight_symptom' => $practice->slight_symptom,
            'symptom' => $practice->stop_symptom?->label(),
            'remark' => $practice->remark,
        ];
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

    private static function nameOf(string $lineage, Programme $programme): string
    {
        foreach ($programme->versions->reverse() as $version) {
            $item = $version->items->firstWhere('lineage', $lineage);
            if ($item !== null) {
                return $item->item()->name();
            }
        }

        return 'Exercise';
    }

    /** The pace that the patient chose, when it was another than prescribed. */
    private static function pace(Practice $practice): string
    {
        return $practice->tempo === null ? '' : sprintf(', breaths %d %% as long', round($practice->tempo * 100));
    }

    /** What else was different about it. */
    private static function circumstances(Practice $practice): string
    {
        return ($practice->is_short ? ', short version' : '')
            .($practice->joined_ms === null ? '' : sprintf(', from %.1f s a breath', $practice->joined_ms / 1000))
            .($practice->recovered_after_s === null ? '' : sprintf(', breath back after %d:%02d min', intdiv($practice->recovered_after_s, 60), $practice->recovered_after_s % 60))
            .($practice->interruptions === 0 ? '' : ($practice->interruptions === 1 ? ', interrupted once' : ", interrupted {$practice->interruptions} times"));
    }

    /** The longest open exhale, when there were any. */
    private static function hums(Practice $practice): string
    {
        return $practice->open_ms === null || $practice->open_ms === [] ? '' : sprintf(', longest %.1f s', max($practice->open_ms) / 1000);
    }

    /** The length that the patient said is enough, where breaths grow step by step. */
    private static function enough(Practice $practice, Programme $programme): string
    {
        $cycle = $practice->enough_step === null ? null
            : ($programme->versions->firstWhere('id', $practice->programme_version_id)?->items->firstWhere('lineage', $practice->lineage)?->item()->prescription->cycles()[$practice->enough_step - 1] ?? null);

        return $cycle === null ? '' : ", enough at {$cycle->pattern->toDisplayString()}";
    }

    private static function got(Practice $practice): string
    {
        if ($practice->breaths_prescribed > 0) {
            return "{$practice->breaths_done} of {$practice->breaths_prescribed} breaths";
        }

        return sprintf('%d:%02d of %d:%02d min', intdiv($practice->seconds_done, 60), $practice->seconds_done % 60,
            intdiv($practice->seconds_prescribed, 60), $practice->seconds_prescribed % 60);
    }

    private static function time(CarbonImmutable $instant, Patient $patient): string
    {
        return $instant->setTimezone($patient->time_zone)->format('D j M H:i');
    }
}
