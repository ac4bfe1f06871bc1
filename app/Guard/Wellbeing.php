<?php

declare(strict_types=1);

namespace App\Guard;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Whether the parts that the application needs are well. */
final class Wellbeing
{
    /** What is due this long and was not begun, or beats no more, is not well, in s. */
    private const PATIENCE_S = 300;

    private const LEAST_FREE_BYTES = 200_000_000;

    private const BEAT = 'scheduler-beat';

    /** @return array{database: bool, queue: bool, scheduler: bool, disk: bool} */
    public static function parts(): array
    {
        $database = self::isTrue(fn () => DB::scalar('select 1') === 1);

        return [
            'database' => $database,
            'queue' => $database && self::isTrue(fn () => ! DB::table('jobs')->whereNull('reserved_at')
                ->where('available_at', '<', now()->getTimestamp() - self::PATIENCE_S)->exists()),
            // It has beaten never before it was first started.
            'scheduler' => $database && self::isTrue(
                fn () => now()->getTimestamp() - (int) Cache::get(self::BEAT, now()->getTimestamp()) < self::PATIENCE_S,
            ),
            'disk' => self::isTrue(fn () => is_writable(storage_path('logs')) && disk_free_space(storage_path()) > self::LEAST_FREE_BYTES),
        ];
    }

    /** The scheduler calls it every minute. */
    public static function beat(): void
    {
        Cache::put(self::BEAT, now()->getTimestamp(), now()->addDays(30));
    }

    /** @param  callable(): bool  $is */
    private static function isTrue(callable $is): bool
    {
        try {
            return $is();
        } catch (Throwable) {
            return false;
        }
    }
}
