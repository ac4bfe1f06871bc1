<?php

declare(strict_types=1);

namespace IvoryPace\Tests;

use IvoryPace\InvalidValue;
use IvoryPace\Median;
use PHPUnit\Framework\TestCase;

final class MedianTest extends TestCase
{
    public function test_it_is_the_middle_or_the_mean_of_the_two_in_the_middle(): void
    {
        self::assertSame(3.0, Median::of([9, 3, 1]));
        self::assertSame(2.5, Median::of(['b' => 4, 'a' => 1, 'c' => 2, 'd' => 3]));
        $this->expectException(InvalidValue::class);
        Median::of([]);
    }
}
