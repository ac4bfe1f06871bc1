<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Breath;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\InvalidPattern;
use IvoryPace\Breath\Phase;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NotationTest extends TestCase
{
    /** @return iterable<array{string, string, list<float>}> typed, canonical, in/top-up/hold/out/rest */
    public static function readable(): iterable
    {
        yield ['4:5', '4:5', [4, 0, 0, 5, 0]];
        yield ['4:7:8', '4:7:8', [4, 0, 7, 8, 0]];
        yield ['4:4:4:4', '4:4:4:4', [4, 0, 4, 4, 4]];
        yield ['4:0:5:1', '4:0:5:1', [4, 0, 0, 5, 1]];
        yield ['2+1:6', '2+1:6', [2, 1, 0, 6, 0]];
        yield ['2+1:2:6', '2+1:2:6', [2, 1, 2, 6, 0]];
        yield ['1.5+0.5:6', '1.5+0.5:6', [1.5, 0.5, 0, 6, 0]];
        yield ['4-7-8', '4:7:8', [4, 0, 7, 8, 0]];
        yield ['4 – 7 – 8', '4:7:8', [4, 0, 7, 8, 0]];
        yield ['  4 : 0 : 5 : 1 ', '4:0:5:1', [4, 0, 0, 5, 1]];
        yield ['4.0:5.50', '4:5.5', [4, 0, 0, 5.5, 0]];
        yield ['4+0:6', '4:6', [4, 0, 0, 6, 0]];
        yield ['4:0:5:0', '4:5', [4, 0, 0, 5, 0]];
        yield ['4:2:5:0', '4:2:5', [4, 0, 2, 5, 0]];
        yield ['60:0:60:60', '60:0:60:60', [60, 0, 0, 60, 60]];
        yield ['0.01:0.01', '0.01:0.01', [0.01, 0, 0, 0.01, 0]];
    }

    /** @param  list<float>  $counts */
    #[DataProvider('readable')]
    public function test_reads_and_prints(string $typed, string $canonical, array $counts): void
    {
        $pattern = BreathPattern::parse($typed);

        self::assertSame($canonical, $pattern->toString());
        self::assertEquals($counts, array_map(fn (Phase $phase) => $pattern->counts($phase)->toFloat(), Phase::cases()));
    }

    /** @return iterable<array{string, string}> typed, a part of what the message says */
    public static function unreadable(): iterable
    {
        yield ['', 'no ratio'];
        yield ['4', 'only one number'];
        yield ['4:5:6:7:8', '5 numbers'];
        yield ['4:7-8', 'mixes'];
        yield ['4,5:6', 'comma'];
        yield ['-4:5', 'sign'];
        yield ['4:-5', 'sign'];
        yield ['+4:5', 'sign'];
        yield ['four:5', 'does not belong'];
        yield ['4:5:', 'ends with a separator'];
        yield ['4-5-', 'ends with a separator'];
        yield ['4::5', 'nothing between'];
        yield ['0:5', 'inhale must be longer'];
        yield ['4:0', 'exhale must be longer'];
        yield ['61:5', 'outside 0 to 60'];
        yield ['59+2:5', 'together'];
        yield ['4:5.123', 'two decimals'];
        yield ['4:.5', 'two decimals'];
        yield ['4:5+1', 'only the inhale'];
        yield ['1+1+1:5', 'one top-up'];
        yield ['2+:5', 'one top-up'];
        yield ['4 5', 'only one number'];
        yield [str_repeat('4:', 80).'4', 'too long'];
        yield ["4:5\xff", 'too long'];
    }

    #[DataProvider('unreadable')]
    public function test_says_what_is_wrong_and_gives_an_example(string $typed, string $says): void
    {
        try {
            BreathPattern::parse($typed);
        } catch (InvalidPattern $problem) {
            self::assertStringContainsString($says, $problem->getMessage());
            self::assertStringContainsString('4:0:5:1', $problem->getMessage());

            return;
        }
        self::fail("“{$typed}” was read");
    }

    public function test_printing_and_reading_round_trip_for_random_patterns(): void
    {
        mt_srand(20261125);
        for ($run = 0; $run < 3000; $run++) {
            $any = fn (int $least, int $most) => mt_rand(0, 3) === 0 ? $least / 100 : mt_rand($least, $most) / 100;
            $pattern = BreathPattern::of($any(1, 5000), $any(1, 6000), $any(0, 6000), $any(0, 6000), $any(0, 900));
            $printed = $pattern->toString();
            $read = BreathPattern::parse($printed);

            self::assertTrue($pattern->equals($read), $printed);
            self::assertSame($printed, $read->toString());
            self::assertTrue($read->equals(BreathPattern::parse(str_replace(':', ' – ', $printed))));
        }
    }

    public function test_soft_pauses_are_printed_for_people_and_refused_where_counts_are(): void
    {
        $pattern = BreathPattern::parse('3:3')->withSoftPauses(2, 2);

        self::assertSame('3:(2s):3:(2s)', $pattern->toDisplayString());
        self::assertSame('3:3', $pattern->toString());
        $this->expectException(InvalidPattern::class);
        BreathPattern::parse('4:2:4')->withSoftPauses(2, 0);
    }

    public function test_knows_the_same_proportions(): void
    {
        self::assertTrue(BreathPattern::parse('2:3.5:4')->hasRatioOf(BreathPattern::parse('4:7:8')));
        self::assertFalse(BreathPattern::parse('4:7:8:1')->hasRatioOf(BreathPattern::parse('4:7:8')));
    }
}
