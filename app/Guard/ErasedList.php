<?php

declare(strict_types=1);

namespace App\Guard;

use App\Models\Erasure;

/**
 * Which records were erased, outside of every archive and without a name, so that a restore can erase them once more. Each is a
 * mark of its own: a salt, and what the record's id becomes under it.
 */
final class ErasedList
{
    public const STDIN = 'php://stdin';

    private const SALT_BYTES = 8;

    private const MARK = '/^[0-9a-f]{16}:[0-9a-f]{64}$/D';

    /** Bytes; a mark has 82. */
    private const MOST_BYTES = 20_000_000;

    public static function path(): string
    {
        return config()->string('app.erased_list');
    }

    public static function mark(string $patient): string
    {
        return self::under(bin2hex(random_bytes(self::SALT_BYTES)), $patient);
    }

    /** Adds what stands in the database to what stands in the file; whatever was missed before is made up for. */
    public static function keep(): void
    {
        $marks = Erasure::query()->whereNotNull('done_at')->whereNotNull('mark')->orderBy('id')->pluck('mark')->all();
        $all = array_unique([...self::read(self::path()), ...$marks]);
        sort($all);
        file_put_contents(self::path().'.new', implode("\n", $all).($all === [] ? '' : "\n"), LOCK_EX);
        rename(self::path().'.new', self::path());
    }

    /** @return list<string> marks; what is none is passed over */
    public static function read(string $path): array
    {
        $isThere = is_file($path) || $path === self::STDIN;
        $text = $isThere ? (string) file_get_contents($path, length: self::MOST_BYTES) : '';

        return array_values(array_filter(explode("\n", $text), fn (string $line) => preg_match(self::MARK, $line) === 1));
    }

    /** @param  list<string>  $marks */
    public static function names(array $marks, string $patient): bool
    {
        foreach ($marks as $mark) {
            if (hash_equals($mark, self::under(substr($mark, 0, 2 * self::SALT_BYTES), $patient))) {
                return true;
            }
        }

        return false;
    }

    private static function under(string $salt, string $patient): string
    {
        return "$salt:".hash_hmac('sha256', strtolower($patient), $salt);
    }
}
