<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Programme\Outcome;
use IvoryPace\Progress\ClinicReport;
use IvoryPace\Progress\QuarterNumbers;
use PHPUnit\Framework\TestCase;

final class ClinicReportTest extends TestCase
{
    public function test_it_reckons_and_leaves_out_what_was_counted_of_few_people(): void
    {
        $many = $this->quarter(begun: 12, closed: ['goal-reached' => 8, 'better' => 6, 'symptoms' => 1], seen: 5, sessions: 9, practised: 10, practices: 650, stops: 13, seconds: 78_000, raised: 5);
        $few = $this->quarter(begun: 4, closed: ['better' => 4], seen: 4, sessions: 9, practised: 4, practices: 650, stops: 13, seconds: 78_000, raised: 1);
        $none = $this->quarter();
        $lines = [];
        foreach ((new ClinicReport([$many, $few, $none]))->groups() as $group) {
            foreach ($group['lines'] as $line) {
                $lines[$line['label']] = $line['numbers'];
            }
        }
        self::assertSame([12, null, 0], $lines['begun']);
        self::assertSame([15, null, 0], $lines['closed']);
        self::assertSame([8, null, 0], $lines['goal reached']);
        self::assertSame([null, null, 0], $lines['better, goal not reached'], 'or the one that ended for symptoms could be found');
        self::assertSame([null, null, 0], $lines['ended for symptoms']);
        self::assertSame([[5, null, 0], [9, null, 0]], [$lines['patients seen'], $lines['sessions']]);
        self::assertSame([[10, null, 0], [650, null, 0]], [$lines['patients who practised'], $lines['practices']]);
        // 650 of 10 patients in 13 weeks; 1300 minutes of 650; 13 of 650.
        self::assertSame([5.0, null, null], $lines['practices a week, each']);
        self::assertSame([2.0, null, null], $lines['minutes a practice']);
        self::assertSame([20.0, null, null], $lines['stopped for a symptom, of 1,000 practices']);
        self::assertSame([5, null, 0], $lines['patients with a red flag']);
    }

    public function test_a_questionnaire_stands_in_it_when_somebody_answered_it_twice(): void
    {
        $titles = fn (QuarterNumbers ...$quarters): array => array_column((new ClinicReport(array_values($quarters)))->groups(), 'title');
        self::assertSame(['Programmes', 'Sessions', 'Practice at home', 'Safety'], $titles($this->quarter()));
        $answered = $this->quarter(changes: ['gad-7' => ['recovered' => 7, 'worse' => 5]]);
        self::assertSame('GAD-7, first to last answers of programmes that were closed', $titles($this->quarter(), $answered)[1]);
        $lines = array_column((new ClinicReport([$this->quarter(), $answered]))->groups()[1]['lines'], 'numbers', 'label');
        self::assertSame([[0, 12], [0, 7], [0, 0], [0, 0], [0, 5]], [$lines['answered twice'], $lines['recovered, reliably'], $lines['improved, reliably'], $lines['no reliable change'], $lines['worse, reliably']]);
    }

    /**
     * @param  array<string, int>  $closed
     * @param  array<string, array<string, int>>  $changes
     */
    private function quarter(int $begun = 0, array $closed = [], array $changes = [], int $seen = 0, int $sessions = 0, int $practised = 0, int $practices = 0, int $stops = 0, int $seconds = 0, int $raised = 0): QuarterNumbers
    {
        $all = array_fill_keys(array_map(fn (Outcome $outcome) => $outcome->value, Outcome::cases()), 0);

        return new QuarterNumbers($begun, [...$all, ...$closed], $changes, $seen, $sessions, $practised, $practices, $stops, $seconds, $raised);
    }
}
