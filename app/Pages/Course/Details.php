<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\PaperGrid;
use App\Facts\PracticeOnFile;
use App\Models\HomeCheck;
use App\Models\Practice;
use App\Models\PutOffPractice;
use App\Pages\Shared\PausesOf;
use Closure;
use IvoryPace\Practice\Share;
use IvoryPace\Programme\Anchor;
use IvoryPace\Progress\Trend\BeforeAfter;

/** What stands below the axis of the Course and follows when the page has opened. */
final class Details
{
    public const NAMES = [
        'programmes', 'stops', 'effects', 'trends', 'anchors', 'put_offs', 'home_checks', 'self_checks', 'practices', 'periods', 'paper',
        'note', 'lifted',
    ];

    private const LATEST_PRACTICES = 30;

    private const LATEST_STOPS = 10;

    /** @var array<int, Practice>|null by id */
    private ?array $told = null;

    public function __construct(private readonly CourseReading $reading)
    {
    }

    /** @return array<string, Closure(): mixed> by name */
    public function parts(): array
    {
        return array_combine(self::NAMES, [
            fn (): array => ProgrammesOf::patient($this->reading->patient, $this->reading->programme),
            fn (): array => array_map(
                fn (PracticeOnFile $practice) => $this->reading->lines()->stop($this->told()[$practice->id]), $this->stopped(),
            ),
            $this->effects(...),
            fn (): array => TrendsOf::on($this->reading->file(), $this->reading->from()),
            $this->anchors(...),
            $this->putOffs(...),
            $this->homeChecks(...),
            fn (): array => SelfChecksOf::on($this->reading),
            fn (): array => array_map(
                fn (PracticeOnFile $practice) => $this->reading->lines()->practice($this->told()[$practice->id]), $this->latest(),
            ),
            fn (): array => PeriodsOf::on(
                $this->reading->file(), $this->reading->evidence(), $this->reading->from(), $this->reading->compare,
            ),
            fn (): ?array => $this->reading->isClosed() ? null : PaperGrid::of(
                $this->reading->patient, $this->reading->programme, $this->reading->evidence(), $this->reading->now,
            ),
            $this->note(...),
            fn (): array => PausesOf::lifted($this->reading->patient),
        ]);
    }

    /** @return array<string, mixed> where there is no programme */
    public static function none(): array
    {
        return array_replace(array_fill_keys(self::NAMES, []), ['periods' => null, 'paper' => null, 'note' => null]);
    }

    /** @return list<PracticeOnFile> latest first */
    private function shown(): array
    {
        return array_reverse($this->reading->evidence()->practicesFrom($this->reading->from(), doubtfulToo: true));
    }

    /** @return list<PracticeOnFile> */
    private function latest(): array
    {
        return array_slice($this->shown(), 0, self::LATEST_PRACTICES);
    }

    /** @return list<PracticeOnFile> */
    private function stopped(): array
    {
        return array_slice(
            array_values(array_filter($this->shown(), fn (PracticeOnFile $practice) => $practice->stopClass !== null)), 0,
            self::LATEST_STOPS,
        );
    }

    /** @return array<int, Practice> whole, for those that are told one by one */
    private function told(): array
    {
        return $this->told ??= Practice::query()->whereKey(
            array_map(fn (PracticeOnFile $practice) => $practice->id, [...$this->latest(), ...$this->stopped()]),
        )
            ->with('secondLook', 'recording')->limit(self::LATEST_PRACTICES + self::LATEST_STOPS)->get()->keyBy('id')->all();
    }

    /** @return list<array{name: string, effect: string}> what each exercise did for the rated symptom, of those that were rated */
    private function effects(): array
    {
        $rated = [];
        foreach ($this->reading->evidence()->practicesFrom($this->reading->from()) as $practice) {
            if ($practice->before !== null && $practice->after !== null) {
                $rated[$practice->record->lineage][] = [$practice->before, $practice->after];
            }
        }
        $symptom = $this->reading->programme->latestVersion()->rated_symptom ?? '';
        $lines = [];
        foreach ($rated as $lineage => $pairs) {
            $lines[] = [
                'name' => $this->reading->lines()->nameOf((string) $lineage),
                'effect' => BeforeAfter::of($pairs)?->sentence($symptom) ?? '',
            ];
        }

        return $lines;
    }

    /** @return list<array{name: string, share: float|null, credit: float, due: int}> */
    private function anchors(): array
    {
        $shares = $this->reading->evidence()->adherence->byAnchor($this->reading->from(), $this->reading->file()->today);

        return array_map(
            fn (string $anchor, Share $share) => [
                'name' => Anchor::from($anchor)->label(), 'share' => $share->share(), 'credit' => $share->credit, 'due' => $share->due,
            ],
            array_keys($shares), $shares,
        );
    }

    /** @return list<array<string, string>> */
    private function putOffs(): array
    {
        return array_values($this->reading->file()->putOffs->filter(
            fn (PutOffPractice $said) => $said->day->format('Y-m-d') >= $this->reading->from()->date && $said->day
                ->format('Y-m-d') <= $this->reading->file()->today->date,
        )->reverse()->take(10)->map(fn (PutOffPractice $said) => [
            'on' => $said->day->format('D j M'), 'exercise' => $this->reading->lines()->nameOf($said->lineage),
            'anchor' => $said->anchor->label(), 'reason' => $said->reason->label(),
        ])->all());
    }

    /** @return list<array{on: string, rate: float, doubtful: int}> */
    private function homeChecks(): array
    {
        return array_values($this->reading->patient->homeChecks()->where(
            'taken_at', '<=', $this->reading->now,
        )->orderByDesc('taken_at')->limit(10)->get()->map(fn (HomeCheck $check) => [
            'on' => $this->reading->lines()->time($check->taken_at), 'rate' => round($check->rate, 1), 'doubtful' => $check->doubtful,
        ])->all());
    }

    /** @return array{text: string, on: string, session: string}|null the last signed one */
    private function note(): ?array
    {
        $session = $this->reading->patient->careSessions()->whereNotNull('closed_at')->orderByDesc('number')->with('note')->first();

        return $session?->note === null ? null
            : [
                'text' => $session->note->text,
                'on' => $session->note->signed_at->setTimezone($this->reading->patient->clinic->time_zone)->format('j M'),
                'session' => $session->id,
            ];
    }
}
