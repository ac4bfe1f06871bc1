<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Steps\Resampling;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The same steps by scipy 1.10 (find_peaks, savgol_filter), on the same recordings: what it said is kept in a snapshot, which
 * `bin/measure signals` writes after comparing several hundred.
 */
final class ScipyTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function recordings(): iterable
    {
        $all = json_decode((string) file_get_contents(__DIR__.'/../snapshots/scipy.json'), true, 16, JSON_THROW_ON_ERROR);
        self::assertGreaterThan(30, count($all));
        foreach ($all as $number => $each) {
            yield "$number: {$each['what']}" => [$each];
        }
    }

    /** @param  array<string, mixed>  $each */
    #[DataProvider('recordings')]
    public function test_breaths_start_within_one_sample_and_the_rate_is_the_same(array $each): void
    {
        $made = new MadeUpBreathing(...['noiseDb' => $each['made']['noiseDb'] ?? INF] + $each['made']);
        $breaths = Breaths::in(Resampling::even($made->belly()));
        self::assertSame(count($each['starts']), count($breaths->all));
        foreach ($breaths->starts() as $n => $start) {
            self::assertEqualsWithDelta($each['starts'][$n], $start, 0.04);
        }
        $lengths = array_map(fn ($breath) => $breath->length(), $breaths->all);
        sort($lengths);
        $middle = ($lengths[intdiv(count($lengths) - 1, 2)] + $lengths[intdiv(count($lengths), 2)]) / 2;
        self::assertEqualsWithDelta($each['rate'], 60 / $middle, 0.1);
    }
}
