<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Progress\ClinicOutcomes;
use PHPUnit\Framework\TestCase;

final class ClinicOutcomesTest extends TestCase
{
    public function test_patients_are_summed_and_small_numbers_left_out(): void
    {
        $patients = [];
        foreach (range(1, 6) as $n) {
            $patients[] = [
                'techniques' => ['humming' => ['due' => 10, 'credit' => $n, 'practices' => 10, 'stops' => $n === 1 ? 3 : 0], ...($n > 2 ? [] : ['square' => ['due' => 4, 'credit' => 4.0, 'practices' => 4, 'stops' => 4]])],
                'anchors' => ['waking' => ['due' => 5, 'credit' => 2.5]],
                'forms' => $n === 6 ? [] : ['gad-7' => $n < 3 ? 'recovered' : 'unchanged'],
            ];
        }
        $techniques = ClinicOutcomes::techniques($patients);
        self::assertSame(['humming'], array_column($techniques, 'key'));
        self::assertEquals([6, 21 / 60, 50.0], [$techniques[0]['patients'], $techniques[0]['share'], $techniques[0]['stops_per_1000']]);
        self::assertSame([6, 0.5, null], [ClinicOutcomes::anchors($patients)[0]['patients'], ClinicOutcomes::anchors($patients)[0]['share'], ClinicOutcomes::anchors($patients)[0]['stops_per_1000']]);
        self::assertSame([['form' => 'gad-7', 'patients' => 5, 'improved' => 0, 'recovered' => 2, 'unchanged' => 3, 'worse' => 0]], ClinicOutcomes::forms($patients));
        self::assertSame([[], [], []], [ClinicOutcomes::techniques([]), ClinicOutcomes::anchors(array_slice($patients, 0, 4)), ClinicOutcomes::forms(array_slice($patients, 0, 4))]);
    }
}
