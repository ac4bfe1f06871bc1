<?php

declare(strict_types=1);

namespace App\Pages\Clinic;

use App\Models\Backup;
use App\Models\Clinic;
use Carbon\CarbonImmutable;

/** How old the last backup of the server is. */
final class BackupOf
{
    /** A nightly one that failed twice. */
    public const LATE_AFTER_DAYS = 2;

    private const MEGABYTE = 1_000_000;

    /** @return array{last: string|null, is_late: bool} when and how large, in the clinic's time */
    public static function clinic(Clinic $clinic, CarbonImmutable $now): array
    {
        $last = Backup::query()->orderByDesc('made_at')->first();

        return [
            'last' => $last === null ? null : $last->made_at->setTimezone($clinic->time_zone)->isoFormat('ddd D MMM YYYY, HH:mm').', '
                .self::size($last->bytes),
            'is_late' => $last === null || $last->made_at->addDays(self::LATE_AFTER_DAYS)->isBefore($now),
        ];
    }

    private static function size(int $bytes): string
    {
        return $bytes < self::MEGABYTE ? 'less than 1 MB' : round($bytes / self::MEGABYTE).' MB';
    }
}
