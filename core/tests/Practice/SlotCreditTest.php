<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use IvoryPace\Practice\DueSlot;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Practice\SlotCredit;
use IvoryPace\Programme\Anchor;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SlotCreditTest extends TestCase
{
    /** @return iterable<string, array{list<array{Anchor|null, int}>, list<float|null>}> practices as anchor and breaths of 12, against waking, lunch and bedtime */
    public static function days(): iterable
    {
        $waking = Anchor::cases()[0];
        $bedtime = Anchor::cases()[2];
        yield 'nothing done' => [[], [null, null, null]];
        yield 'each its own' => [[[$bedtime, 12], [$waking, 6]], [0.5, null, 1.0]];
        yield 'the second of a time counts for the first that is without' => [[[$bedtime, 12], [$bedtime, 6]], [0.5, null, 1.0]];
        yield 'from no time' => [[[null, 12], [$waking, 12]], [1.0, 1.0, null]];
        yield 'what is over tops up' => [[[$waking, 6], [null, 6], [$bedtime, 6], [null, 9]], [1.0, 0.75, 0.5]];
        yield 'never more than due' => [[[null, 12], [null, 12], [null, 12], [null, 12]], [1.0, 1.0, 1.0]];
    }

    /**
     * @param  list<array{Anchor|null, int}>  $practices
     * @param  list<float|null>  $credits
     */
    #[DataProvider('days')]
    public function test_practices_find_their_times(array $practices, array $credits): void
    {
        $at = new DateTimeImmutable('2026-11-01 08:00 UTC');
        $slots = array_map(fn (int $which) => new DueSlot('a', Anchor::cases()[$which], $at, $at), [0, 1, 2]);
        $records = array_map(fn (array $practice) => new PracticeRecord('a', $at, $practice[1], 12, anchor: $practice[0]), $practices);

        self::assertSame($credits, SlotCredit::of($slots, $records));
        self::assertSame(array_values(array_filter($slots, fn (int $index) => $credits[$index] === null, ARRAY_FILTER_USE_KEY)), SlotCredit::free($slots, $records));
    }
}
