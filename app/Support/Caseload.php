<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\AccessLink;
use App\Models\AskedForm;
use App\Models\Clinic;
use App\Models\KeptAside;
use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\PutOffPractice;
use App\Models\ScreeningAnswer;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Rows;
use IvoryPace\Practice\AdherenceResult;
use IvoryPace\Practice\PatientDay;
use IvoryPace\Progress\CaseloadFacts;
use IvoryPace\Progress\CaseloadLine;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PauseRules;
use stdClass;

/** The clinic's patients by urgency, each with one sentence and its number. The number of queries does not grow. */
final class Caseload
{
    private const MOST_PATIENTS = 500;

    private const TALLY_DAYS = 14;

    /** Gaps are followed this far back. */
    private const LOOK_BACK_DAYS = 35;

    private const LATELY_DAYS = 7;

    /** @return list<array<string, mixed>> most urgent first */
    public static function of(Clinic $clinic, CarbonImmutable $now): array
    {
        $patients = Patient::query()->where('clinic_id', $clinic->id)->orderBy('name')->limit(self::MOST_PATIENTS)
            ->with(['latestScreening.answers', 'openRedFlags', 'newFindings', 'activeProgramme.versions.items'])->get();
        $ids = $patients->modelKeys();
        $practices = Practice::query()->whereIn('patient_id', $ids)->where('started_at', '>=', $now->subDays(self::LOOK_BACK_DAYS + 2))
            ->orderBy('started_at')->get()->groupBy('patient_id');
        $pauses = Pause::query()->whereIn('patient_id', $ids)
            ->where(fn ($pause) => $pause->whereNull('until_at')->orWhere('until_at', '>=', $now->subDays(self::LOOK_BACK_DAYS + 2)))
            ->with('practice')->get()->groupBy('patient_id');
        $putOffs = PutOffPractice::query()->whereIn('patient_id', $ids)->where('day', '>=', $now->subDays(self::LOOK_BACK_DAYS + 2)->format('Y-m-d'))->get()->groupBy('patient_id');
        $urgentAside = KeptAside::query()->whereIn('patient_id', $ids)->whereNull('settled_at')->selectRaw('patient_id, max(is_urgent) as urgent, count(*) as waiting')->groupBy('patient_id')->toBase()->get()->keyBy('patient_id');
        $access = self::access($patients);
        $waiting = AskedForm::query()->whereIn('patient_id', $ids)->where('form', AskedForm::SCREENING)->whereNotNull('completed_at')->whereNull('settled_at')
            ->pluck('completed_at', 'patient_id');

        $lines = $patients->map(fn (Patient $patient) => self::line(
            $patient, $practices->get($patient->id, new Collection), $pauses->get($patient->id, new Collection), $putOffs->get($patient->id, new Collection), $access[$patient->id] ?? [null, false],
            $waiting->get($patient->id), $urgentAside->get($patient->id), $now,
        ))->all();
        usort($lines, fn (array $a, array $b) => [$a['order'], $a['name']] <=> [$b['order'], $b['name']]);

        return $lines;
    }

    /**
     * @param  Rows<int, Practice>  $practices
     * @param  Rows<int, Pause>  $pauses
     * @param  Rows<int, PutOffPractice>  $putOffs
     * @param  array{CarbonImmutable|null, bool}  $access  when it was made ready, and whether it is used
     * @return array<string, mixed>
     */
    private static function line(Patient $patient, Rows $practices, Rows $pauses, Rows $putOffs, array $access, mixed $waitsSince, ?stdClass $aside, CarbonImmutable $now): array
    {
        $clock = $patient->clock();
        $today = $clock->dayOf($now);
        $programme = $patient->activeProgramme;
        $latest = $programme?->latestVersion();
        $adherence = $programme === null ? null : AdherenceOf::programme($programme, $patient, $practices, $pauses, $putOffs, $now);
        $tally = $adherence?->ofProgramme($today->plusDays(1 - self::TALLY_DAYS), $today);
        $back = $adherence?->ofProgramme($today->plusDays(-self::LOOK_BACK_DAYS), $today);
        $goingOn = $pauses->whereNull('until_at');
        $help = $goingOn->firstWhere('rule', PauseRules::GET_HELP);
        $paused = $goingOn->firstWhere('rule', PauseRules::TWICE_IN_THREE);
        $lookedAt = $pauses->where('rule', '!=', PauseRules::NEW_FINDING)->max('until_at');
        $stops = $practices->filter(fn (Practice $practice) => $practice->stop_class?->isSymptom() === true
            && $practice->started_at >= $now->subDays(self::LATELY_DAYS) && ($lookedAt === null || $practice->received_at > $lookedAt));
        $endsOn = $latest?->ends_on === null ? null : PatientDay::of($latest->ends_on->format('Y-m-d'));

        $line = CaseloadLine::for(new CaseloadFacts(
            screened: $patient->latestScreening !== null,
            openRedFlags: Safeguards::openRedFlags($patient),
            daysSinceAdded: (int) $patient->created_at->diffInDays($now),
            hasProgramme: $programme !== null,
            getHelp: $help?->practice?->stop_symptom,
            pausedExercise: $paused === null ? null : $latest?->items->firstWhere('lineage', $paused->lineage)?->item()->name(),
            stopsLately: $stops->count(),
            lastStop: $stops->last()->stop_symptom ?? $paused?->practice?->stop_symptom,
            presentGap: $back->presentGap ?? 0,
            adherence: $tally?->share(),
            dueLately: $tally->due ?? 0,
            creditLately: $tally->credit ?? 0.0,
            daysSinceAccess: $access[0] === null ? null : (int) $access[0]->diffInDays($now),
            accessUsed: $access[1],
            reviewOverdue: $latest === null ? null : PatientDay::of($latest->review_on->format('Y-m-d'))->daysUntil($today),
            newFinding: self::gravest($patient->newFindings),
            screeningWaits: $waitsSince instanceof CarbonImmutable ? (int) $waitsSince->diffInDays($now) : null,
            keptAside: (int) ($aside->waiting ?? 0),
            urgentAside: (bool) ($aside->urgent ?? false),
            redFlagFromHome: $patient->openRedFlags->first()?->source === 'home',
            hasEnded: $endsOn !== null && $today->isAfter($endsOn),
        ));

        return [
            'id' => $patient->id,
            'name' => $patient->name,
            'responsible' => $patient->practitioner_id,
            'flags' => self::flags($patient, $today),
            'prescribed' => $latest?->items->map(fn ($item) => $item->item()->summary())->implode('; '),
            'reason' => $line->reason->value,
            'heading' => $line->reason->heading(),
            'order' => $line->reason->order(),
            'number' => $line->number,
            'sentence' => $line->sentence,
            'tally' => self::tally($tally),
            'review_on' => $latest?->review_on->format('j M'),
        ];
    }

    /** @return list<string> labels of the flags in force */
    private static function flags(Patient $patient, PatientDay $today): array
    {
        $flags = array_filter(array_map(fn (ScreeningAnswer $answer) => $answer->flagInForce($today), $patient->latestScreening?->answers->all() ?? []));

        return array_values(array_map(fn (Flag $flag) => $flag->label(), $flags));
    }

    /**
     * @param  Rows<int, NewFinding>  $findings
     * @return array{title: string, exercise: string, paused: bool}|null
     */
    private static function gravest(Rows $findings): ?array
    {
        $first = $findings->sortByDesc(fn (NewFinding $finding) => $finding->level->rank())->first();

        return $first === null ? null : ['title' => $first->title, 'exercise' => $first->exercise, 'paused' => $first->level === Level::NeedsReason];
    }

    /** @return list<list<string>> strokes by day */
    private static function tally(?AdherenceResult $result): array
    {
        return array_map(
            fn ($day) => array_map(fn ($stroke) => $stroke->value, $day->strokes), $result->days ?? [],
        );
    }

    /**
     * @param  Collection<int, Patient>  $patients
     * @return array<string, array{CarbonImmutable|null, bool}>
     */
    private static function access(Collection $patients): array
    {
        $links = AccessLink::query()->whereIn('patient_id', $patients->modelKeys())
            ->selectRaw('patient_id, max(created_at) as made, max(used_at is not null) as used')->groupBy('patient_id')->toBase()->get();

        return $links->mapWithKeys(fn ($link) => [
            (string) $link->patient_id => [CarbonImmutable::parse($link->made, 'UTC'), (bool) $link->used],
        ])->all();
    }
}
