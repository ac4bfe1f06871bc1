<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Practice\Today;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\History;
use PHPUnit\Framework\TestCase;

final class TodayTest extends TestCase
{
    use AdherenceFixture;

    public function test_slots_come_in_the_order_of_the_day(): void
    {
        $today = $this->today([]);

        self::assertSame(['waking', 'lunch', 'lights-out'], array_map(fn ($slot) => $slot->due->anchor->value, $today->slots));
        self::assertSame(0, $today->done);
    }

    public function test_a_practice_fills_its_own_anchor_and_others_the_first_free(): void
    {
        $today = $this->today([['13:00', Anchor::Lunch], ['13:20', null]]);

        self::assertSame([true, true, false], array_map(fn ($slot) => $slot->record !== null, $today->slots));
        self::assertSame(2, $today->done);
    }

    public function test_one_lunch_practice_fills_lunch_whatever_else_was_done_before(): void
    {
        self::assertSame([false, true, false], array_map(fn ($slot) => $slot->record !== null, $this->today([['13:00', Anchor::Lunch]])->slots));
        self::assertSame([true, true, false], array_map(fn ($slot) => $slot->record !== null, $this->today([['06:30', null], ['13:00', Anchor::Lunch]])->slots), 'its own anchor comes first, then what is left in order');
        self::assertSame([true, true, false], array_map(fn ($slot) => $slot->record !== null, $this->today([['13:00', Anchor::Lunch], ['13:10', Anchor::Lunch]])->slots), 'a second one fills the first that is free');
        $early = $this->today([['13:30', Anchor::Lunch], ['13:00', Anchor::Lunch]])->slots[1]->record;
        self::assertSame('13:00', $early?->startedAt->format('H:i'), 'in the order of the day');
    }

    public function test_more_than_planned_fills_every_slot_once(): void
    {
        self::assertSame(3, $this->today([['07:00', null], ['12:00', null], ['22:00', null], ['23:00', null]])->done);
    }

    /** @param  list<array{string, Anchor|null}>  $practices */
    private function today(array $practices): Today
    {
        $day = PatientDay::of('2026-11-10');
        $due = new DuePractices(new History([self::version(1, '2026-11-01', ['a' => self::plan(3)])]), PatientClock::in('UTC'));
        $records = array_map(fn (array $practice) => new PracticeRecord(
            'a', new DateTimeImmutable("2026-11-10 {$practice[0]} UTC"), 12, 12, anchor: $practice[1],
        ), $practices);

        return new Today($due->on($day), $records);
    }
}
