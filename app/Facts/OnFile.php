<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\AccessLink;
use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\KeptAside;
use App\Models\MadeDecision;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Programme;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection as SupportCollection;
use Illuminate\Support\Facades\DB;
use IvoryPace\Assessment\Measure;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Exercise\Ladder\HomeCeiling;
use IvoryPace\Programme\Goal;
use IvoryPace\Progress\GoalMeasure;
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

    /** Of the beginning, however long ago. */
    private const FIRST_DIARY_DAYS = 14;

    private const MOST_FORMS = 200;

    private const MOST_VALUES = 200;

    /** The patient's last device, where its PIN was typed wrong too often. */
    private const LOCKED_OUT = 'select count(*) from devices d where d.patient_id = access_links.patient_id and d.revoked_at is null '
        .'and d.wrong_pins >= '.Device::MOST_WRONG_PINS.' and not exists (select 1 from devices later '
        .'where later.patient_id = d.patient_id and later.id > d.id and later.revoked_at is null)';

    /**
     * @param  Programme|null  $programme  that is looked at: the running one, unless another was asked for
     * @param  list<PracticeOnFile>  $practices  in order
     * @param  Collection<int, Pause>  $pauses  in order
     * @param  Collection<int, PutOffPractice>  $putOffs
     * @param  list<DiaryOnFile>  $diary  in order: the first days of the programme, and the time that is looked at
     * @param  Collection<int, ChosenSymptom>  $symptoms
     * @param  Collection<int, AskedForm>  $scored  questionnaires with a score, in order
     * @param  Collection<int, MadeDecision>  $decisions  that still hold
     * @param  array<string, stdClass>  $measured  the latest of what limits a ladder, by measure: value, at
     * @param  list<stdClass>  $atGoal  what the goal's measure was in the room, in order: value, at
     * @param  stdClass|null  $homeCheck  the latest rate tapped at home: rate, at
     * @param  list<stdClass>  $enough  the latest practices that were long enough, latest first
     */
    private function __construct(
        public Patient $patient,
        public CarbonImmutable $now,
        public PatientDay $today,
        public ?Programme $programme,
        public array $practices,
        public Collection $pauses,
        public Collection $putOffs,
        public array $diary,
        public Collection $symptoms,
        public Collection $scored,
        public Collection $decisions,
        public ?stdClass $access,
        public ?stdClass $aside,
        public ?CarbonImmutable $screeningSentAt,
        public ?Programme $lastClosed,
        public array $measured,
        public array $enough,
        public ?stdClass $homeCheck,
        public array $atGoal,
    ) {
    }

    /**
     * With every practice of the programme, or from a day on; at least with those that a proposal looks at. Those of other
     * programmes are left out, also of the day on which one followed another; so is what lies on the clinic's desk (links,
     * things kept aside, answers that wait).
     *
     * @param  CarbonImmutable  $now  of a closed programme: the end of its last day
     * @param  Programme|null  $closed  that is looked at in place of the running one
     */
    public static function patient(Patient $patient, CarbonImmutable $now, ?PatientDay $from = null, ?Programme $closed = null): self
    {
        $patient->loadMissing('activeProgramme.versions.items');
        $programme = $closed ?? $patient->activeProgramme;
        $from ??= $programme?->history()->firstDay() ?? $patient->dayOf($now);
        $since = CarbonImmutable::instance($patient->clock()->startsAt($from))->min($now->subDays(Proposal::MOST_DAYS + 2));

        return self::load(new Collection([$patient]), $now, $since, withDesk: false, programme: $programme)[$patient->id];
    }

    /**
     * With the practices that a proposal or the caseload may look at.
     *
     * @param  Collection<int, Patient>  $patients
     * @return array<string, self> by id of the patient
     */
    public static function many(Collection $patients, CarbonImmutable $now): array
    {
        return self::load($patients, $now, $now->subDays(Proposal::MOST_DAYS + 2), withDesk: true);
    }

    /**
     * @param  Collection<int, Patient>  $patients
     * @return array<string, self>
     */
    private static function load(
        Collection $patients,
        CarbonImmutable $now,
        CarbonImmutable $since,
        bool $withDesk,
        ?Programme $programme = null,
    ): array {
        $patients->loadMissing(
            [
                'clinic', 'activeProgramme.versions.items',
                ...($withDesk ? ['latestScreening.answers', 'openRedFlags.actions', 'newFindings'] : []),
            ],
        );
        $ids = $patients->modelKeys();
        $many = count($ids);
        $practices = DB::table('practices')->whereIn('patient_id', $ids)->whereNull('struck_at')->where('started_at', '>=', $since)
            ->when($programme !== null, fn ($query) => $query->whereIn('programme_version_id', $programme?->versions->modelKeys() ?? []))
            ->orderBy('started_at')->orderBy('id')->limit($many * self::MOST_PRACTICES)->get(PracticeOnFile::COLUMNS)
            ->groupBy('patient_id');
        $felt = self::felt(array_values($ids), $since, $many);
        $pauses = self::byPatient(Pause::query()->whereIn('patient_id', $ids)->where(
            fn ($pause) => $pause->whereNull('until_at')->orWhere('until_at', '>=', $since),
        )
            ->orderBy('from_at')->orderBy('id')->with('practice', 'begunBy')->limit($many * 500)->get());
        $putOffs = self::byPatient(PutOffPractice::query()->whereIn('patient_id', $ids)->where(
            'day', '>=', $since->subDay()->format('Y-m-d'),
        )
            ->where('day', '<=', $now->addDay()->format('Y-m-d'))->orderBy('day')->orderBy('id')->limit($many * 1000)->get());
        $diary = $many === 1
            ? self::diaryOfOne($patients->sole(), $programme ?? $patients->sole()->activeProgramme, $since, $now)
            : self::diary($ids, $since);
        $symptoms = self::byPatient(
            ChosenSymptom::query()->whereIn('patient_id', $ids)->whereNull('dropped_at')->orderBy('id')->limit($many * ChosenSymptom::MOST)
                ->get(),
        );
        $scored = self::byPatient(AskedForm::query()->whereIn('patient_id', $ids)->where(
            'form', '!=', AskedForm::SCREENING,
        )->whereNotNull('completed_at')->whereNotNull('score')
            ->where('completed_at', '<=', $now)->orderBy('completed_at')->orderBy('id')->limit($many * self::MOST_FORMS)
            ->get(['id', 'patient_id', 'form', 'score', 'completed_at']));
        $decisions = self::byPatient(
            MadeDecision::standing()->whereIn('patient_id', $ids)->where('decided_at', '>=', $now->subDays(Proposal::HOLDS_DAYS + 1))
                ->orderBy('id')->limit($many * 100)->get(),
        );
        $measured = self::measured(array_values($ids), $now);
        $enough = self::enough(array_values($ids), $now);
        $atGoal = self::atGoal($patients, $programme, $now);
        [$access, $aside, $sent, $lastClosed, $checks] = $withDesk
            ? self::desk(array_values($ids))
            : [collect(), collect(), collect(), collect(), collect()];

        $files = [];
        foreach ($patients as $patient) {
            $id = $patient->id;
            $clock = $patient->clock();
            $files[$id] = new self(
                $patient, $now, $patient->dayOf($now), $programme ?? $patient->activeProgramme,
                array_values(array_map(
                    fn (stdClass $row) => PracticeOnFile::read($row, $clock, $felt[(int) $row->id] ?? null),
                    $practices->get($id)?->all() ?? [],
                )),
                $pauses($id), $putOffs($id),
                array_values(array_map(DiaryOnFile::read(...), $diary->get($id)?->all() ?? [])),
                $symptoms($id), $scored($id), $decisions($id), $access->get($id), $aside->get($id), $sent->get($id)?->completed_at,
                $lastClosed->get($id), $measured[$id] ?? [], $enough[$id] ?? [], $checks->get($id), $atGoal[$id] ?? [],
            );
        }

        return $files;
    }

    /**
     * @param  list<mixed>  $ids
     * @return array<array-key, stdClass> what devices felt, by practice
     */
    private static function felt(array $ids, CarbonImmutable $since, int $many): array
    {
        return DB::table('recordings')->whereIn('patient_id', $ids)->where('started_at', '>=', $since->subDay())
            ->whereNotNull('practice_id')->whereNotNull('seen')->orderBy('started_at')->limit($many * self::MOST_PRACTICES)
            ->get(['practice_id', 'followed', 'seen', 'prescribed', 'lag_ms', 'ratio_kept'])->keyBy('practice_id')->all();
    }

    /**
     * The first weeks, which the present ones are compared with, and the time that is looked at.
     *
     * @param  array<array-key, mixed>  $ids
     * @return SupportCollection<array-key, SupportCollection<int, stdClass>> by patient
     */
    private static function diary(array $ids, CarbonImmutable $since): SupportCollection
    {
        $from = $since->subDay()->format('Y-m-d');
        $columns = ['diary_entries.patient_id', 'diary_entries.day', 'diary_entries.content'];
        $began = DB::table('programmes')->join('programme_versions', 'programme_versions.programme_id', '=', 'programmes.id')
            ->whereIn('patient_id', $ids)->whereNull('closed_on')->whereNull('withdrawn_at')
            ->groupBy('patient_id')->select('patient_id')->selectRaw('min(in_force_from) as first_day');
        $ofProgramme = DB::table('diary_entries')->whereNull('struck_at')
            ->joinSub($began, 'began', 'began.patient_id', '=', 'diary_entries.patient_id')
            ->whereColumn('day', '>=', 'first_day');
        $days = $ofProgramme->select('id', 'day')->selectRaw(
            'row_number() over (partition by diary_entries.patient_id order by day) as nth',
        );

        return DB::table('diary_entries')->joinSub($days, 'days', 'days.id', '=', 'diary_entries.id')
            ->where(fn ($query) => $query->where('days.nth', '<=', self::FIRST_DIARY_DAYS)->orWhere('days.day', '>=', $from))
            ->orderBy('diary_entries.day')->limit(count($ids) * self::MOST_DIARY_DAYS)->get($columns)->groupBy('patient_id');
    }

    /**
     * The same for one patient, whose programme has been read.
     *
     * @return SupportCollection<array-key, SupportCollection<int, stdClass>> by patient
     */
    private static function diaryOfOne(
        Patient $patient,
        ?Programme $programme,
        CarbonImmutable $since,
        CarbonImmutable $now,
    ): SupportCollection {
        $first = $programme?->history()->firstDay()->date;
        if ($first === null) {
            return collect();
        }
        $from = $since->subDay()->format('Y-m-d');
        $days = fn () => DB::table('diary_entries')->where('patient_id', $patient->id)->whereNull('struck_at')->where('day', '>=', $first)
            ->where('day', '<=', $patient->dayOf($now)->date)->orderBy('day');
        $columns = ['patient_id', 'day', 'content'];
        /** @var SupportCollection<int, stdClass> $beginning */
        $beginning = $first < $from ? $days()->where('day', '<', $from)->limit(self::FIRST_DIARY_DAYS)->get($columns) : collect();

        return $beginning->concat($days()->where('day', '>=', $from)->limit(self::MOST_DIARY_DAYS)->get($columns))->groupBy('patient_id');
    }

    /**
     * The latest of each measure that limits a ladder.
     *
     * @param  list<mixed>  $ids
     * @return array<array-key, array<string, stdClass>> by patient and measure
     */
    private static function measured(array $ids, CarbonImmutable $now): array
    {
        $ranked = DB::table('measurements')->whereIn('patient_id', $ids)->whereNull('struck_at')
            ->whereIn(
                'measure',
                [
                    Measure::Inhale->value, Measure::Hold->value, Measure::Exhale->value, Measure::Ceiling->value,
                    Measure::RestingRate->value,
                ],
            )
            ->where('measured_at', '<=', $now)
            ->selectRaw(
                'patient_id, measure, value, measured_at as at, row_number() over (partition by patient_id, measure order by measured_at '
                    .'desc, id desc) as place',
            );
        $latest = [];
        foreach (DB::query()->fromSub($ranked, 'ranked')->where('place', 1)->limit(count($ids) * 5)->get() as $row) {
            $latest[(string) $row->patient_id][(string) $row->measure] = $row;
        }

        return $latest;
    }

    /**
     * Of those whose goal is something that is measured in the room: one query, or none.
     *
     * @param  Collection<int, Patient>  $patients
     * @return array<array-key, list<stdClass>> by patient, in order
     */
    private static function atGoal(Collection $patients, ?Programme $programme, CarbonImmutable $now): array
    {
        $measures = [];
        foreach ($patients as $patient) {
            $goal = Goal::read(($programme ?? $patient->activeProgramme)?->latestVersion()->goal ?? [])[0];
            $measures[$patient->id] = $goal === null ? null : GoalMeasure::of($goal)?->value;
        }
        $measures = array_filter($measures);
        $values = [];
        foreach (
            $measures === [] ? [] : DB::table('measurements')->whereIn('patient_id', array_keys($measures))->whereNull('struck_at')
                ->whereIn('measure', array_unique($measures))->where('measured_at', '<=', $now)
                ->where('measured_at', '>=', $now->subYear())->orderBy('measured_at')->orderBy('id')
                ->limit(count($measures) * self::MOST_VALUES)->get(['patient_id', 'measure', 'value', 'measured_at as at']) as $row
        ) {
            if ($measures[(string) $row->patient_id] === $row->measure) {
                $values[(string) $row->patient_id][] = $row;
            }
        }

        return $values;
    }

    /**
     * @param  list<mixed>  $ids
     * @return array<array-key, list<stdClass>> by patient, latest first
     */
    private static function enough(array $ids, CarbonImmutable $now): array
    {
        $ranked = DB::table('practices')->whereIn('patient_id', $ids)->whereNotNull('enough_step')->whereNull('doubt')
            ->whereNull('struck_at')
            ->where('started_at', '<=', $now)
            ->where('started_at', '>=', $now->subDays(HomeCeiling::DAYS))
            ->selectRaw(
                'patient_id, programme_version_id, lineage, enough_step, tempo, row_number() over (partition by patient_id order by '
                    .'started_at desc, id desc) as place',
            );
        $latest = [];
        foreach (
            DB::query()->fromSub($ranked, 'ranked')->where('place', '<=', HomeCeiling::LATEST)->orderBy('place')
                ->limit(count($ids) * HomeCeiling::LATEST)->get() as $row
        ) {
            $latest[(string) $row->patient_id][] = $row;
        }

        return $latest;
    }

    /**
     * @param  list<mixed>  $ids
     * @return array{
     *     SupportCollection<array-key, stdClass>, SupportCollection<array-key, stdClass>, SupportCollection<array-key, AskedForm>,
     *     SupportCollection<array-key, Programme>, SupportCollection<array-key, stdClass>
     * } each by patient
     */
    private static function desk(array $ids): array
    {
        $access = AccessLink::query()->whereIn('patient_id', $ids)
            ->selectRaw('patient_id, max(created_at) as made, max(used_at is not null) as used, ('.self::LOCKED_OUT.') as locked_out')
            ->groupBy('patient_id')->toBase()->get()
            ->keyBy('patient_id');
        $aside = KeptAside::query()->whereIn('patient_id', $ids)->whereNull('settled_at')
            ->selectRaw('patient_id, max(is_urgent) as urgent, max(is_urgent and kind = \'form\') as red_flag, count(*) as waiting')
            ->groupBy('patient_id')->toBase()->get()->keyBy('patient_id');
        $sent = AskedForm::query()->whereIn('patient_id', $ids)->where('form', AskedForm::SCREENING)->whereNotNull('completed_at')
            ->whereNull('settled_at')->orderBy('completed_at')->get(['id', 'patient_id', 'completed_at'])->keyBy('patient_id');
        $closed = Programme::query()->whereIn('patient_id', $ids)->whereNotNull('closed_on')->orderBy('closed_on')->orderBy('id')->get()
            ->keyBy('patient_id');

        $ranked = DB::table('home_checks')->whereIn('patient_id', $ids)->whereNull('struck_at')
            ->selectRaw(
                'patient_id, rate, taken_at as at, row_number() over (partition by patient_id order by taken_at desc, id desc) as place',
            );
        $checks = DB::query()->fromSub($ranked, 'ranked')->where('place', 1)->limit(count($ids))->get()->keyBy('patient_id');

        return [$access, $aside, $sent, $closed, $checks];
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
