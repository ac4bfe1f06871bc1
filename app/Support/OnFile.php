<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\AccessLink;
use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\KeptAside;
use App\Models\MadeDecision;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use IvoryPace\Practice\PatientDay;
use IvoryPace\Progress\Proposal\Proposal;
use stdClass;

/**
 * What is on file about a patient's programme and home practice, for one patient or for many at once: the number of
 * queries is the same.
 */
final readonly class OnFile
{
    /** Of one patient at the most. */
    private const MOST_PRACTICES = 5000;

    private const MOST_DIARY_DAYS = 400;

    private const MOST_FORMS = 200;

    /**
     * @param  Collection<int, Practice>  $practices  in order
     * @param  Collection<int, Pause>  $pauses  in order
     * @param  Collection<int, PutOffPractice>  $putOffs
     * @param  Collection<int, DiaryEntry>  $diary  in order, since the programme began
     * @param  Collection<int, ChosenSymptom>  $symptoms
     * @param  Collection<int, AskedForm>  $scored  questionnaires with a score, in order
     * @param  Collection<int, MadeDecision>  $decisions  that still hold
     */
    private function __construct(
        public Patient $patient,
        public CarbonImmutable $now,
        public PatientDay $today,
        public Collection $practices,
        public Collection $pauses,
        public Collection $putOffs,
        public Collection $diary,
        public Collection $symptoms,
        public Collection $scored,
        public Collection $decisions,
        public ?stdClass $access,
        public ?stdClass $aside,
        public ?CarbonImmutable $screeningSentAt,
        public ?Programme $lastClosed,
    ) {
    }

    /** With every practice of the programme, or from a day on; at least with those that a proposal looks at. */
    public static function patient(Patient $patient, CarbonImmutable $now, ?PatientDay $from = null): self
    {
        $patient->loadMissing('activeProgramme.versions.items');
        $from ??= $patient->activeProgramme?->history()->firstDay() ?? $patient->dayOf($now);
        $since = CarbonImmutable::instance($patient->clock()->startsAt($from))->min($now->subDays(Proposal::MOST_DAYS + 2));

        return self::load(new Collection([$patient]), $now, $since)[$patient->id];
    }

    /**
     * With the practices that a proposal or the caseload may look at.
     *
     * @param  Collection<int, Patient>  $patients
     * @return array<string, self> by id of the patient
     */
    public static function many(Collection $patients, CarbonImmutable $now): array
    {
        return self::load($patients, $now, $now->subDays(Proposal::MOST_DAYS + 2));
    }

    /**
     * @param  Collection<int, Patient>  $patients
     * @return array<string, self>
     */
    private static function load(Collection $patients, CarbonImmutable $now, CarbonImmutable $since): array
    {
        $patients->loadMissing(['clinic', 'latestScreening.answers', 'openRedFlags', 'newFindings', 'activeProgramme.versions.items']);
        $ids = $patients->modelKeys();
        $many = count($ids);
        $practices = self::byPatient(Practice::query()->whereIn('patient_id', $ids)->where('started_at', '>=', $since)->orderBy('started_at')->orderBy('id')->limit($many * self::MOST_PRACTICES)->get());
        $pauses = self::byPatient(Pause::query()->whereIn('patient_id', $ids)->where(fn ($pause) => $pause->whereNull('until_at')->orWhere('until_at', '>=', $since))
            ->orderBy('from_at')->orderBy('id')->with('practice')->limit($many * 500)->get());
        $putOffs = self::byPatient(PutOffPractice::query()->whereIn('patient_id', $ids)->where('day', '>=', $since->subDay()->format('Y-m-d'))->orderBy('day')->orderBy('id')->limit($many * 1000)->get());
        $programmes = $patients->map(fn (Patient $patient) => $patient->activeProgramme?->history()->firstDay()->date)->filter();
        $diary = self::byPatient(DiaryEntry::query()->whereIn('patient_id', $ids)->where('day', '>=', $programmes->min() ?? $now->format('Y-m-d'))->orderBy('day')->limit($many * self::MOST_DIARY_DAYS)->get());
        $symptoms = self::byPatient(ChosenSymptom::query()->whereIn('patient_id', $ids)->whereNull('dropped_at')->orderBy('id')->limit($many * ChosenSymptom::MOST)->get());
        $scored = self::byPatient(AskedForm::query()->whereIn('patient_id', $ids)->where('form', '!=', AskedForm::SCREENING)->whereNotNull('completed_at')->whereNotNull('score')
            ->orderBy('completed_at')->orderBy('id')->limit($many * self::MOST_FORMS)->get(['id', 'patient_id', 'form', 'score', 'completed_at']));
        $decisions = self::byPatient(MadeDecision::query()->whereIn('patient_id', $ids)->where('decided_at', '>=', $now->subDays(Proposal::HOLDS_DAYS + 1))->orderBy('id')->limit($many * 100)->get());
        $access = AccessLink::query()->whereIn('patient_id', $ids)->selectRaw('patient_id, max(created_at) as made, max(used_at is not null) as used')->groupBy('patient_id')->toBase()->get()->keyBy('patient_id');
        $aside = KeptAside::query()->whereIn('patient_id', $ids)->whereNull('settled_at')->selectRaw('patient_id, max(is_urgent) as urgent, count(*) as waiting')->groupBy('patient_id')->toBase()->get()->keyBy('patient_id');
        $sent = AskedForm::query()->whereIn('patient_id', $ids)->where('form', AskedForm::SCREENING)->whereNotNull('completed_at')->whereNull('settled_at')->orderBy('completed_at')->get(['id', 'patient_id', 'completed_at'])->keyBy('patient_id');
        $closed = Programme::query()->whereIn('patient_id', $ids)->whereNotNull('closed_on')->orderBy('closed_on')->orderBy('id')->get()->keyBy('patient_id');

        $files = [];
        foreach ($patients as $patient) {
            $id = $patient->id;
            $first = $patient->activeProgramme?->history()->firstDay()->date;
            $files[$id] = new self(
                $patient, $now, $patient->dayOf($now), $practices($id), $pauses($id), $putOffs($id),
                $diary($id)->filter(fn (DiaryEntry $entry) => $first !== null && $entry->day->format('Y-m-d') >= $first)->values(),
                $symptoms($id), $scored($id), $decisions($id), $access->get($id), $aside->get($id), $sent->get($id)?->completed_at, $closed->get($id),
            );
        }

        return $files;
    }

    /**
     * @template T of Model
     *
     * @param  Collection<int, T>  $rows
     * @return Closure(string): Collection<int, T>
     */
    private static function byPatient(Collection $rows): Closure
    {
        $groups = $rows->groupBy('patient_id');

        return fn (string $id) => $groups->get($id) ?? new Collection;
    }
}
