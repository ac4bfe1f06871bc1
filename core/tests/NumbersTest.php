<?php

declare(strict_types=1);

namespace IvoryPace\Tests;

use IvoryPace\InvalidValue;
use IvoryPace\Numbers;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NumbersTest extends TestCase
{
    /** @return iterable<string, array{float, int, string}> */
    public static function changes(): iterable
    {
        yield 'up' => [0.256, 2, '+0.26'];
        yield 'down' => [-1.5, 2, '−1.5'];
        yield 'whole' => [-7.0, 1, '−7'];
        yield 'nothing' => [0.0, 2, '0'];
        yield 'less than is shown has no sign' => [-0.04, 1, '0'];
        yield 'minus nothing' => [-0.0, 2, '0'];
    }

    #[DataProvider('changes')]
    public function test_a_change_has_its_sign(float $change, int $decimals, string $words): void
    {
        self::assertSame($words, Numbers::signed($change, $decimals));
    }

    public function test_numbers_are_read_as_people_type_them(): void
    {
        self::assertSame([12.0, 0.8, -3.25, 4.0], array_map(fn (mixed $typed) => Numbers::read($typed, 'counts'), ['12', ' 0.8 ', '-3.25', 4]));
        self::assertSame(['12', '0.8', '0.33'], array_map(Numbers::print(...), [12.0, 0.8, 1 / 3]));
    }

    public function test_a_message_repeats_only_the_beginning_of_what_was_typed(): void
    {
        $this->expectExceptionMessageMatches('/^“x{40}…” is not a number of counts; write it like 12 or 0\.8\.$/uD');
        Numbers::read(str_repeat('x', 600), 'counts');
    }

    /** @return iterable<string, array{mixed}> */
    public static function bad(): iterable
    {
        foreach (['', 'twelve', '1,5', '1e3', '1234567', '0.12345', null, [], NAN, INF, "1\n2"] as $typed) {
            yield var_export($typed, true) => [$typed];
        }
    }

    #[DataProvider('bad')]
    public function test_what_is_no_number_is_refused_in_words(mixed $typed): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessageMatches('/number of counts/');
        Numbers::read($typed, 'counts');
    }
}
