<?php

declare(strict_types=1);

namespace App\Guard;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/** What makes a password: long, and none that is tried first. No rules about signs: they make people write it down. */
final class Passwords
{
    public const SHORTEST = 12;

    /** bcrypt reads no more than 72 bytes: what is longer would only look as if it counted. */
    public const LONGEST_BYTES = 72;

    private const FILE = 'common-passwords.txt';

    /**
     * @param  list<string>  $own  name, address, clinic: what somebody who knows the person would try
     * @return string|null what is wrong with it
     */
    public static function problem(string $password, array $own = []): ?string
    {
        $plain = mb_strtolower($password);
        // "lantern2026!" is "lantern" with what everybody adds.
        $bare = trim((string) preg_replace('/[\d\W_]+$/u', '', $plain));
        $common = self::common();

        return match (true) {
            mb_strlen($password) < self::SHORTEST => 'At least '.self::SHORTEST.' characters. Four words that do not belong together '
                .'are long and easy to remember.',
            strlen($password) > self::LONGEST_BYTES => 'At most '.self::LONGEST_BYTES.' characters.',
            isset($common[$plain]) || isset($common[$bare]) => 'This is one of the passwords that are tried first. Choose another.',
            count(array_unique(mb_str_split($plain))) < 5 => 'Too few different characters. Choose another.',
            self::isOwn($bare, $own) => 'This can be told from your name, address or clinic. Choose another.',
            default => null,
        };
    }

    /** To compare with where there is no such account, so that both take the same time. */
    public static function nobodys(): string
    {
        $cost = (string) config('hashing.bcrypt.rounds');

        return Cache::rememberForever("nobodys-password:$cost", fn () => Hash::make(Str::random(40)));
    }

    /** @param  list<string>  $own */
    private static function isOwn(string $bare, array $own): bool
    {
        foreach ($own as $text) {
            $letters = fn (string $of): string => (string) preg_replace('/[^\pL\d]/u', '', mb_strtolower($of));
            if (mb_strlen($letters($text)) >= 4 && $letters($bare) === $letters($text)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, int> */
    private static function common(): array
    {
        return array_flip(file(resource_path(self::FILE), FILE_IGNORE_NEW_LINES) ?: []);
    }
}
