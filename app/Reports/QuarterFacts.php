<?php

declare(strict_types=1);

namespace App\Reports;

use App\Models\Clinic;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Calendar\Quarter;
use IvoryPace\Health\StopClass;
use IvoryPace\Programme\Outcome;
use IvoryPace\Progress\QuarterNumbers;
use stdClass;

/** Counts what happened in a clinic in one quarter. Days are the clinic's. */
final readonly class QuarterFacts
{
    /** Programmes that are looked at for a change in questionnaires. */
    private const MOST_CLOSED = 5000;

    private const AT_ONCE = 500;

    /** Answers from so many days before a programme are its first ones. */
    private const DAYS_BEFORE = 90;

    private const MOST_FORMS = 50000;

    private CarbonImmutable $from;

    private CarbonImmutable $to;

    public function __construct(private Clinic $clinic, private Quarter $quarter)
    {
        $this->from = CarbonImmutable::parse($quarter->firstDay()->date, $clinic->time_zone)->utc();
        $this->to = CarbonImmutable::parse($quarter->lastDay()->next()->date, $clinic->time_zone)->utc();
    }

    public function numbers(): QuarterNumbers
    {
        ['people' => $seen, 'sessions' => $sessions] = $this->seen();
        ['people' => $practised, 'practices' => $practices, 'stops' => $stops, 'seconds' => $seconds] = $this->practised();

        return new QuarterNumbers(
            $this->begun(), $this->closed(), $this->changes(), $seen, $sessions, $practised, $practices, $stops, $seconds,
            $this->raised(),
        );
    }

    /** Patients whose programme began. */
    private function begun(): int
    {
        $first = DB::table('programme_versions')->selectRaw('min(in_force_from)')->whereColumn('programme_id', 'programmes.id')
            ->whereNull('withdrawn_at');

        return $this->people($this->ours('programmes')->where('is_maintenance', false)
            ->whereBetween(DB::raw("({$first->toSql()})"), [$this->quarter->firstDay()->date, $this->quarter->lastDay()->date]));
    }

    /** @return array<string, int> programmes that were closed, by outcome */
    private function closed(): array
    {
        $counts = $this->closings()->selectRaw('outcome, count(*) as programmes')->groupBy('outcome')->pluck('programmes', 'outcome');

        return array_combine(
            array_map(fn (Outcome $outcome) => $outcome->value, Outcome::cases()),
            array_map(fn (Outcome $outcome) => (int) ($counts[$outcome->value] ?? 0), Outcome::cases()),
        );
    }

    /** @return array{people: int, sessions: int} */
    private function seen(): array
    {
        $query = fn (): Builder => $this->during('care_sessions', 'begun_at')->whereNull('dropped_at');

        return ['people' => $this->people($query()), 'sessions' => $query()->count()];
    }

    /** @return array{people: int, practices: int, stops: int, seconds: int} what counts as practised, at home and on paper */
    private function practised(): array
    {
        $symptoms = array_values(array_map(
            fn (StopClass $class) => $class->value, array_filter(StopClass::cases(), fn (StopClass $class) => $class->isSymptom()),
        ));
        // A stop is believed, whatever else is said of a practice.
        $row = $this->during('practices', 'started_at')->whereNull('struck_at')
            ->where(fn (Builder $query) => $query->whereNull('doubt')->orWhereIn('stop_class', $symptoms))
            ->selectRaw('count(distinct patient_id) as people, count(*) as practices, coalesce(sum(seconds_done), 0) as seconds')
            ->selectRaw('count(if(stop_class in ('.implode(', ', array_fill(0, count($symptoms), '?')).'), 1, null)) as stops', $symptoms)
            ->first();

        return [
            'people' => (int) ($row->people ?? 0), 'practices' => (int) ($row->practices ?? 0), 'stops' => (int) ($row->stops ?? 0),
            'seconds' => (int) ($row->seconds ?? 0),
        ];
    }

    /** Patients with a red flag that was raised. */
    private function raised(): int
    {
        return $this->people($this->during('raised_red_flags', 'raised_at'));
    }

    /** @return array<string, array<string, int>> by questionnaire: how many of closed programmes changed how, from first to last answers */
    private function changes(): array
    {
        $counts = [];
        $first = '(select min(in_force_from) from programme_versions where programme_id = programmes.id and withdrawn_at is null)';
        $all = $this->closings()->selectRaw("patient_id, closed_on, $first as began_on")->orderBy('programmes.id')
            ->limit(self::MOST_CLOSED)->get();
        foreach ($all->chunk(self::AT_ONCE) as $some) {
            $forms = DB::table('asked_forms')->whereIn('patient_id', $some->pluck('patient_id')->unique()->all())
                ->whereIn('form', array_column(Questionnaire::all(), 'key'))->whereNotNull('completed_at')->whereNotNull('score')
                ->orderBy('completed_at')->orderBy('id')->limit(self::MOST_FORMS)->get(['patient_id', 'form', 'score', 'completed_at'])
                ->groupBy('patient_id');
            foreach ($some as $programme) {
                foreach ($this->changesOf($programme, $forms[$programme->patient_id] ?? collect()) as $form => $change) {
                    $counts[$form][$change] = ($counts[$form][$change] ?? 0) + 1;
                }
            }
        }

        return $counts;
    }

    /**
     * @param  iterable<stdClass>  $forms  in order
     * @return array<string, string> class of the change by questionnaire
     */
    private function changesOf(stdClass $programme, iterable $forms): array
    {
        $from = CarbonImmutable::parse((string) $programme->began_on, $this->clinic->time_zone)->subDays(self::DAYS_BEFORE)->utc();
        $to = CarbonImmutable::parse((string) $programme->closed_on, $this->clinic->time_zone)->addDay()->utc();
        $scores = [];
        foreach ($forms as $form) {
            $at = CarbonImmutable::parse((string) $form->completed_at, 'UTC');
            if ($at >= $from && $at < $to) {
                $scores[(string) $form->form][] = (float) $form->score;
            }
        }
        $changes = [];
        foreach (Questionnaire::all() as $questionnaire) {
            $of = $scores[$questionnaire->key] ?? [];
            if (count($of) > 1) {
                $changes[$questionnaire->key] = $questionnaire
                    ->change($of[0], $of[count($of) - 1], $this->clinic->reliabilities()->of($questionnaire))->value;
            }
        }

        return $changes;
    }

    private function closings(): Builder
    {
        return $this->ours('programmes')->where('is_maintenance', false)->whereNotNull('outcome')
            ->whereBetween('closed_on', [$this->quarter->firstDay()->date, $this->quarter->lastDay()->date]);
    }

    private function during(string $table, string $column): Builder
    {
        return $this->ours($table)->where("$table.$column", '>=', $this->from)->where("$table.$column", '<', $this->to);
    }

    private function ours(string $table): Builder
    {
        return DB::table($table)->join('patients', 'patients.id', '=', "$table.patient_id")->where('patients.clinic_id', $this->clinic->id);
    }

    private function people(Builder $query): int
    {
        return $query->distinct()->count('patients.id');
    }
}
