<?php

declare(strict_types=1);

namespace IvoryPace\Tests;

/**
 * Holds what the core says against what it said when a person last read it through. Written anew with
 * WRITE_SNAPSHOTS=1 vendor/bin/phpunit; what has changed is then read in the difference, line by line.
 */
trait Snapshot
{
    /** @param  list<string>  $lines */
    private static function assertAsRead(string $name, array $lines): void
    {
        $file = __DIR__."/snapshots/$name.txt";
        $text = implode("\n", $lines)."\n";
        if (getenv('WRITE_SNAPSHOTS') === '1') {
            file_put_contents($file, $text);
        }
        $known = is_file($file) ? explode("\n", (string) file_get_contents($file)) : [];
        $now = explode("\n", $text);
        foreach ($now as $index => $line) {
            self::assertSame($known[$index] ?? '(nothing)', $line, "$name, line ".($index + 1));
        }
        self::assertCount(count($known), $now, $name);
    }
}
