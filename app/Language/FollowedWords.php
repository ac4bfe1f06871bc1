<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Recording;

/** One sentence about what a phone felt: how many breaths were followed, and how late. It praises nothing and blames nobody. */
final class FollowedWords
{
    /** From so many half seconds on they are said as whole seconds. */
    private const HALVES = 3;

    public static function of(Recording $recording): string
    {
        if ($recording->followed === null || $recording->share() === null) {
            return (string) __($recording->rate === null ? 'felt.followed.nothing' : 'felt.followed.rate', [
                'rate' => rtrim(rtrim(number_format($recording->rate ?? 0, 1), '0'), '.'),
            ]);
        }
        $values = ['n' => $recording->followed, 'of' => $recording->seen, 'all' => $recording->prescribed];
        $unseen = $recording->seen === $recording->prescribed ? '' : __('felt.followed.seen', $values).' ';
        if ($recording->followed === 0) {
            return $unseen.__('felt.followed.none', $values);
        }
        $said = $recording->followed === $recording->seen ? 'felt.followed.all' : 'felt.followed.some';

        return $unseen.trans_choice($said, (int) $recording->seen, [...$values, 'when' => self::when($recording->lag_ms ?? 0)]);
    }

    private static function when(int $lagMs): string
    {
        $halves = (int) round(abs($lagMs) / 500);
        $side = $lagMs < 0 ? 'early' : 'late';
        $much = $halves <= self::HALVES ? (string) __("felt.followed.halves.$halves")
            : (string) __('felt.followed.seconds', ['n' => (int) round(abs($lagMs) / 1000)]);

        return $halves === 0 ? (string) __('felt.followed.in-time') : (string) __("felt.followed.$side", ['much' => $much]);
    }
}
