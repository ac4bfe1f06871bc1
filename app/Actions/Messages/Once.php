<?php

declare(strict_types=1);

namespace App\Actions\Messages;

use Illuminate\Support\Facades\DB;

/** Whatever is sent is sent once, also when two workers come to it at the same moment. */
final class Once
{
    private const KEPT_DAYS = 60;

    /** True for the first who asks. */
    public static function first(string $what): bool
    {
        return DB::table('sent_messages')->insertOrIgnore(['what' => hash('sha256', $what), 'at' => now()]) === 1;
    }

    public static function forget(): void
    {
        DB::table('sent_messages')->where('at', '<', now()->subDays(self::KEPT_DAYS))->delete();
    }
}
