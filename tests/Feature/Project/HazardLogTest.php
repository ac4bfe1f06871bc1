<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use IvoryPace\Safety\PauseRules;
use IvoryPace\Safety\RuleBook;
use PHPUnit\Framework\TestCase;

/** Every safety rule has its line in the hazard log, and every test that is named there exists. */
final class HazardLogTest extends TestCase
{
    use NamedTests;

    /** @return array<string, string> the line of each hazard, by its id */
    private static function hazards(): array
    {
        preg_match_all('/^\| ([A-Z][A-Z0-9-]+) \|.*$/m', (string) file_get_contents(__DIR__.'/../../../docs/safety/hazard-log.md'), $found);
        self::assertSame(count($found[1]), count(array_unique($found[1])), 'each once');

        return array_combine($found[1], $found[0]);
    }

    public function test_no_rule_is_without_a_line(): void
    {
        $rules = [...array_keys(RuleBook::rules()), PauseRules::GET_HELP, PauseRules::TWICE_IN_THREE, PauseRules::NEW_FINDING, PauseRules::RED_FLAG, PauseRules::BY_PRACTITIONER];
        self::assertSame([], array_values(array_diff($rules, array_keys(self::hazards()))));
    }

    public function test_every_test_that_is_named_exists(): void
    {
        foreach (self::hazards() as $id => $line) {
            $cells = explode(' | ', trim($line, '| '));
            self::assertCount(5, $cells, $id);
            preg_match_all('/`([^`]+)`/', $cells[4], $named);
            self::assertNotSame([], $named[1], "$id names no test");
            foreach ($named[1] as $name) {
                $this->assertIsATest($name, $id);
            }
        }
    }
}
