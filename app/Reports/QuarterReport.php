<?php

declare(strict_types=1);

namespace App\Reports;

use App\Models\Clinic;
use App\Paper\Paper;
use App\Paper\Press;
use App\Records\Csv;
use Carbon\CarbonImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Quarter;
use IvoryPace\Numbers;
use IvoryPace\Progress\ClinicReport;
use IvoryPace\Progress\SmallNumbers;

/** What became of a clinic's patients, quarter by quarter, for those outside: small numbers are left out. */
final readonly class QuarterReport
{
    /** Quarters beside each other, the one that is asked for last. */
    private const BESIDE = 4;

    private const OFFERED = 8;

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
    private function groups(): array
    {
        return (new ClinicReport(array_map(
            fn (Quarter $quarter) => (new QuarterFacts($this->clinic, $quarter))->numbers(), $this->quarters,
        )))->groups();
    }

    /** As it is printed. */
    public static function shown(float|int|null $number): string
    {
        return $number === null ? '–' : Numbers::print((float) $number, 1);
    }
}
