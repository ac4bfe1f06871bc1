<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

/** How many days are looked at, or waited for, wherever they are: each number in one place. Common practice. */
final class Windows
{
    /** What a device has done may wait so long before it is sent. */
    public const WAITS_AT_MOST_DAYS = 60;

    /** "Lately": stops that are worth a word, use as needed. */
    public const LATELY_DAYS = 7;

    /** The tallies of the caseload, ticks that can be entered from paper. */
    public const TALLY_DAYS = 14;

    /** @return array{waits_at_most: int, lately: int, tally: int} for devices and pages, which say them too */
    public static function forDevices(): array
    {
        return ['waits_at_most' => self::WAITS_AT_MOST_DAYS, 'lately' => self::LATELY_DAYS, 'tally' => self::TALLY_DAYS];
    }
}
