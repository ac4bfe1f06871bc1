<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use FilesystemIterator;
use IvoryPace\Safety\PauseRules;
use IvoryPace\Safety\RuleBook;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** Every safety rule has its line in the hazard log, and every test that is named there exists. */
final class HazardLogTest extends TestCase
{
    /** @return array<string, string> the line of each hazard, by its id */
    private static function hazards(): array
    {
        preg_match_all('/^\| ([A-Z][A-Z0-9-]+) \|.*$/m', (string) file_get_contents(__DIR__.'/../../../docs/safety/hazard-log.md'), $found);
        self::assertSame(count($found[1]), count(array_unique($found[1])), 'each once');

        return array_combine($found[1], $found[0]);
    }

    public function test_no_rule_is_without_a_line(): void
    {
        $rules = [...array_keys(RuleBook::rules()), PauseRules::GET_HELP, PauseRules::TWICE_IN_THREE, PauseRules::NEW_FINDING, PauseRules::RED_FLAG];
        self::assertSame([], array_values(array_diff($rules, array_keys(self::hazards()))));
    }

    public function test_every_test_that_is_named_exists(): void
    {
        $root = __DIR__.'/../../..';
        $files = [];
        foreach (['tests', 'core/tests'] as $folder) {
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder", FilesystemIterator::SKIP_DOTS)) as $file) {
                $files[basename((string) $file, '.php')] = (string) $file;
            }
        }
        foreach (self::hazards() as $id => $line) {
            $cells = explode(' | ', trim($line, '| '));
            self::assertCount(5, $cells, $id);
            preg_match_all('/`([^`]+)`/', $cells[4], $named);
            self::assertNotSame([], $named[1], "$id names no test");
            foreach ($named[1] as $name) {
                [$class, $test] = explode('::', $name) + [1 => ''];
                if (str_contains($class, '/')) {
                    self::assertFileExists("$root/$class", $id);

                    continue;
                }
                self::assertArrayHasKey($class, $files, "$id: $name");
                self::assertTrue($test === '' || str_contains((string) file_get_contents($files[$class]), "function $test("), "$id: $name");
            }
        }
    }
}
