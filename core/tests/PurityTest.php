<?php

declare(strict_types=1);

namespace IvoryPace\Tests;

use FilesystemIterator;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The core stands alone: no framework, no clock, no chance, no input or output of its own. */
final class PurityTest extends TestCase
{
    public function test_only_core_classes_and_php_itself_are_imported(): void
    {
        foreach ($this->sources() as $path => $code) {
            preg_match_all('/^use\s+(?:function\s+|const\s+)?\\\\?([^;]+);/m', $code, $matches);
            foreach ($matches[1] as $import) {
                $root = explode('\\', trim($import))[0];
                $isOwn = $root === 'IvoryPace';
                $isPhp = ! str_contains($import, '\\') && (class_exists($import, false) || interface_exists($import, false));
                self::assertTrue($isOwn || $isPhp, "$path imports $import");
            }
        }
    }

    public function test_no_framework_class_can_even_be_loaded(): void
    {
        self::assertFalse(class_exists('Illuminate\Foundation\Application'));
        self::assertFalse(class_exists('App\Models\Patient'));
    }

    public function test_nothing_reads_the_clock_or_throws_dice(): void
    {
        $forbidden = ['time(', 'microtime(', 'now(', 'rand(', 'mt_rand(', 'random_int(', 'date(', 'new DateTimeImmutable()', 'new DateTimeImmutable;', 'file_get_contents(', 'getenv(', 'echo '];
        foreach ($this->sources() as $path => $code) {
            foreach ($forbidden as $call) {
                self::assertSame(0, preg_match('/(?<![\w>:$])'.preg_quote($call, '/').'/', $code), "$path uses $call");
            }
        }
    }

    /** @return array<string, string> */
    private function sources(): array
    {
        $sources = [];
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../src', FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            assert($file instanceof SplFileInfo);
            $sources[$file->getPathname()] = (string) file_get_contents($file->getPathname());
        }
        self::assertGreaterThan(50, count($sources));

        return $sources;
    }
}
