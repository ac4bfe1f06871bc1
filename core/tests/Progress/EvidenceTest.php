<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Progress\Evidence;
use IvoryPace\Progress\Felt;
use IvoryPace\Progress\RatedPractice;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EvidenceTest extends TestCase
{
    /** @return iterable<string, array{list<array{int, int, int, float|null}>, array{number: string, text: string}|null}> */
    public static function measured(): iterable
    {
        yield 'nothing' => [[], null];
        yield 'one, late' => [[[10, 12, 12, 0.42]], ['number' => '83 %', 'text' => 'of the breaths followed in 1 measured practice, begun 0.4 s late.']];
        yield 'two, early' => [
            [[10, 10, 12, -0.4], [5, 10, 12, -0.2]],
            ['number' => '75 %', 'text' => 'of the breaths followed in 2 measured practices, begun 0.3 s early.'],
        ];
        yield 'none followed' => [[[0, 12, 12, null]], ['number' => '0 %', 'text' => 'of the breaths followed in 1 measured practice.']];
        yield 'most could not be seen' => [[[5, 5, 12, 0.1]], null];
    }

    /**
     * @param  list<array{int, int, int, float|null}>  $measured  followed, seen, led, s late
     * @param  array{number: string, text: string}|null  $line
     */
    #[DataProvider('measured')]
    public function test_what_devices_measured_stands_among_the_numbers(array $measured, ?array $line): void
    {
        $practices = array_map(
            fn (array $of) => new RatedPractice(effort: 3, felt: Felt::of($of[0], $of[1], $of[2], $of[3], 1.0)), $measured,
        );
        $lines = (new Evidence([...$practices, new RatedPractice(effort: 2)], 0, 0.0))->lines();

        $felt = array_values(array_filter($lines, fn (array $each) => str_contains($each['text'], 'followed')));
        self::assertSame($line === null ? [] : [$line], $felt);
    }
}
