<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Told\Script;
use PHPUnit\Framework\TestCase;

final class ScriptTest extends TestCase
{
    use Prescribing;

    public function test_numbers_fit_between_two_counts_of_a_second_and_go_as_far_as_the_longest_count_down(): void
    {
        self::assertLessThan(1.0, Script::lines()['number.1']);
        self::assertArrayHasKey('number.120', Script::lines());
        self::assertArrayNotHasKey('number.121', Script::lines());
    }

    public function test_whatever_is_said_can_be_recorded(): void
    {
        mt_srand(3);
        $lines = Script::lines();
        foreach (Catalogue::all() as $technique) {
            for ($run = 0; $run < 40; $run++) {
                $pick = fn (array $of) => $of[mt_rand(0, count($of) - 1)];
                $ratio = $pick(['3:4', '2+1:1:4', '3:2:4:1', '4:7:8']);
                $position = $pick($technique->positions);
                $timeline = $this->timeline($technique->key, [
                    'ratio' => str_contains($ratio, ':1') && $technique->key === 'full-exhale' ? '3:4' : $ratio, 'own_name' => 'Own', 'breaths' => $technique->countsRepeats() ? 3 : null,
                    'position' => $position->value, 'hands' => $pick($technique->handsIn($position))->value, 'route_in' => $pick($technique->routesIn)->value, 'route_out' => $pick($technique->routesOut)->value,
                    'start' => $pick($technique->starts)->value, 'ending' => $pick(['bell', 'quiet', 'slow']), 'parameters' => self::anyParameters($technique, '1:1:1:1'),
                ]);
                foreach (Script::of($timeline) as $key) {
                    self::assertArrayHasKey($key, $lines, $technique->key);
                }
            }
        }
    }
}
