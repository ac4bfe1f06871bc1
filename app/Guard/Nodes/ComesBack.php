<?php

declare(strict_types=1);

namespace App\Guard\Nodes;

use Illuminate\Support\Facades\DB;

/** A worker speaks to the same node for an hour. Where there are several it asks now and then which is the first: it may be back. */
final class ComesBack
{
    private const EVERY_S = 20;

    private static int $asked = 0;

    /** Between two jobs. */
    public static function now(): void
    {
        $isDue = time() - self::$asked >= self::EVERY_S;
        if ($isDue && DB::connection() instanceof NodesConnection) {
            self::$asked = time();
            DB::disconnect();
        }
    }
}
