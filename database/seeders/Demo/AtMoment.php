<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Carbon\CarbonImmutable;
use Closure;
use DateTimeInterface;
use Illuminate\Support\Carbon;

/** Does something as if it were another moment, and goes back to the *now* that was there before. */
final class AtMoment
{
    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function do(DateTimeInterface $moment, callable $do): mixed
    {
        $before = Carbon::getTestNow();
        self::set($moment);
        try {
            return $do();
        } finally {
            self::set($before);
        }
    }

    private static function set(DateTimeInterface|Closure|null $now): void
    {
        Carbon::setTestNow($now);
        CarbonImmutable::setTestNow($now);
    }
}
