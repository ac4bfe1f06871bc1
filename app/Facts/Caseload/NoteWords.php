<?php

declare(strict_types=1);

namespace App\Facts\Caseload;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * By which whole words a patient's signed notes are found. Notes are encrypted; what is kept of their words are keyed hashes,
 * another for each clinic, which tell nothing without the application's key.
 */
final class NoteWords
{
    /** Shorter ones stand in every note. */
    private const LEAST_LETTERS = 4;

    private const MOST = 4000;

    public static function keep(string $patient, int $clinic, string $text): void
    {
        $words = array_slice(self::wordsOf($text), 0, self::MOST);
        $rows = array_map(fn (string $word) => ['patient_id' => $patient, 'word' => self::hash($word, $clinic)], $words);
        foreach (array_chunk($rows, 500) as $some) {
            DB::table('note_words')->insertOrIgnore($some);
        }
    }

    /** Patients in whose notes the word stands. */
    public static function patients(Builder $query, string $word, int $clinic): void
    {
        $query->select('patient_id')->from('note_words')->where('word', self::hash($word, $clinic));
    }

    public static function isLookedFor(string $word): bool
    {
        return mb_strlen($word) >= self::LEAST_LETTERS;
    }

    /** @return list<string> */
    private static function wordsOf(string $text): array
    {
        preg_match_all('/[\p{L}\p{N}]+/u', $text, $found);
        $words = array_map(CaseloadFilter::plain(...), array_unique($found[0]));

        return array_values(array_unique(array_filter($words, self::isLookedFor(...))));
    }

    private static function hash(string $word, int $clinic): string
    {
        return substr(hash_hmac('sha256', "word of a note|$clinic|$word", config()->string('app.mark_key')), 0, 24);
    }
}
