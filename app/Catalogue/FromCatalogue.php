<?php

declare(strict_types=1);

namespace App\Catalogue;

use Illuminate\Support\Facades\Cache;
use LogicException;

/** What follows from the catalogue and its words alone is computed once, until one of them changes. */
final class FromCatalogue
{
    private const FILES = [
        'core/src/Exercise/*.php', 'core/src/Exercise/*/*.php', 'core/src/Programme/*.php', 'lang/*/exercise.php',
        'app/Catalogue/*.php', 'app/Pages/Bench/*.php',
    ];

    /**
     * @template T
     *
     * @param  callable(): T  $compute
     * @return T
     */
    public static function remember(string $name, callable $compute): mixed
    {
        return Cache::store('file')->rememberForever("catalogue:$name:".self::edition(), $compute(...));
    }

    private static function edition(): string
    {
        $files = array_merge(...array_map(
            fn (string $pattern) => glob(base_path($pattern)) ?: throw new LogicException("There is nothing at $pattern."), self::FILES,
        ));

        return md5(app()->getLocale().implode(' ', array_map(fn (string $file) => (string) filemtime($file), $files)));
    }
}
