<?php

declare(strict_types=1);

namespace App\Guard\Nodes;

/** Which nodes did not answer a moment ago, as this machine found: not every request waits for them once more. */
final class Away
{
    private const SECONDS = 5;

    /**
     * @param  non-empty-list<string>  $nodes
     * @return non-empty-list<string> in their order; those that were away a moment ago come last
     */
    public static function last(array $nodes): array
    {
        $here = array_filter($nodes, fn (string $node) => ! self::is($node));

        return [...$here, ...array_diff($nodes, $here)] ?: $nodes;
    }

    public static function note(string $node): void
    {
        @touch(self::path($node));
    }

    public static function isBack(string $node): void
    {
        if (is_file(self::path($node))) {
            @unlink(self::path($node));
        }
    }

    private static function is(string $node): bool
    {
        $path = self::path($node);
        clearstatcache(false, $path);
        $noted = @filemtime($path);

        return $noted !== false && abs(time() - $noted) < self::SECONDS;
    }

    private static function path(string $node): string
    {
        return storage_path('framework/cache/away-'.hash('crc32b', $node));
    }
}
