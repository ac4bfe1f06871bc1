<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use Generator;
use IvoryPace\Progress\SmallNumbers;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SmallNumbersTest extends TestCase
{
    public function test_a_number_by_itself_is_given_from_five_on_and_nobody_is_nobody(): void
    {
        self::assertSame([0, null, null, 5, 120], array_map(SmallNumbers::alone(...), [0, 1, 4, 5, 120]));
    }

    public function test_examples(): void
    {
        $of = function (int ...$parts): array {
            $numbers = SmallNumbers::of($parts);

            return [$numbers->total, array_values($numbers->parts)];
        };
        self::assertSame([0, [0, 0]], $of(0, 0));
        self::assertSame([null, [null, null]], $of(3, 0));
        self::assertSame([12, [6, 6, 0]], $of(6, 6, 0));
        // One small one alone could be found from the sum.
        self::assertSame([30, [20, null, null]], $of(20, 8, 2));
        self::assertSame([17, [null, null, null]], $of(15, 1, 1), 'Two of two are one each.');
        self::assertSame([9, [null, null]], $of(8, 1));
        self::assertSame(['a' => null, 'b' => 40, 'c' => null], SmallNumbers::of(['a' => 4, 'b' => 40, 'c' => 9])->parts, 'under their names');
    }

    /** @return Generator<string, array{int, int}> parts, and people up to which every sum is tried */
    public static function sizes(): Generator
    {
        yield 'one' => [1, 60];
        yield 'two' => [2, 60];
        yield 'three' => [3, 30];
        yield 'four' => [4, 20];
        yield 'five' => [5, 13];
        yield 'six' => [6, 11];
    }

    /** Whoever knows what is given away, and how it is made, still does not know any small number. */
    #[DataProvider('sizes')]
    public function test_no_small_number_follows_from_what_is_given(int $count, int $most): void
    {
        $meant = [];
        for ($total = 0; $total <= $most; $total++) {
            foreach (self::sums($total, $count) as $parts) {
                $numbers = SmallNumbers::of($parts);
                foreach ($parts as $place => $part) {
                    self::assertTrue($numbers->parts[$place] === null || ($numbers->parts[$place] === $part && ($part === 0 || $part >= SmallNumbers::LEAST)));
                    $meant[json_encode([$numbers->total, $numbers->parts])][$place][$part] = true;
                }
            }
        }
        foreach ($meant as $given => $places) {
            foreach ($places as $values) {
                $small = array_filter(array_keys($values), fn (int $value) => $value > 0 && $value < SmallNumbers::LEAST);
                self::assertTrue($small === [] || count($values) > 1, $given);
            }
        }
    }

    /** @return Generator<list<int>> */
    private static function sums(int $total, int $count): Generator
    {
        if ($count === 1) {
            yield [$total];

            return;
        }
        for ($first = 0; $first <= $total; $first++) {
            foreach (self::sums($total - $first, $count - 1) as $rest) {
                yield [$first, ...$rest];
            }
        }
    }
}
