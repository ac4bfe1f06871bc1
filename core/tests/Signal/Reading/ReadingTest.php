<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal\Reading;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Reading\Inked;
use IvoryPace\Signal\Reading\PlayedBreath;
use IvoryPace\Signal\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReadingTest extends TestCase
{
    public function test_a_phone_that_went_with_every_breath_followed_every_breath(): void
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 12, noiseDb: 20);
        $reading = Reading::phone($made->phone(), 3.0, self::led($made));

        self::assertNotNull($reading->following);
        self::assertSame(12, $reading->following->followed());
        self::assertSame(12, $reading->following->seen());
        self::assertEqualsWithDelta(6.0, $reading->rate, 0.1);
        self::assertEqualsWithDelta(1.5, $reading->ratio, 0.2);
        self::assertSame('yyyyyyyyyyyy', $reading->details()['each']);
        self::assertFalse($reading->isEmpty());
    }

    /** The truth beside the trace is a second way to compute it. */
    public function test_a_phone_that_came_late_says_how_late(): void
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 12, noiseDb: 20);
        $reading = Reading::phone($made->phone(), 3.0, self::led($made, -0.5));

        self::assertEqualsWithDelta(0.5, $reading->following?->lag, 0.12);
    }

    public function test_two_breaths_that_were_held_instead_were_not_followed(): void
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 12, noiseDb: 20, held: [5, 20.0]);
        $led = [];
        for ($n = 0; $n < 14; $n++) {
            $led[] = [3000 + 10_000 * $n, 4000, 6000, 10_000];
        }
        $reading = Reading::phone($made->phone(), 3.0, PlayedBreath::list($led));

        self::assertSame(12, $reading->following?->followed());
        self::assertSame('yyyyyynnyyyyyy', $reading->details()['each']);
    }

    public function test_a_phone_that_lies_the_other_way_round_is_turned_by_the_breath_that_was_asked_for(): void
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 8, noiseDb: 20);
        $turned = array_map(fn (array $each) => [$each[0], -$each[1], -$each[2], $each[3]], $made->phone());

        self::assertSame(8, Reading::phone($turned, 3.0, self::led($made))->following?->followed());
    }

    public function test_what_is_inked_is_the_breath_that_was_breathed(): void
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 8);
        $inked = Reading::phone($made->phone(), 3.0, self::led($made))->inked;

        self::assertNotNull($inked);
        self::assertCount(Inked::POINTS, $inked);
        self::assertSame([0, 100], [min($inked), max($inked)]);
        // Four tenths of the way the breath is in; at both ends it is out.
        self::assertEqualsWithDelta(16, array_search(100, $inked, true), 1);
        self::assertLessThan(8, $inked[0]);
        self::assertLessThan(8, $inked[40]);
        self::assertEqualsWithDelta(50, $inked[8], 8);
    }

    public function test_breaths_of_all_lengths_are_not_inked(): void
    {
        $made = new MadeUpBreathing([3, 0, 4, 0], 8, irregular: 0.3);

        self::assertNull(Reading::phone($made->phone(), 3.0, self::led($made))->inked);
    }

    public function test_two_belts_say_the_share_of_the_belly_and_how_far_they_are_apart(): void
    {
        $made = new MadeUpBreathing([3, 0, 3, 0], 12, apart: 60, chestSize: 0.5);
        $reading = Reading::belts($made->belly(), $made->chest());

        self::assertNull($reading->following);
        self::assertEqualsWithDelta(60, $reading->belts?->angle, 2);
        self::assertEqualsWithDelta(2 / 3, $reading->belts->bellyShare, 0.02);
        self::assertEqualsWithDelta(10.0, $reading->rate, 0.1);
    }

    /** One belt of which the numbers are ten times as large is not ten times as much breath. */
    public function test_a_breath_to_compare_by_makes_the_belts_of_one_unit(): void
    {
        $made = new MadeUpBreathing([3, 0, 3, 0], 14, chestSize: 0.5);
        $loud = array_map(fn (array $each) => [$each[0], 10 * $each[1]], $made->belly());
        // The first breath fills both alike.
        $same = fn (array $samples, float $times) => array_map(
            fn (array $each) => [$each[0], $each[0] < 9 ? $times * $each[1] : $each[1]], $samples,
        );
        $reading = Reading::belts($same($loud, 1.0), $same($made->chest(), 2.0), [], 2.0);

        self::assertEqualsWithDelta(2 / 3, $reading->belts?->bellyShare, 0.02);
    }

    public function test_belts_of_which_one_began_later_are_read_where_both_are(): void
    {
        $made = new MadeUpBreathing([3, 0, 3, 0], 14, apart: 40);
        $late = array_values(array_filter($made->chest(), fn (array $each) => $each[0] >= 10.52));

        self::assertEqualsWithDelta(40, Reading::belts($made->belly(), $late)->belts?->angle, 3);
        self::assertNull(Reading::belts($made->belly(), [])->belts);
        self::assertNull(Reading::belts([], $made->chest())->belts);
    }

    public function test_a_table_says_nothing(): void
    {
        $still = array_map(fn (int $n) => [$n / 25, 0.1, 0.2, 9.81], range(0, 1500));
        $reading = Reading::phone($still, 3.0, PlayedBreath::list([[5000, 4000, 6000, 10_000], [15_000, 4000, 6000, 10_000]]));

        self::assertTrue($reading->isEmpty());
        self::assertNull($reading->rate);
    }

    public function test_breaths_that_meet_within_what_clocks_differ_are_breaths(): void
    {
        self::assertCount(2, PlayedBreath::list([[0, 1600, 2000, 4000], [3800, 1600, 2000, 4000]]));
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function noBreaths(): iterable
    {
        yield 'nothing' => [null, 'a list'];
        yield 'a word' => [['in'], 'Breath 1 is four numbers'];
        yield 'three numbers' => [[[0, 4000, 6000]], 'Breath 1 is four numbers'];
        yield 'parts of ms' => [[[0.5, 4000, 6000, 10_000]], 'Breath 1 is four numbers'];
        yield 'before the recording' => [[[-1, 4000, 6000, 10_000]], 'Breath 1 is none'];
        yield 'no inhale' => [[[0, 0, 6000, 10_000]], 'Breath 1 is none'];
        yield 'longer than itself' => [[[0, 5000, 6000, 10_000]], 'Breath 1 is none'];
        yield 'three minutes and more' => [[[0, 5000, 6000, 180_001]], 'Breath 1 is none'];
        yield 'one in another' => [[[0, 4000, 6000, 10_000], [9000, 4000, 6000, 10_000]], 'Breath 2 begins before'];
        yield 'too many' => [array_fill(0, PlayedBreath::MOST + 1, [0, 1, 1, 2]), 'at most 2000'];
    }

    #[DataProvider('noBreaths')]
    public function test_what_cannot_have_been_played_is_refused(mixed $sent, string $why): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($why);
        PlayedBreath::list($sent);
    }

    /** @return list<PlayedBreath> */
    private static function led(MadeUpBreathing $made, float $earlier = 0.0): array
    {
        return PlayedBreath::list(array_map(fn (array $each) => [
            (int) round(1000 * ($each['start'] + $earlier)), (int) round(1000 * $each['inhale']), (int) floor(1000 * $each['exhale']),
            (int) floor(1000 * ($each['inhale'] + $each['hold'] + $each['exhale'] + $each['rest'])),
        ], $made->truth));
    }
}
