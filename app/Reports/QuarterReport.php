<?php

declare(strict_types=1);

namespace App\Reports;

use App\Models\Clinic;
use App\Paper\Paper;
use App\Paper\Press;
use App\Records\Csv;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Quarter;
use IvoryPace\Numbers;
use IvoryPace\Programme\Outcome;
use IvoryPace\Progress\SmallNumbers;

/** What became of a clinic's patients, quarter by quarter, for those outside: small numbers are left out. */
final readonly class QuarterReport
{
    /** Quarters beside each other, the one that is asked for last. */
    private const BESIDE = 4;

    private const OFFERED = 8;

    private const WEEKS = 13;

    /** UTF-8 says so itself, for spreadsheets that would take it for something else. */
    private const BYTE_MARK = "\u{FEFF}";

    /** @param  list<Quarter>  $quarters  oldest first */
    private function __construct(private Clinic $clinic, private array $quarters, private CarbonImmutable $now)
    {
    }

    public static function of(Clinic $clinic, ?string $asked, CarbonImmutable $now): self
    {
        $offered = self::offered($clinic, $now);
        $quarter = array_values(array_filter($offered, fn (Quarter $each) => $each->key() === $asked))[0] ?? $offered[0];
        $quarters = [$quarter];
        while (count($quarters) < self::BESIDE) {
            array_unshift($quarters, $quarters[0]->previous());
        }

        return new self($clinic, $quarters, $now);
    }

    /** @return list<Quarter> that are over, the latest first */
    public static function offered(Clinic $clinic, CarbonImmutable $now): array
    {
        $quarters = [Quarter::containing(PatientDay::at($now->setTimezone($clinic->time_zone)))->previous()];
        while (count($quarters) < self::OFFERED) {
            $quarters[] = $quarters[count($quarters) - 1]->previous();
        }

        return $quarters;
    }

    public function pdf(): string
    {
        return Press::pdf(view('report', [
            'clinic' => $this->clinic->name, 'quarter' => $this->quarters[self::BESIDE - 1]->label(),
            'quarters' => array_map(fn (Quarter $quarter) => $quarter->label(), $this->quarters), 'groups' => $this->groups(),
            'least' => SmallNumbers::LEAST, 'on' => $this->now->setTimezone($this->clinic->time_zone)->format('j F Y'),
        ])->render(), Paper::A4);
    }

    public function csv(bool $withByteMark): string
    {
        $rows = [];
        foreach ($this->groups() as $group) {
            foreach ($group['lines'] as $line) {
                $rows[] = [$group['title'], $line['label'], ...$line['numbers']];
            }
        }

        return ($withByteMark ? self::BYTE_MARK : '')
            .Csv::of(['about', 'what', ...array_map(fn (Quarter $quarter) => $quarter->label(), $this->quarters)], $rows);
    }

    /** @return list<array{title: string, lines: list<array{label: string, numbers: list<float|int|null>}>}> null is left out */
    public function groups(): array
    {
        $all = array_map(fn (Quarter $quarter) => new QuarterFacts($this->clinic, $quarter), $this->quarters);
        $closed = array_map(fn (QuarterFacts $facts) => SmallNumbers::of($facts->closed()), $all);
        $changes = array_map(fn (QuarterFacts $facts) => $facts->changes(), $all);

        return [
            ['title' => 'Programmes', 'lines' => [
                self::line('begun', array_map(fn (QuarterFacts $facts) => SmallNumbers::alone($facts->begun()), $all)),
                self::line('closed', array_map(fn (SmallNumbers $numbers) => $numbers->total, $closed)),
                ...array_map(fn (Outcome $outcome) => self::line(
                    $outcome->label(), array_map(fn (SmallNumbers $numbers) => $numbers->parts[$outcome->value], $closed),
                ), Outcome::cases()),
            ]],
            ...self::answered($changes),
            ['title' => 'Sessions', 'lines' => self::sessions(array_map(fn (QuarterFacts $facts) => $facts->seen(), $all))],
            ['title' => 'Practice at home', 'lines' => self::practice(array_map(fn (QuarterFacts $facts) => $facts->practised(), $all))],
            ['title' => 'Safety', 'lines' => [
                self::line('patients with a red flag', array_map(fn (QuarterFacts $facts) => SmallNumbers::alone($facts->raised()), $all)),
            ]],
        ];
    }

    /**
     * @param  list<array<string, array<string, int>>>  $changes  by questionnaire, of each quarter
     * @return list<array{title: string, lines: list<array{label: string, numbers: list<float|int|null>}>}> of those that somebody answered
     */
    private static function answered(array $changes): array
    {
        $groups = [];
        foreach (Questionnaire::all() as $form) {
            $of = array_map(fn (array $quarter) => $quarter[$form->key] ?? [], $changes);
            if (array_filter($of) !== []) {
                $groups[] = self::changed($form, $of);
            }
        }

        return $groups;
    }

    /**
     * @param  list<array<string, int>>  $quarters  by class of the change
     * @return array{title: string, lines: list<array{label: string, numbers: list<float|int|null>}>}
     */
    private static function changed(Questionnaire $form, array $quarters): array
    {
        $classes = [
            'recovered, reliably' => [ChangeClass::Recovered], 'improved, reliably' => [ChangeClass::Improved],
            'no reliable change' => [ChangeClass::Unchanged], 'worse, reliably' => [ChangeClass::Worse],
            'not judged: no reliability is known' => [ChangeClass::NotClaimed],
        ];
        $numbers = array_map(fn (array $of) => SmallNumbers::of(array_map(
            fn (array $some) => array_sum(array_map(fn (ChangeClass $class) => $of[$class->value] ?? 0, $some)), $classes,
        )), $quarters);

        return ['title' => "{$form->name}, first to last answers of programmes that were closed", 'lines' => [
            self::line('answered twice', array_map(fn (SmallNumbers $each) => $each->total, $numbers)),
            ...array_map(fn (string $label) => self::line(
                $label, array_map(fn (SmallNumbers $each) => $each->parts[$label], $numbers),
            ), array_keys($classes)),
        ]];
    }

    /**
     * @param  list<array{people: int, sessions: int}>  $quarters
     * @return list<array{label: string, numbers: list<float|int|null>}>
     */
    private static function sessions(array $quarters): array
    {
        $of = fn (callable $number): array => array_map(
            fn (array $seen) => SmallNumbers::alone($seen['people']) === null ? null : $number($seen), $quarters,
        );

        return [
            self::line('patients seen', $of(fn (array $seen) => $seen['people'])),
            self::line('sessions', $of(fn (array $seen) => $seen['sessions'])),
        ];
    }

    /**
     * @param  list<array{people: int, practices: int, stops: int, seconds: int}>  $quarters
     * @return list<array{label: string, numbers: list<float|int|null>}>
     */
    private static function practice(array $quarters): array
    {
        $of = fn (callable $number): array => array_map(
            fn (array $done) => SmallNumbers::alone($done['people']) === null ? null : $number($done), $quarters,
        );
        $share = fn (float|int $one, float|int $of): ?float => $of === 0 ? null : round($one / $of, 1);

        return [
            self::line('patients who practised', $of(fn (array $done) => $done['people'])),
            self::line('practices', $of(fn (array $done) => $done['practices'])),
            self::line('practices a week, each', $of(fn (array $done) => $share($done['practices'], $done['people'] * self::WEEKS))),
            self::line('minutes a practice', $of(fn (array $done) => $share($done['seconds'] / 60, $done['practices']))),
            self::line(
                'stopped for a symptom, of 1,000 practices',
                $of(fn (array $done) => $share(1000 * $done['stops'], $done['practices'])),
            ),
        ];
    }

    /**
     * @param  list<float|int|null>  $numbers
     * @return array{label: string, numbers: list<float|int|null>}
     */
    private static function line(string $label, array $numbers): array
    {
        return ['label' => $label, 'numbers' => $numbers];
    }

    /** As it is printed. */
    public static function shown(float|int|null $number): string
    {
        return $number === null ? '–' : Numbers::print((float) $number, 1);
    }
}
