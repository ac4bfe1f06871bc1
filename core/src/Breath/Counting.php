<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/** How the beats of a phase are counted. */
enum Counting: string
{
    case Up = 'up';
    case Down = 'down';
    case Silent = 'silent';

    /** The number that belongs to a beat; null when nothing is said. Beats are numbered from 0. */
    public function numberAt(int $beat, int $beats): ?int
    {
        return match ($this) {
            self::Up => $beat + 1,
            self::Down => $beats - $beat,
            self::Silent => null,
        };
    }
}
