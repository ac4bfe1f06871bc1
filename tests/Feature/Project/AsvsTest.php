<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use PHPUnit\Framework\TestCase;

/** What docs/security/asvs.md says of each requirement is shown by something that is there. */
final class AsvsTest extends TestCase
{
    use NamedTests;

    public function test_every_requirement_stands_once_and_names_what_shows_it(): void
    {
        preg_match_all('/^\| (\d+\.\d+\.\d+(?:[–,] ?[\d.]+)*) \| (.+) \|$/mu', (string) file_get_contents(__DIR__.'/../../../docs/security/asvs.md'), $rows, PREG_SET_ORDER);
        self::assertGreaterThan(90, count($rows));
        $seen = [];
        foreach ($rows as [, $ids, $rest]) {
            self::assertArrayNotHasKey($ids, $seen);
            $seen[$ids] = true;
            $cells = explode(' | ', $rest);
            self::assertCount(3, $cells, $ids);
            preg_match_all('/`([^`]+)`/', $cells[2], $named);
            // Either something shows it, or it is said why there is nothing to show.
            self::assertTrue($named[1] !== [] || str_starts_with($cells[2], 'Not applicable') || str_starts_with($cells[2], 'By'), "$ids names nothing");
            foreach ($named[1] as $name) {
                $this->assertIsATest($name, $ids);
            }
        }
    }
}
