<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Session;

use IvoryPace\Assessment\ComfortCeiling;
use IvoryPace\Session\GrowingBreath;
use PHPUnit\Framework\TestCase;

final class GrowingBreathTest extends TestCase
{
    public function test_it_grows_by_a_count_from_the_first_length_to_the_longest_that_is_led(): void
    {
        $item = GrowingBreath::item();
        $cycles = $item->prescription->cycles();
        $inhales = array_map(fn ($cycle) => $cycle->inhaleSeconds(), $cycles);

        self::assertEqualsWithDelta((float) ComfortCeiling::FIRST_COUNTS, min($inhales), 1e-9);
        self::assertEqualsWithDelta((float) ComfortCeiling::LONGEST_COUNTS, max($inhales), 1e-9);
        foreach ($cycles as $cycle) {
            self::assertEqualsWithDelta($cycle->inhaleSeconds(), $cycle->seconds() / 2, 1e-9, 'as long out as in');
        }
    }
}
