<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/**
 * Reads breath notation and says exactly what is wrong with what it cannot read.
 *
 * Forgiving where nothing can be misunderstood: spaces around separators, dashes or en dashes in place of
 * colons throughout. Anything else is an error rather than a guess.
 */
final class NotationReader
{
    private const MAX_LENGTH = 60;

    /** @throws InvalidPattern */
    public static function read(string $notation): BreathPattern
    {
        $text = trim($notation);
        if ($text === '') {
            throw InvalidPattern::saying('There is no ratio yet.');
        }
        if (! mb_check_encoding($text, 'UTF-8') || mb_strlen($text) > self::MAX_LENGTH) {
            throw InvalidPattern::saying('This is too long to be a ratio.');
        }
        self::refuseStrangers($text);

        $separator = self::separator($text);
        $parts = array_map(trim(...), explode($separator, self::withOneKindOfDash($text)));
        self::refuseGaps($text, $parts);

        if (count($parts) < 2) {
            throw InvalidPattern::saying("“{$text}” has only one number; a ratio needs at least inhale and exhale.");
        }
        if (count($parts) > 4) {
            throw InvalidPattern::saying("“{$text}” has ".count($parts).' numbers; a breath has at most four phases.');
        }

        [$inhale, $topUp] = self::inhale($parts[0]);
        $rest = array_map(self::plainCounts(...), array_slice($parts, 1));

        return match (count($rest)) {
            1 => BreathPattern::ofCounts($inhale, $topUp, Counts::zero(), $rest[0], Counts::zero()),
            2 => BreathPattern::ofCounts($inhale, $topUp, $rest[0], $rest[1], Counts::zero()),
            default => BreathPattern::ofCounts($inhale, $topUp, $rest[0], $rest[1], $rest[2]),
        };
    }

    private static function refuseStrangers(string $text): void
    {
        if (str_contains($text, ',')) {
            throw InvalidPattern::saying("“{$text}” has a comma; write decimals with a point, like 1.5.");
        }
        if (preg_match('/[^\d.:+\-–—\s]/u', $text, $match) === 1) {
            throw InvalidPattern::saying("“{$match[0]}” does not belong in a ratio.");
        }
        if (preg_match('/^[+\-–—]/u', $text) === 1 || preg_match('/[:][\s]*[+\-–—]/u', $text) === 1) {
            throw InvalidPattern::saying("“{$text}” has a sign; counts are never negative and need no plus.");
        }
    }

    /** @return non-empty-string */
    private static function separator(string $text): string
    {
        $colons = str_contains($text, ':');
        $dashes = preg_match('/[-–—]/u', $text) === 1;
        if ($colons && $dashes) {
            throw InvalidPattern::saying("“{$text}” mixes colons and dashes; use one of them throughout.");
        }

        return $dashes ? '-' : ':';
    }

    private static function withOneKindOfDash(string $text): string
    {
        return str_replace(['–', '—'], '-', $text);
    }

    /** @param  list<string>  $parts */
    private static function refuseGaps(string $text, array $parts): void
    {
        if (end($parts) === '') {
            throw InvalidPattern::saying("“{$text}” ends with a separator; a number is missing after it.");
        }
        if (in_array('', $parts, true)) {
            throw InvalidPattern::saying("“{$text}” has two separators with nothing between them.");
        }
    }

    /** @return array{Counts, Counts} inhale and top-up */
    private static function inhale(string $part): array
    {
        $halves = array_map(trim(...), explode('+', $part));
        if (count($halves) > 2 || in_array('', $halves, true)) {
            throw InvalidPattern::saying("“{$part}” is not an inhale with one top-up; write it like 2+1.");
        }

        return [Counts::parse($halves[0]), isset($halves[1]) ? Counts::parse($halves[1]) : Counts::zero()];
    }

    private static function plainCounts(string $part): Counts
    {
        if (str_contains($part, '+')) {
            throw InvalidPattern::saying("“{$part}”: only the inhale can have a top-up.");
        }

        return Counts::parse($part);
    }
}
