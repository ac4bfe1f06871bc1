<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** Documents name tests: `SomeTest`, `SomeTest::test_something`, or a path. */
trait NamedTests
{
    private function assertIsATest(string $name, string $where): void
    {
        $root = __DIR__.'/../../..';
        static $files = null;
        if ($files === null) {
            $files = [];
            foreach (['tests', 'core/tests'] as $folder) {
                foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder", FilesystemIterator::SKIP_DOTS)) as $file) {
                    $files[basename((string) $file, '.php')] = (string) $file;
                }
            }
        }
        [$class, $test] = explode('::', $name) + [1 => ''];
        if (str_contains($class, '/')) {
            self::assertFileExists("$root/$class", $where);

            return;
        }
        self::assertArrayHasKey($class, $files, "$where: $name");
        self::assertTrue($test === '' || str_contains((string) file_get_contents($files[$class]), "function $test("), "$where: $name");
    }
}
