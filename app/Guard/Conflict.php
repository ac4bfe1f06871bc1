<?php

declare(strict_types=1);

namespace App\Guard;

use Illuminate\Database\ConcurrencyErrorDetector;
use Throwable;

/**
 * Two changed the same at once, in one database or on two nodes of it: of the second nothing was kept. Here, and nowhere else, it is
 * tried again from the beginning.
 */
final class Conflict
{
    private const TRIES = 3;

    /**
     * @template T
     *
     * @param  callable(int): T  $do  gets how often it was tried before; reads anew whatever it changes
     * @param  (callable(T): ?Throwable)|null  $problemIn  where it answers with its problem instead of throwing it
     * @return T
     *
     * @throws Throwable whatever else it met, and the last conflict
     */
    public static function settle(callable $do, ?callable $problemIn = null): mixed
    {
        for ($before = 0; ; $before++) {
            $isLast = $before === self::TRIES - 1;
            try {
                $result = $do($before);
                $problem = $problemIn === null ? null : $problemIn($result);
                if ($isLast || $problem === null || ! self::is($problem)) {
                    return $result;
                }
            } catch (Throwable $problem) {
                if ($isLast || ! self::is($problem)) {
                    throw $problem;
                }
            }
        }
    }

    public static function is(Throwable $problem): bool
    {
        return (new ConcurrencyErrorDetector)->causedByConcurrencyError($problem);
    }
}
