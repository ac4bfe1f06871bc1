<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Median;
use IvoryPace\Numbers;

/**
 * Two stretches of days side by side. A change is given only where both have enough values; it says how much, never why.
 */
final class TwoPeriods
{
    /** Values on each side from which a change is given. */
    public const LEAST = 4;

    /** @return list<array{what: string, then: string, now: string, change: string|null}> only what either has */
    public static function lines(PeriodSummary $then, PeriodSummary $now, string $rated): array
    {
        $a = $then->evidence;
        $b = $now->evidence;
        $lines = [
            self::line(
                'Practised', self::percent($a->adherence()), self::percent($b->adherence()),
                self::points($a->adherence(), $b->adherence(), min($a->due, $b->due)),
            ),
            self::line('Practices', (string) $a->practices, (string) $b->practices, null),
            self::line('Stopped for a symptom', (string) $a->stops, (string) $b->stops, null),
            self::median('Effort', $a->effort, $b->effort, $a->effortSaid, $b->effortSaid),
            self::line('Smooth', self::of($a->smooth, $a->smoothSaid), self::of($b->smooth, $b->smoothSaid), self::points(
                $a->smoothSaid === 0 ? null : $a->smooth / $a->smoothSaid, $b->smoothSaid === 0 ? null : $b->smooth / $b->smoothSaid,
                min($a->smoothSaid, $b->smoothSaid),
            )),
            self::median(ucfirst($rated).' before practice', $a->before, $b->before, $a->ratedTwice, $b->ratedTwice),
            self::median(ucfirst($rated).' after practice', $a->after, $b->after, $a->ratedTwice, $b->ratedTwice),
        ];
        foreach (array_keys($then->ratings + $now->ratings) as $what) {
            $first = $then->ratings[$what] ?? [];
            $last = $now->ratings[$what] ?? [];
            $lines[] = self::median(
                "$what, diary", $first === [] ? null : Median::of($first), $last === [] ? null : Median::of($last), count($first),
                count($last),
            );
        }

        return array_values(array_filter($lines, fn (array $line) => $line['then'] !== '–' || $line['now'] !== '–'));
    }

    /** @return array{what: string, then: string, now: string, change: string|null} */
    private static function median(string $what, ?float $then, ?float $now, int $before, int $after): array
    {
        $print = fn (?float $value, int $of) => $value === null ? '–' : Numbers::print($value)." ($of)";

        return self::line(
            $what, $print($then, $before), $print($now, $after),
            $then === null || $now === null || min($before, $after) < self::LEAST ? null : self::signed($now - $then),
        );
    }

    /** @return array{what: string, then: string, now: string, change: string|null} */
    private static function line(string $what, string $then, string $now, ?string $change): array
    {
        return ['what' => $what, 'then' => $then, 'now' => $now, 'change' => $change];
    }

    private static function points(?float $then, ?float $now, int $least): ?string
    {
        return $then === null || $now === null || $least < self::LEAST
            ? null
            : self::signed(round(100 * $now) - round(100 * $then), ' points');
    }

    private static function signed(float $change, string $unit = ''): string
    {
        $signed = Numbers::signed($change);

        return $signed === '0' ? 'no change' : $signed.$unit;
    }

    private static function percent(?float $share): string
    {
        return $share === null ? '–' : round(100 * $share).' %';
    }

    private static function of(int $part, int $whole): string
    {
        return $whole === 0 ? '–' : "$part of $whole";
    }
}
