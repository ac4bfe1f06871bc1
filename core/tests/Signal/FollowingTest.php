<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\Followed;
use IvoryPace\Signal\Following;
use IvoryPace\Signal\MadeUp\Chance;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Steps\Resampling;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FollowingTest extends TestCase
{
    public function test_who_breathes_as_it_is_played_a_little_late_follows(): void
    {
        $made = new MadeUpBreathing([4.0, 0.0, 6.0, 0.0], 12, noiseDb: 20);
        $following = self::following($made, 10.0, 0.5, count: 12);
        self::assertSame([12, 12, 1.0], [$following->followed(), $following->seen(), $following->share()]);
        self::assertEqualsWithDelta(0.5, $following->lag, 0.15);
        self::assertEqualsWithDelta(1.0, $following->ratioKept, 0.1);
        // Ahead of it is a lag below nothing.
        self::assertEqualsWithDelta(-1.0, self::following($made, 10.0, -1.0, count: 12)->lag, 0.15);
        // A shorter exhale keeps less of the ratio.
        $short = new MadeUpBreathing([5.0, 0.0, 5.0, 0.0], 12, noiseDb: 20);
        self::assertEqualsWithDelta(2 / 3, self::following($short, 10.0, 0.0, count: 12)->ratioKept, 0.08);
    }

    /** @return array<string, array{float}> */
    public static function otherPaces(): array
    {
        return ['one and a half times' => [1.5], 'twice' => [2.0], 'three times' => [3.0], 'half' => [0.5], 'two thirds' => [2 / 3]];
    }

    #[DataProvider('otherPaces')]
    public function test_another_pace_is_not_followed(float $times): void
    {
        $length = 10 / $times;
        $shares = [];
        foreach (range(0, 9) as $phase) {
            $made = new MadeUpBreathing([0.4 * $length, 0.0, 0.6 * $length, 0.0], (int) (40 * $times), seed: $phase + 1, noiseDb: 20);
            $shares[] = self::following($made, 10.0, -$phase, count: 30)->share() ?? 0.0;
        }
        self::assertLessThanOrEqual(0.5, max($shares), implode(' ', $shares));
        self::assertLessThan(0.4, array_sum($shares) / count($shares));
    }

    public function test_the_right_pace_at_any_moment_is_followed_by_chance_half_of_the_time(): void
    {
        $chance = new Chance(11);
        $share = [];
        for ($n = 0; $n < 40; $n++) {
            $made = new MadeUpBreathing([4.0, 0.0, 6.0, 0.0], 22, seed: $n, noiseDb: 25);
            $share[] = self::following($made, 10.0, $chance->between(0, 10), count: 20)->share() ?? 0.0;
        }
        self::assertEqualsWithDelta(0.5, array_sum($share) / count($share), 0.15);
    }

    public function test_where_nothing_can_be_seen_nothing_is_said(): void
    {
        $made = new MadeUpBreathing([4.0, 0.0, 6.0, 0.0], 12, noiseDb: 20, speech: [[63.0, 83.0]]);
        $following = self::following($made, 10.0, 0.0, count: 12);
        self::assertSame(Followed::Unknown, $following->breaths[7]);
        self::assertSame(Followed::Yes, $following->breaths[2]);
        self::assertLessThan(12, $following->seen());
        self::assertSame($following->seen(), $following->followed() + count(array_keys($following->breaths, Followed::No, true)));

        // Of a recording that ends after a third of the practice no share is told.
        $short = self::following(new MadeUpBreathing([4.0, 0.0, 6.0, 0.0], 4, noiseDb: 20), 10.0, 0.0, count: 12);
        self::assertNull($short->share());
        self::assertSame(4, $short->followed());
        $none = self::following(new MadeUpBreathing([4.0, 0.0, 6.0, 0.0], 4, noiseDb: 20), 10.0, -500.0, count: 3);
        self::assertSame([null, null, null, 0], [$none->share(), $none->lag, $none->ratioKept, $none->seen()]);
    }

    public function test_without_anything_played_nothing_was_followed(): void
    {
        $this->expectException(InvalidValue::class);
        Following::of([], Breaths::in(Resampling::even((new MadeUpBreathing([4.0, 0.0, 6.0, 0.0], 4))->belly())), 0, 40);
    }

    /** Breaths of one length with an exhale of one and a half inhales, played so much earlier than it was breathed. */
    private static function following(MadeUpBreathing $made, float $length, float $late, int $count): Following
    {
        $raw = Resampling::even($made->belly());
        $prescribed = array_map(fn (int $n) => ['start' => 3.0 - $late + $n * $length, 'length' => $length, 'ratio' => 1.5], range(0, $count - 1));

        return Following::of($prescribed, Breaths::in($raw), $raw->startsAt, $raw->startsAt + $raw->seconds());
    }
}
