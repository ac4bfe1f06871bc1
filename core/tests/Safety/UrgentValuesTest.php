<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Assessment\EarlyWarning;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\UrgentValues;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Points and limits: NEWS 2, Royal College of Physicians 2017; obstetric early-warning charts. Both from memory, written
 * here a second time as a table of single values.
 */
final class UrgentValuesTest extends TestCase
{
    /** @return iterable<string, array{Measure, list<array{float, int}>}> values at the edges of each band, with their points */
    public static function points(): iterable
    {
        yield 'rate' => [Measure::RestingRate, [[3, 3], [8, 3], [8.4, 3], [8.5, 1], [9, 1], [11, 1], [12, 0], [20, 0], [20.4, 0], [20.5, 2], [21, 2], [24, 2], [24.5, 3], [25, 3], [60, 3]]];
        yield 'saturation' => [Measure::Saturation, [[70, 3], [91, 3], [91.5, 2], [92, 2], [93, 2], [94, 1], [95, 1], [96, 0], [100, 0]]];
        yield 'pulse' => [Measure::Pulse, [[30, 3], [40, 3], [41, 1], [50, 1], [51, 0], [90, 0], [91, 1], [110, 1], [111, 2], [130, 2], [131, 3]]];
        yield 'systolic' => [Measure::Systolic, [[80, 3], [90, 3], [91, 2], [100, 2], [101, 1], [110, 1], [111, 0], [219, 0], [220, 3]]];
    }

    /** @param  list<array{float, int}>  $values */
    #[DataProvider('points')]
    public function test_points_of_single_values(Measure $measure, array $values): void
    {
        foreach ($values as [$value, $points]) {
            self::assertSame($points, EarlyWarning::points($measure, $value), "{$measure->value} $value");
            $found = UrgentValues::of([$measure->value => $value], new PatientFacts(age: 40));
            self::assertSame($points === 3 ? 1 : 0, count($found->redFlags), "{$measure->value} $value");
            self::assertSame($points, $found->sum);
            self::assertSame([], UrgentValues::of([$measure->value => $value], new PatientFacts(age: 15))->redFlags === [] ? [] : array_filter([$measure === Measure::Saturation ? null : $value]), 'adult limits are not used under 16');
        }
        self::assertNull(EarlyWarning::points(Measure::PeakFlow, 300));
        self::assertNull(EarlyWarning::range(Measure::Diastolic));
    }

    public function test_what_is_unusual_is_what_is_urgent_alone(): void
    {
        self::assertSame([9.0, 24.0], Measure::RestingRate->usual());
        self::assertSame([92.0, 100.0], Measure::Saturation->usual());
        self::assertSame([41.0, 130.0], Measure::Pulse->usual());
        self::assertSame([91.0, 219.0], Measure::Systolic->usual());
        self::assertSame('Resting rate 25 or more, or 8 or fewer, breaths a minute?', ScreeningQuestions::ofRedFlag(RedFlag::RestingRate));
        self::assertSame('Oxygen saturation 91 % or less, or below the patient’s own normal range?', ScreeningQuestions::ofRedFlag(RedFlag::Saturation));
        self::assertSame('Pulse 131 or more, or 40 or less?', ScreeningQuestions::ofRedFlag(RedFlag::Pulse));
        self::assertSame('Systolic blood pressure 90 or less, or 220 or more?', ScreeningQuestions::ofRedFlag(RedFlag::SystolicPressure));
    }

    public function test_five_points_together_are_urgent(): void
    {
        $adult = new PatientFacts(age: 50);
        $five = UrgentValues::of(['resting-rate' => 22, 'saturation' => 94, 'pulse' => 112], $adult);
        self::assertSame([5, RedFlag::EarlyWarning], [$five->sum, $five->redFlags[0][0]]);
        self::assertSame('5 points together: resting rate of 22 breaths/min (2), oxygen saturation of 94 % (1), pulse of 112 beats/min (2)', $five->redFlags[0][1]);
        self::assertSame([4, []], [UrgentValues::of(['resting-rate' => 22, 'saturation' => 96, 'pulse' => 112], $adult)->sum, UrgentValues::of(['resting-rate' => 22, 'saturation' => 96, 'pulse' => 112], $adult)->redFlags]);
        self::assertCount(1, UrgentValues::of(['resting-rate' => 25, 'saturation' => 94, 'pulse' => 112], $adult)->redFlags, 'one that is urgent alone is named alone');
        self::assertSame([], UrgentValues::of(['resting-rate' => 22, 'saturation' => 94, 'pulse' => 112], new PatientFacts(age: 15))->redFlags);
        self::assertSame([], UrgentValues::of(['resting-rate' => 22, 'saturation' => 96, 'pulse' => 112, 'systolic' => 95], new PatientFacts([Flag::Pregnancy], age: 30))->redFlags, 'nor in pregnancy');
        self::assertNull(UrgentValues::of([], $adult)->sum);
    }

    public function test_saturation_is_held_against_the_patients_own_range(): void
    {
        $patient = new PatientFacts([Flag::Copd], age: 70);
        $of = fn (float $value, ?float $low = 88, ?PatientFacts $whom = null) => array_column(UrgentValues::of(['saturation' => $value], $whom ?? $patient, $low)->redFlags, 0);
        self::assertSame([], $of(88));
        self::assertSame([], $of(97), 'above it is no points either');
        self::assertSame([RedFlag::Saturation], $of(87));
        self::assertSame([RedFlag::Saturation], $of(93, 94));
        self::assertSame([RedFlag::Saturation], $of(83, 80), '83 is urgent whatever the range');
        self::assertSame([], $of(84, 80));
        self::assertSame([RedFlag::Saturation], $of(91, null, new PatientFacts(age: 9)), 'a low one is red at any age');
        self::assertSame([], $of(92, null, new PatientFacts(age: 9)));
        self::assertSame([RedFlag::Saturation], $of(87, 88, new PatientFacts(age: 9)));
        self::assertSame([], $of(89, 88, new PatientFacts([Flag::Pregnancy], age: 30)));
    }

    public function test_in_pregnancy_and_after_a_birth_the_obstetric_limits_hold(): void
    {
        foreach ([Flag::Pregnancy, Flag::RecentBirth] as $flag) {
            $of = fn (string $measure, float $value) => array_column(UrgentValues::of([$measure => $value], new PatientFacts([$flag], age: 30))->redFlags, 0);
            foreach ([
                'resting-rate' => [[9, true], [10, false], [24, false], [25, true]], 'saturation' => [[94, true], [95, false]], 'pulse' => [[40, true], [41, false], [119, false], [120, true]],
                'systolic' => [[90, true], [91, false], [159, false], [160, true]], 'diastolic' => [[109, false], [110, true]],
            ] as $measure => $values) {
                foreach ($values as [$value, $isRed]) {
                    self::assertSame($isRed, $of($measure, $value) !== [], "{$flag->value}: $measure $value");
                }
            }
            self::assertSame([RedFlag::DiastolicPressure], $of('diastolic', 115));
            $advice = fn (array $values) => array_column(UrgentValues::of($values, new PatientFacts([$flag], age: 30))->advice, 0);
            self::assertSame([], $advice(['systolic' => 139, 'diastolic' => 89]));
            self::assertSame([RedFlag::MaternityAdvice], $advice(['systolic' => 140, 'diastolic' => 70]));
            self::assertSame([RedFlag::MaternityAdvice], $advice(['diastolic' => 90]));
            self::assertSame([], $advice(['systolic' => 165]), 'what is red is not only advice');
        }
    }

    public function test_high_pressure_of_others_asks_for_advice_the_same_day(): void
    {
        $of = fn (array $values, int $age = 50) => UrgentValues::of($values, new PatientFacts(age: $age));
        self::assertSame([], $of(['systolic' => 179, 'diastolic' => 119])->advice);
        self::assertSame([[RedFlag::SameDayAdvice, 'systolic pressure of 180 mmHg']], $of(['systolic' => 180])->advice);
        self::assertSame([RedFlag::SameDayAdvice], array_column($of(['diastolic' => 120])->advice, 0));
        self::assertSame([], $of(['systolic' => 220])->advice, 'then it is a red flag');
        self::assertSame([], $of(['systolic' => 200], 15)->advice);
        self::assertFalse(RedFlag::SameDayAdvice->pauses());
        self::assertFalse(RedFlag::MaternityAdvice->pauses());
        self::assertTrue($of(['systolic' => 150])->isSilent());
        self::assertFalse($of(['systolic' => 180])->isSilent());
    }

    public function test_under_16_the_paediatric_chart_is_asked_for(): void
    {
        self::assertSame([UrgentValues::PAEDIATRIC], UrgentValues::of(['pulse' => 140], new PatientFacts(age: 12))->notes);
        self::assertSame([], UrgentValues::of(['saturation' => 97], new PatientFacts(age: 12))->notes);
        self::assertSame([], UrgentValues::of(['pulse' => 80], new PatientFacts(age: 16))->notes);
        self::assertSame([], UrgentValues::of(['pulse' => 80], new PatientFacts)->notes, 'an age that is not known is an adult’s');
    }

    public function test_peak_flow_is_held_against_the_personal_best(): void
    {
        $of = fn (float $flow, ?float $best) => UrgentValues::of(['peak-flow' => $flow], new PatientFacts(age: 30), null, $best);
        self::assertSame([[RedFlag::PeakFlow, 'peak flow of 199 l/min, 50 % of the personal best of 400']], $of(199, 400)->redFlags);
        self::assertSame([], $of(200, 400)->redFlags);
        self::assertSame(['Reduced: peak flow of 200 l/min, 50 % of the personal best of 400.'], $of(200, 400)->notes);
        self::assertSame(['Reduced: peak flow of 300 l/min, 75 % of the personal best of 400.'], $of(300, 400)->notes);
        self::assertSame([[], []], [$of(301, 400)->notes, $of(301, 400)->redFlags]);
        self::assertStringContainsString('No personal best', $of(40, null)->notes[0]);
        self::assertSame([], $of(40, null)->redFlags);
    }

    public function test_a_rate_that_is_not_urgent_may_want_an_explanation(): void
    {
        foreach ([[20, false], [20.5, true], [21, true], [24, true], [24.5, false], [25, false]] as [$rate, $wants]) {
            self::assertSame($wants, EarlyWarning::wantsExplanation(Measure::RestingRate, $rate), (string) $rate);
        }
        self::assertFalse(EarlyWarning::wantsExplanation(Measure::Pulse, 115));
    }

    public function test_only_what_is_taken_at_rest_counts(): void
    {
        self::assertTrue(Measure::Saturation->isAtRest());
        self::assertFalse(Measure::SaturationFall->isAtRest());
        self::assertTrue(UrgentValues::of(['saturation-fall' => 70.0], new PatientFacts(age: 40))->isSilent());
    }
}
