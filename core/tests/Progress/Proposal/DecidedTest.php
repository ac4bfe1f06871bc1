<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress\Proposal;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Practice\Share;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Progress\Proposal\Decided;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\Proposal\StepTaken;
use IvoryPace\Safety\PatientFacts;
use PHPUnit\Framework\TestCase;

final class DecidedTest extends TestCase
{
    public function test_each_decision_does_what_it_says(): void
    {
        $item = self::item();
        $up = self::of(Decision::StepUp, $item);
        self::assertTrue($up->isDone);
        self::assertEquals(StepTaken::up($item), $up->item);
        $back = self::of(Decision::StepBack, $item);
        self::assertTrue($back->isDone);
        self::assertEquals(StepTaken::back($item, []), $back->item);
        foreach ([Decision::Stay, Decision::GoOn, Decision::Pause] as $decision) {
            self::assertSame([$item, true], [self::of($decision, $item)->item, self::of($decision, $item)->isDone]);
        }
        self::assertNull(self::of(Decision::Stop, $item)->item);
    }

    public function test_lightening_takes_away_the_time_that_was_kept_least(): void
    {
        $item = self::item(['times_a_day' => 3, 'anchors' => [self::anchor('waking', '07:00', '08:00'), self::anchor('lunch', '12:00', '13:00'), self::anchor('lights-out', '22:00', '23:00')]]);
        $left = fn (array $kept): array => array_map(
            fn (AnchorSlot $slot) => $slot->anchor->value, Decided::of(Decision::Lighten, $item, new Reach, [], new PatientFacts, $kept)->item->plan->slots ?? [],
        );
        $share = fn (float $credit): Share => (new Share)->plus(10, $credit);

        self::assertSame(['waking', 'lunch'], $left([]));
        self::assertSame(['waking', 'lights-out'], $left(['waking' => $share(9), 'lunch' => $share(2), 'lights-out' => $share(3)]));
        self::assertSame(['lunch', 'lights-out'], $left(['waking' => $share(1)]));
        $once = self::item(['times_a_day' => 1, 'anchors' => [self::anchor('waking', '07:00', '08:00')]]);
        self::assertSame([false, $once], [self::of(Decision::Lighten, $once)->isDone, self::of(Decision::Lighten, $once)->item]);
    }

    /** Over the catalogue: what was done is what was decided, is told apart from every other decision, and survives being written. */
    public function test_what_is_done_is_what_was_decided_over_the_whole_catalogue(): void
    {
        $done = 0;
        foreach (Catalogue::all() as $technique) {
            $item = DraftReader::read(['technique' => $technique->key], 'x')->item;
            if ($item === null || $item->plan === null) {
                continue;
            }
            foreach (Decision::offered() as $decision) {
                $made = self::of($decision, $item);
                if (! $made->isDone) {
                    self::assertSame($item, $made->item, "{$technique->key} {$decision->value}: what cannot be done stays as it is");

                    continue;
                }
                $done++;
                self::assertTrue(Decided::isWhat($decision, $item, $made->item, [], new PatientFacts), "{$technique->key} {$decision->value}");
                if ($decision->changesTheProgramme()) {
                    self::assertFalse(Decided::isWhat(Decision::Stay, $item, $made->item, [], new PatientFacts), "{$technique->key} {$decision->value}");
                }
                if ($made->item !== null) {
                    $again = DraftReader::read(ItemFields::write($made->item), 'x')->item;
                    self::assertTrue(Decided::isWhat($decision, $item, $again, [], new PatientFacts), "{$technique->key} {$decision->value}, written and read");
                }
            }
        }
        self::assertGreaterThan(100, $done);
    }

    /** @param  array<string, mixed>  $fields */
    private static function item(array $fields = []): Item
    {
        $item = DraftReader::read(['technique' => 'extended-exhale', 'ratio' => '4:0:6:1', 'breaths' => 12, 'times_a_day' => 2, ...$fields], 'x')->item;
        self::assertNotNull($item);

        return $item;
    }

    private static function of(Decision $decision, Item $item): Decided
    {
        return Decided::of($decision, $item, new Reach, [], new PatientFacts);
    }

    /** @return array<string, mixed> */
    private static function anchor(string $anchor, string $from, string $to): array
    {
        return ['anchor' => $anchor, 'from' => $from, 'to' => $to, 'days' => [1, 2, 3, 4, 5, 6, 7]];
    }
}
