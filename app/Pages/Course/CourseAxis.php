<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\DiaryOnFile;
use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\PracticeOnFile;
use App\Models\ChosenSymptom;
use App\Models\HabitTick;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use IvoryPace\Assessment\Measure;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Median;
use IvoryPace\Practice\AdherenceResult;
use IvoryPace\Practice\DayTally;
use IvoryPace\Practice\Stroke;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\Item;
use IvoryPace\Progress\GoalMeasure;
use stdClass;

/** The axis of the Course: what was prescribed above what happened, day by day or, over a long time, week by week. */
final readonly class CourseAxis
{
    private const MOST_SESSIONS = 200;

    private const MOST_MEASUREMENTS = 300;

    private const MOST_TICKS = 6000;

    private const DAYS_AHEAD = 7;

    /** Values from before the axis are looked for so far back. */
    private const DAYS_BEFORE = 30;

    private PatientDay $to;

    private bool $isByWeek;

    public function __construct(
        private OnFile $file,
        private Programme $programme,
        private EvidenceOf $evidence,
        private PracticeLines $lines,
        private PatientDay $from,
    ) {
        $to = Span::to($from, $file->today);
        // A version that takes effect in the next days is seen at the end of the axis.
        $next = PatientDay::of($programme->latestVersion()?->in_force_from->format('Y-m-d') ?? $to->date)->next();
        $this->to = $next->isAfter($to) && $file->today->daysUntil($next) <= self::DAYS_AHEAD ? $next : $to;
        $this->isByWeek = Span::isByWeek($from, $this->to);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'from' => $this->from->date,
            'to' => $this->to->date,
            'today' => $this->file->today->date,
            'by_week' => $this->isByWeek,
            'versions' => $this->programme->versions->map($this->version(...)),
            'exercises' => [
                ...array_map($this->exercise(...), $this->programme->history()->lineages()),
                ...array_map($this->asNeeded(...), $this->lineagesAsNeeded()),
            ],
            'present' => $this->present(),
            'felt' => CourseFelt::since($this->from, $this->file),
            'symptom' => $this->programme->latestVersion()?->rated_symptom,
            'ratings' => $this->ratings(),
            'diary' => $this->diary(),
            'goal' => $this->goal(),
            'sessions' => $this->sessions(),
            'measures' => $this->measures(),
            'questionnaires' => $this->questionnaires(),
        ];
    }

    /** @return list<array{lineage: string, name: string}> what can be paused */
    private function present(): array
    {
        $present = [];
        foreach ($this->programme->latestVersion()->items ?? [] as $row) {
            if (! $row->item()->isRecovery()) {
                $present[] = ['lineage' => $row->lineage, 'name' => $row->item()->name()];
            }
        }

        return $present;
    }

    /** @return array<string, mixed> */
    private function version(ProgrammeVersion $version): array
    {
        $today = $this->file->today;
        $from = PatientDay::of($version->in_force_from->format('Y-m-d'));
        $next = $this->programme->versions->first(fn (ProgrammeVersion $other) => $other->number === $version->number + 1);
        $last = $next !== null ? PatientDay::of($next->in_force_from->format('Y-m-d'))->previous()
            : ($version->ends_on !== null ? PatientDay::of($version->ends_on->format('Y-m-d')) : null);
        // What lies before the span is not looked at again.
        $isShown = $last === null || ! $last->isBefore($this->from);

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
                ! $isShown => 'before',
                default => 'begun',
            },
            'adherence' => self::figures(
                $this->evidence->adherence->ofProgramme(
                    $isShown && $from->isBefore($this->from) ? $this->from : $from, $isShown ? $last ?? $today : $from->previous(),
                ),
            ),
        ];
    }

    /**
     * @return array{name: string, days: list<array{date: string, paused: bool, strokes: string}>, weeks: list<array{date: string, due: int,
     * credit: float, stops: int}>, adherence: array<string, mixed>, uses: int|null, agreed: null}
     */
    private function exercise(string $lineage): array
    {
        $result = $this->evidence->adherence->ofItem($lineage, $this->from, $this->file->today);
        /** @var list<array{date: string, paused: bool, strokes: string}> $days */
        $days = $this->isByWeek ? [] : array_map(fn (DayTally $day) => [
            'date' => $day->day->date, 'paused' => $day->paused,
            'strokes' => implode('', array_map(fn (Stroke $stroke) => $stroke->letter(), $day->strokes)),
        ], $result->days);

        return [
            'name' => $this->lines->nameOf($lineage), 'days' => $days, 'weeks' => $this->isByWeek ? $this->weeks($result) : [],
            'adherence' => self::figures($result), 'uses' => null, 'agreed' => null,
        ];
    }

    /** @return list<string> of what is used as needed only */
    private function lineagesAsNeeded(): array
    {
        return array_values(
            array_diff(
                $this->programme->versions->flatMap(fn (ProgrammeVersion $version) => $version->items->pluck('lineage'))->unique()->all(),
                $this->programme->history()->lineages(),
            ),
        );
    }

    /** @return array<string, mixed> each use is a stroke */
    private function asNeeded(string $lineage): array
    {
        $exercise = $this->exercise($lineage);
        $habit = $this->programme->versions->reverse()->map(
            fn (ProgrammeVersion $version) => $version->items->firstWhere('lineage', $lineage)?->item(),
        )->first(fn (?Item $item) => $item !== null && $item->isTicked());
        if ($habit !== null) {
            return $this->habit($exercise, $lineage, (int) $habit->asNeeded?->dailyMost);
        }
        $uses = count(
            array_filter(
                $this->evidence->practicesFrom($this->from), fn (PracticeOnFile $practice) => $practice->record->lineage === $lineage,
            ),
        );

        return [
            ...$exercise,
            'days' => array_map(fn (array $day) => [...$day, 'strokes' => strtr($day['strokes'], 'x', 'd')], $exercise['days']),
            'uses' => $uses,
        ];
    }

    /**
     * @param  array{name: string, days: list<array{date: string, paused: bool, strokes: string}>, weeks: list<array{date: string, due: int,
     * credit: float, stops: int}>, adherence: array<string, mixed>, uses: int|null}  $exercise
     * @return array<string, mixed> each tick is a stroke
     */
    private function habit(array $exercise, string $lineage, int $agreed): array
    {
        $clock = $this->file->patient->clock();
        $ticks = $this->file->patient->ticks()->where('lineage', $lineage)->where('ticked_at', '>=', $clock->startsAt($this->from))
            ->where('ticked_at', '<', $clock->endsAt($this->file->today))->orderBy('ticked_at')->limit(self::MOST_TICKS)->get(['ticked_at'])
            ->countBy(fn (HabitTick $tick) => $clock->dayOf($tick->ticked_at)->date);

        return [
            ...$exercise, 'uses' => $ticks->sum(), 'agreed' => $agreed,
            'days' => array_map(
                fn (array $day) => [...$day, 'strokes' => str_repeat('d', (int) ($ticks[$day['date']] ?? 0))], $exercise['days'],
            ),
        ];
    }

    /** @return list<array{date: string, due: int, credit: float, stops: int}> */
    private function weeks(AdherenceResult $result): array
    {
        return array_map(fn (array $week) => [
            'date' => $week[0]->day->date,
            'due' => array_sum(array_map(fn (DayTally $day) => $day->due, $week)),
            'credit' => (float) array_sum(array_map(fn (DayTally $day) => $day->credit, $week)),
            'stops' => array_sum(
                array_map(
                    fn (DayTally $day) => count(array_filter($day->strokes, fn (Stroke $stroke) => $stroke === Stroke::Stopped)), $week,
                ),
            ),
        ], array_chunk($result->days, 7));
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

    /** @return list<array{day: string, before: int|float|null, after: int|float|null}> each practice, or the medians of each week */
    private function ratings(): array
    {
        $rated = collect($this->evidence->practicesFrom($this->from))->filter(
            fn (PracticeOnFile $practice) => $practice->before !== null || $practice->after !== null,
        )
            ->map(fn (PracticeOnFile $practice) => ['day' => $practice->day, 'before' => $practice->before, 'after' => $practice->after]);
        if (! $this->isByWeek) {
            return array_values($rated->map(fn (array $each) => [...$each, 'day' => $each['day']->date])->all());
        }
        $weeks = $rated->groupBy(fn (array $each) => intdiv($this->from->daysUntil($each['day']), 7));
        $median = function (Collection $of): ?float {
            $values = array_values(array_filter($of->all(), is_int(...)));

            return $values === [] ? null : Median::of($values);
        };

        return array_values(
            $weeks->map(
                fn (Collection $week, int $number) => [
                    'day' => $this->from->plusDays(7 * $number)->date, 'before' => $median($week->pluck('before')),
                    'after' => $median($week->pluck('after')),
                ],
            )->all(),
        );
    }

    /** @return list<array{name: string, days: list<array{string, int}>}> */
    private function diary(): array
    {
        $entries = array_filter($this->file->diary, fn (DiaryOnFile $entry) => ! $entry->day->isBefore($this->from));
        $line = fn (string $name, callable $value): array => ['name' => $name, 'days' => array_values(array_filter(array_map(
            fn (DiaryOnFile $entry) => ($rating = $value($entry)) === null ? null : [$entry->day->date, $rating], $entries,
        )))];
        $lines = $this->file->symptoms->map(
            fn (ChosenSymptom $symptom) => $line(ucfirst($symptom->name), fn (DiaryOnFile $entry) => $entry->rating($symptom)),
        );

        return array_values(
            $lines->push($line('Sleep', fn (DiaryOnFile $entry) => $entry->sleep))->filter(fn (array $each) => $each['days'] !== [])->all(),
        );
    }

    /** @return array{measure: string, target: float, at_most: bool}|null */
    private function goal(): ?array
    {
        $goal = Goal::read($this->programme->latestVersion()->goal ?? [])[0];

        return $goal === null ? null : ['measure' => $goal->measure, 'target' => $goal->target, 'at_most' => $goal->atMost];
    }

    /** @return list<array{day: string, number: int, id: string, signed: bool}> */
    private function sessions(): array
    {
        return array_values(DB::table('care_sessions')->where('patient_id', $this->file->patient->id)
            ->whereNull('dropped_at')->whereBetween(
                'begun_at', [$this->file->patient->clock()->startsAt($this->from), $this->file->now],
            )
            ->orderBy('begun_at')->limit(self::MOST_SESSIONS)->get(['id', 'number', 'begun_at', 'closed_at'])
            ->map(
                fn (stdClass $row) => [
                    'day' => $this->dayOf($row->begun_at)->date, 'number' => (int) $row->number, 'id' => (string) $row->id,
                    'signed' => $row->closed_at !== null,
                ],
            )->all());
    }

    /**
     * @return list<array{name: string, unit: string, goal: string|null,
     * points: list<array{day: string, value: float, earlier: string|null}>}> those of everyone, then symptoms as they were rated at a
     * moment, in the room or on the device; what is rated for a day is in the diary
     */
    private function measures(): array
    {
        $since = $this->file->patient->clock()->startsAt($this->from->plusDays(-self::DAYS_BEFORE));
        $measured = DB::table('measurements')->leftJoin('chosen_symptoms', 'chosen_symptoms.id', '=', 'measurements.chosen_symptom_id')
            ->where('measurements.patient_id', $this->file->patient->id)->whereNull('struck_at')
            ->whereBetween('measured_at', [$since, $this->file->now])
            ->orderByDesc('measured_at')->orderByDesc('measurements.id')->limit(self::MOST_MEASUREMENTS)
            ->get(['measure', 'value', 'measured_at', 'name'])->reverse()
            ->groupBy(fn (stdClass $row) => $row->name === null ? (string) $row->measure : "symptom {$row->name}");
        $goal = Goal::read($this->programme->latestVersion()->goal ?? [])[0];
        $atGoal = $goal === null ? null : GoalMeasure::of($goal);
        // What the programme is for stands first, symptoms last.
        $measured = $measured->sortBy(fn (Collection $values, string $of) => match (true) {
            $of === $atGoal?->value => 0,
            default => $values->first()?->name === null ? 1 : 2,
        });

        return array_values($measured->map(function (Collection $values) use ($goal, $atGoal) {
            /** @var stdClass $one */
            $one = $values->first();
            $measure = Measure::from((string) $one->measure);

            return [
                'name' => $one->name === null ? $measure->label() : ucfirst((string) $one->name).', rated at a moment',
                'unit' => $measure->unit(),
                'goal' => $goal !== null && $measure === $atGoal ? GoalMeasure::target($goal) : null,
                'points' => $this->onAxis(array_values($values->map(
                    fn (stdClass $row) => ['day' => $this->dayOf((string) $row->measured_at), 'value' => (float) $row->value],
                )->all())),
            ];
        })->all());
    }

    /** @param  string  $at  an instant as it is stored */
    private function dayOf(string $at): PatientDay
    {
        return $this->file->patient->dayOf(CarbonImmutable::parse($at, 'UTC'));
    }

    /** @return list<array<string, mixed>> */
    private function questionnaires(): array
    {
        return array_map(fn (array $line) => [...array_diff_key($line, ['of' => true]), 'points' => array_map(
            fn (array $point) => [...$point, 'band' => $line['of']?->band($point['value']) ?? ''], $this->onAxis($line['points']),
        )], CourseScores::since($this->from->plusDays(-self::DAYS_BEFORE), $this->file));
    }

    /**
     * The last value from before the axis stands at its beginning, with its own date.
     *
     * @param  list<array{day: PatientDay, value: float}>  $points  in order
     * @return list<array{day: string, value: float, earlier: string|null}>
     */
    private function onAxis(array $points): array
    {
        $before = array_filter($points, fn (array $point) => $point['day']->isBefore($this->from));
        $last = end($before);
        $shown = array_map(
            fn (array $point) => ['day' => $point['day']->date, 'value' => $point['value'], 'earlier' => null],
            array_slice($points, count($before)),
        );

        return $last === false
            ? $shown
            : [
                [
                    'day' => $this->from->date, 'value' => $last['value'],
                    'earlier' => CarbonImmutable::parse($last['day']->date)->format('j M'),
                ],
                ...$shown,
            ];
    }
}
