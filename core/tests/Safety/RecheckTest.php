<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Assessment\Measure;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Recheck;
use IvoryPace\Safety\RedFlag;
use IvoryPace\Safety\UrgentValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecheckTest extends TestCase
{
    public function test_a_new_flag_brings_findings_and_pauses_what_needs_a_reason(): void
    {
        $items = [$this->item('hold', ['technique' => 'extended-exhale', 'ratio' => '4:12:6']), $this->item('plain', ['technique' => 'diaphragmatic'])];
        $before = new PatientFacts;
        $new = Recheck::of($items, $before, new PatientFacts([Flag::Epilepsy]))->new;

        self::assertSame([['hold', 'HOLD-LONG', true]], array_map(fn (array $each) => [$each['item']->lineage, $each['finding']->rule, $each['pauses']], $new));
        self::assertSame([], Recheck::of($items, new PatientFacts([Flag::Epilepsy]), new PatientFacts([Flag::Epilepsy, Flag::Fainting]))->new, 'the finding was there before');
        self::assertFalse(Recheck::of($items, $before, new PatientFacts([Flag::Epilepsy]), [], ['hold' => ['HOLD-LONG']])->new[0]['pauses'], 'a reason was given');
    }

    public function test_a_caution_is_new_but_pauses_nothing(): void
    {
        $items = [$this->item('moderate', ['technique' => 'extended-exhale', 'ratio' => '4:4:6'])];
        $new = Recheck::of($items, new PatientFacts, new PatientFacts([Flag::Copd]))->new;
        self::assertContains('HOLD-MODERATE', array_map(fn (array $each) => $each['finding']->rule, $new));
        self::assertNotContains(true, array_column($new, 'pauses'));
        self::assertNotContains('RECOVERY-MISSING', array_map(fn (array $each) => $each['finding']->rule, $new), 'plain notes are left to the Bench');
    }

    public function test_recovery_is_never_paused(): void
    {
        $item = $this->item('lean', ['technique' => 'forward-lean', 'as_needed' => true, 'use_when' => 'short of breath', 'daily_most' => 5]);
        foreach (Recheck::of([$item], new PatientFacts, new PatientFacts(Flag::asked()))->new as $each) {
            self::assertFalse($each['pauses'], $each['finding']->rule);
        }
        self::assertTrue($item->isRecovery());
    }

    /**
     * Highest scores of NEWS 2, Royal College of Physicians 2017 (from memory), in adults who are not pregnant.
     *
     * @return iterable<string, array{Measure, float, RedFlag|null}>
     */
    public static function values(): iterable
    {
        yield 'rate 25' => [Measure::RestingRate, 25, RedFlag::RestingRate];
        yield 'rate 24.9' => [Measure::RestingRate, 24.9, null];
        yield 'rate 8' => [Measure::RestingRate, 8, RedFlag::RestingRate];
        yield 'rate 8.1' => [Measure::RestingRate, 8.1, null];
        yield 'saturation 91' => [Measure::Saturation, 91, RedFlag::Saturation];
        yield 'saturation 92' => [Measure::Saturation, 92, null];
        yield 'pulse 131' => [Measure::Pulse, 131, RedFlag::Pulse];
        yield 'pulse 130' => [Measure::Pulse, 130, null];
        yield 'pulse 40' => [Measure::Pulse, 40, RedFlag::Pulse];
        yield 'systolic 90' => [Measure::Systolic, 90, RedFlag::SystolicPressure];
        yield 'systolic 219' => [Measure::Systolic, 219, null];
        yield 'systolic 220' => [Measure::Systolic, 220, RedFlag::SystolicPressure];
        yield 'no limit is known for peak flow' => [Measure::PeakFlow, 40, null];
    }

    #[DataProvider('values')]
    public function test_urgent_values_are_red_flags(Measure $measure, float $value, ?RedFlag $flag): void
    {
        self::assertSame($flag, UrgentValue::of($measure, $value, new PatientFacts(age: 40)));
        self::assertNull(UrgentValue::of($measure, $value, new PatientFacts(age: 15)), 'the limits are for adults');
        self::assertNull(UrgentValue::of($measure, $value, new PatientFacts([Flag::Pregnancy], age: 30)), 'and not for pregnancy');
    }

    public function test_saturation_is_held_against_the_patients_own_range(): void
    {
        $patient = new PatientFacts([Flag::Copd], age: 70);
        self::assertNull(UrgentValue::of(Measure::Saturation, 89, $patient, 88));
        self::assertSame(RedFlag::Saturation, UrgentValue::of(Measure::Saturation, 87, $patient, 88));
        self::assertSame(RedFlag::Saturation, UrgentValue::of(Measure::Saturation, 93, $patient, 94));
    }

    /** @param  array<string, mixed>  $fields */
    private function item(string $lineage, array $fields): Item
    {
        $draft = DraftReader::read($fields, $lineage);
        self::assertNotNull($draft->item, implode(' ', $draft->errors));

        return $draft->item;
    }
}
