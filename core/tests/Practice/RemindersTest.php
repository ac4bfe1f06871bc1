<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use IvoryPace\Practice\DueSlot;
use IvoryPace\Practice\Reminders;
use IvoryPace\Practice\TodaySlot;
use IvoryPace\Programme\Anchor;
use PHPUnit\Framework\TestCase;

final class RemindersTest extends TestCase
{
    use AdherenceFixture;

    public function test_one_is_reminded_once_half_of_the_window_is_over_and_until_it_closes(): void
    {
        $due = fn (string $time) => $this->due([$this->slot('a', Anchor::Lunch, '11:30', '14:00')], $time);
        self::assertSame([[], ['a'], ['a'], []], [$due('12:44'), $due('12:45'), $due('13:59'), $due('14:00')]);
        // A window of odd length: the minute before its middle.
        self::assertSame('12:07', $this->slot('a', Anchor::Own, '12:00', '12:15')->due->remindsAt()->format('H:i'));
    }

    public function test_nobody_is_reminded_of_what_is_done_put_off_or_paused(): void
    {
        $slots = [$this->slot('a', Anchor::Lunch, '11:30', '14:00'), $this->slot('b', Anchor::Afternoon, '11:30', '14:00')];
        self::assertSame(['a', 'b'], $this->due($slots, '13:00'));
        self::assertSame(['b'], $this->due($slots, '13:00', paused: ['a']));
        self::assertSame(['a'], $this->due($slots, '13:00', putOff: [Reminders::key('b', 'afternoon'), Reminders::key('a', 'waking')]));
        $done = new TodaySlot($slots[0]->due, self::practice('2026-12-01 12:00'));
        self::assertSame(['b'], $this->due([$done, $slots[1]], '13:00'));
    }

    public function test_exercises_of_one_habit_are_one_reminder(): void
    {
        $slots = [$this->slot('a', Anchor::Lunch, '11:30', '14:00'), $this->slot('b', Anchor::Lunch, '11:30', '14:00')];
        self::assertSame(['a'], $this->due($slots, '13:00'));
        self::assertSame(['b'], $this->due($slots, '13:00', paused: ['a']), 'the other one still stands');
    }

    /**
     * @param  list<TodaySlot>  $slots
     * @param  list<string>  $paused
     * @param  list<string>  $putOff
     * @return list<string> lineages
     */
    private function due(array $slots, string $time, array $paused = [], array $putOff = []): array
    {
        return array_map(fn (DueSlot $slot) => $slot->lineage, Reminders::due($slots, $paused, $putOff, new DateTimeImmutable("2026-12-01 $time")));
    }

    private function slot(string $lineage, Anchor $anchor, string $from, string $to): TodaySlot
    {
        return new TodaySlot(
            new DueSlot($lineage, $anchor, new DateTimeImmutable("2026-12-01 $from"), new DateTimeImmutable("2026-12-01 $to")), null,
        );
    }
}
