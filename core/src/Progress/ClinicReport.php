<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Numbers;
use IvoryPace\Programme\Outcome;

/**
 * What a clinic gives away of all its patients, quarter beside quarter. Small numbers are left out, and so is whatever was counted of few
 * people: sessions, practices and what is reckoned from them.
 *
 * @phpstan-type Line array{label: string, numbers: list<float|int|null>}
 */
final readonly class ClinicReport
{
    /** Weeks of a quarter. */
    private const WEEKS = 13;

    private const CHANGES = [
        'recovered, reliably' => ChangeClass::Recovered, 'improved, reliably' => ChangeClass::Improved,
        'no reliable change' => ChangeClass::Unchanged, 'worse, reliably' => ChangeClass::Worse,
        'not judged: no reliability is known' => ChangeClass::NotClaimed,
    ];

    /** @param  list<QuarterNumbers>  $quarters  oldest first */
    public function __construct(private array $quarters)
    {
    }

    /** @return list<array{title: string, lines: list<Line>}> null is left out */
    public function groups(): array
    {
        return [
            ['title' => 'Programmes', 'lines' => [
                $this->line('begun', fn (QuarterNumbers $of) => SmallNumbers::alone($of->begun)),
                ...$this->parts('closed', array_map(fn (QuarterNumbers $of) => $of->closed, $this->quarters), self::outcomes()),
            ]],
            ...$this->changes(),
            ['title' => 'Sessions', 'lines' => [
                $this->line('patients seen', fn (QuarterNumbers $of) => SmallNumbers::alone($of->seen)),
                $this->line('sessions', fn (QuarterNumbers $of) => self::ofMany($of->seen, $of->sessions)),
            ]],
            ['title' => 'Practice at home', 'lines' => [
                $this->line('patients who practised', fn (QuarterNumbers $of) => SmallNumbers::alone($of->practised)),
                $this->line('practices', fn (QuarterNumbers $of) => self::ofMany($of->practised, $of->practices)),
                $this->line('practices a week, each', fn (QuarterNumbers $of) => self::ofMany(
                    $of->practised, self::ratio($of->practices, $of->practised * self::WEEKS),
                )),
                $this->line('minutes a practice', fn (QuarterNumbers $of) => self::ofMany(
                    $of->practised, self::ratio($of->seconds / 60, $of->practices),
                )),
                $this->line('stopped for a symptom, of 1,000 practices', fn (QuarterNumbers $of) => self::ofMany(
                    $of->practised, self::ratio(1000 * $of->stops, $of->practices),
                )),
            ]],
            ['title' => 'Safety', 'lines' => [
                $this->line('patients with a red flag', fn (QuarterNumbers $of) => SmallNumbers::alone($of->raised)),
            ]],
        ];
    }

    /** @return list<array{title: string, lines: list<Line>}> of each questionnaire that somebody answered twice */
    private function changes(): array
    {
        $groups = [];
        foreach (Questionnaire::all() as $form) {
            $quarters = array_map(fn (QuarterNumbers $of) => $of->changes[$form->key] ?? [], $this->quarters);
            if (array_filter($quarters) !== []) {
                $counts = array_map(fn (array $by) => array_map(
                    fn (ChangeClass $class) => $by[$class->value] ?? 0, self::CHANGES,
                ), $quarters);
                $groups[] = [
                    'title' => "{$form->name}, first to last answers of programmes that were closed",
                    'lines' => $this->parts('answered twice', $counts, array_combine(array_keys(self::CHANGES), array_keys(self::CHANGES))),
                ];
            }
        }

        return $groups;
    }

    /**
     * @param  list<array<string, int>>  $quarters  parts that add up, of each
     * @param  array<string, string>  $labels  of the parts, by key
     * @return list<Line> the whole, then its parts
     */
    private function parts(string $whole, array $quarters, array $labels): array
    {
        $numbers = array_map(SmallNumbers::of(...), $quarters);

        return [
            ['label' => $whole, 'numbers' => array_map(fn (SmallNumbers $each) => $each->total, $numbers)],
            ...array_map(fn (string $key, string $label) => [
                'label' => $label, 'numbers' => array_map(fn (SmallNumbers $each) => $each->parts[$key] ?? null, $numbers),
            ], array_keys($labels), array_values($labels)),
        ];
    }

    /** @return array<string, string> */
    private static function outcomes(): array
    {
        $labels = [];
        foreach (Outcome::cases() as $outcome) {
            $labels[$outcome->value] = $outcome->label();
        }

        return $labels;
    }

    /**
     * @param  callable(QuarterNumbers): (float|int|null)  $number
     * @return Line
     */
    private function line(string $label, callable $number): array
    {
        return ['label' => $label, 'numbers' => array_map($number, $this->quarters)];
    }

    /** What was counted of so many people; left out where they are few. */
    private static function ofMany(int $people, float|int|null $number): float|int|null
    {
        return SmallNumbers::alone($people) === null ? null : $number;
    }

    private static function ratio(float|int $one, int $of): ?float
    {
        return $of === 0 ? null : Numbers::round($one / $of, 1);
    }
}
