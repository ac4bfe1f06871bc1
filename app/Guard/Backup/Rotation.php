<?php

declare(strict_types=1);

namespace App\Guard\Backup;

use DateTimeImmutable;
use DateTimeZone;

/** Which backups are kept: the last of each of seven days, five weeks and twelve months that have one. */
final class Rotation
{
    /** By what a backup is counted, and how many of these are kept. */
    private const KEPT = ['Y-m-d' => 7, 'o-W' => 5, 'Y-m' => 12];

    public const NAME = '/^ivory-pace-(\d{8}T\d{6})Z\.backup$/';

    /**
     * @param  list<string>  $names  of files; those that are no backups are left alone
     * @return list<string> what can go
     */
    public static function superfluous(array $names): array
    {
        $times = [];
        foreach ($names as $name) {
            $at = preg_match(self::NAME, $name, $found) === 1
                ? DateTimeImmutable::createFromFormat('Ymd\THis', $found[1], new DateTimeZone('UTC')) : false;
            if ($at !== false) {
                $times[$name] = $at;
            }
        }
        uasort($times, fn (DateTimeImmutable $one, DateTimeImmutable $other) => $other <=> $one);
        $kept = [];
        foreach (self::KEPT as $by => $many) {
            $last = [];
            foreach ($times as $name => $at) {
                $last[$at->format($by)] ??= $name;
            }
            $kept = [...$kept, ...array_slice(array_values($last), 0, $many)];
        }

        return array_values(array_diff(array_map(strval(...), array_keys($times)), $kept));
    }
}
