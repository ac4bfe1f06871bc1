<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Calendar\Weekday;
use IvoryPace\Practice\Share;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Progress\Maintenance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MaintenanceTest extends TestCase
{
    /** @return iterable<string, array{list<int>, list<int>}> weekdays before and after, 1 for Monday */
    public static function weeks(): iterable
    {
        yield 'every day' => [[1, 2, 3, 4, 5, 6, 7], [1, 3, 5]];
        yield 'workdays' => [[1, 2, 3, 4, 5], [1, 2, 4]];
        yield 'three days stay' => [[2, 4, 7], [2, 4, 7]];
        yield 'one day stays' => [[6], [6]];
    }

    /**
     * @param  list<int>  $before
     * @param  list<int>  $after
     */
    #[DataProvider('weeks')]
    public function test_it_is_kept_up_on_fewer_days(array $before, array $after): void
    {
        $slot = $this->slots(Maintenance::of($this->item([['waking', $before]])))[0];

        self::assertSame($after, array_map(fn (Weekday $day) => $day->value, $slot->weekdays));
    }

    public function test_once_a_day_at_the_time_that_was_kept_best(): void
    {
        $item = $this->item([['waking', [1, 2, 3, 4, 5, 6, 7]], ['lights-out', [1, 3, 5, 7]]]);

        self::assertSame('waking', $this->slots(Maintenance::of($item))[0]->anchor->value, 'where nothing is known, the first');
        $kept = Maintenance::of($item, ['waking' => (new Share)->plus(10, 4.0), 'lights-out' => (new Share)->plus(6, 5.0)]);
        self::assertCount(1, $this->slots($kept));
        self::assertSame('lights-out', $this->slots($kept)[0]->anchor->value);
        self::assertSame([1, 3, 5], array_map(fn (Weekday $day) => $day->value, $this->slots($kept)[0]->weekdays));
    }

    public function test_breath_reason_and_lineage_stay(): void
    {
        $item = $this->item([['waking', [1, 2, 3, 4, 5, 6, 7]]]);
        $kept = Maintenance::of($item);

        self::assertSame([$item->lineage, $item->summary(), 'To sleep again.'], [$kept->lineage, $kept->summary(), $kept->why]);
    }

    public function test_a_routine_is_kept_up_whole_and_an_edited_ladder_goes(): void
    {
        $routine = DraftReader::read(['kind' => 'routine', 'routine_name' => 'Evening', 'steps' => [['kind' => 'exercise', 'technique' => 'square']], 'times_a_day' => 2], 'r')->item;
        self::assertNotNull($routine);
        $kept = Maintenance::of($routine);
        self::assertSame(['Evening', 1, 3], [$kept->name(), count($this->slots($kept)), count($this->slots($kept)[0]->weekdays)]);
        self::assertEquals($routine->routine, $kept->routine);

        $edited = $this->read(['times_a_day' => 1, 'ladder' => [['set' => ['breaths' => 14], 'days' => 3]]]);
        self::assertNotNull($edited->ladder);
        self::assertNull(Maintenance::of($edited)->ladder);
    }

    public function test_what_is_used_as_needed_stays(): void
    {
        $item = $this->read(['as_needed' => true, 'use_when' => 'a wave of panic comes', 'daily_most' => 4]);

        self::assertEquals($item, Maintenance::of($item));
    }

    /** @param  list<array{string, list<int>}>  $anchors */
    private function item(array $anchors): Item
    {
        return $this->read(['why' => 'To sleep again.', 'times_a_day' => count($anchors), 'anchors' => array_map(
            fn (array $anchor) => ['anchor' => $anchor[0], 'from' => $anchor[0] === 'waking' ? '06:00' : '21:00', 'to' => $anchor[0] === 'waking' ? '09:00' : '23:30', 'days' => $anchor[1]], $anchors,
        )]);
    }

    /** @param  array<string, mixed>  $fields */
    private function read(array $fields): Item
    {
        $draft = DraftReader::read(['technique' => 'extended-exhale', 'ratio' => '4:6', 'count_length' => 1.0, 'breaths' => 12, ...$fields], 'a');
        self::assertNotNull($draft->item, json_encode($draft->errors, JSON_THROW_ON_ERROR));

        return $draft->item;
    }

    /** @return list<AnchorSlot> */
    private function slots(Item $item): array
    {
        return $item->plan->slots ?? [];
    }
}
