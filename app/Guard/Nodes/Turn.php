<?php

declare(strict_types=1);

namespace App\Guard\Nodes;

use Illuminate\Support\Facades\DB;

/**
 * Who decides about a patient decides after whoever came before. On one server the lock of the patient's row sees to that. A lock
 * holds on its own node only: where there are several, both write the same row, and the second of them meets the first.
 */
final class Turn
{
    private const ROWS = 256;

    /** Inside of a transaction; what comes second is refused by the database as a conflict, and tried again. */
    public static function take(string $patient): void
    {
        if (FirstReady::in(config('database.connections.mariadb.nodes')) !== []) {
            $row = crc32($patient) % self::ROWS;
            DB::insert('insert into turns (id, taken) values (?, 1) on duplicate key update taken = taken + 1', [$row]);
        }
    }
}
