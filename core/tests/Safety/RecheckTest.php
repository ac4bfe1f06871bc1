<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Recheck;
use PHPUnit\Framework\TestCase;

final class RecheckTest extends TestCase
{
    public function test_a_new_flag_brings_findings_and_pauses_what_needs_a_reason(): void
    {
        $items = [$this->item('hold', ['technique' => 'extended-exhale', 'ratio' => '4:12:6']), $this->item('plain', ['technique' => 'diaphragmatic'])];
        $before = new PatientFacts;
        $new = Recheck::of($items, $before, new PatientFacts([Flag::Epilepsy]))->new;

        self::assertSame([['hold', 'HOLD-LONG', true]], array_map(fn (array $each) => [$each['item']->lineage, $each['finding']->rule, $each['pauses']], $new));
        self::assertSame([], Recheck::of($items, new PatientFacts([Flag::Epilepsy]), new PatientFacts([Flag::Epilepsy]))->new, 'nothing is new');
        $second = Recheck::of($items, new PatientFacts([Flag::Epilepsy]), new PatientFacts([Flag::Epilepsy, Flag::Fainting]))->new;
        self::assertSame([['HOLD-LONG', true]], array_map(fn (array $each) => [$each['finding']->rule, $each['pauses']], $second), 'a second flag is not hidden behind the first');
        $given = $new[0]['finding']->cause;
        self::assertFalse(Recheck::of($items, $before, new PatientFacts([Flag::Epilepsy]), [], ['hold' => ['HOLD-LONG' => $given]])->new[0]['pauses'], 'a reason was given');
        self::assertTrue(Recheck::of($items, new PatientFacts([Flag::Epilepsy]), new PatientFacts([Flag::Epilepsy, Flag::Fainting]), [], ['hold' => ['HOLD-LONG' => $given]])->new[0]['pauses'], 'it was given for epilepsy only');
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

    /** @param  array<string, mixed>  $fields */
    private function item(string $lineage, array $fields): Item
    {
        $draft = DraftReader::read($fields, $lineage);
        self::assertNotNull($draft->item, implode(' ', $draft->errors));

        return $draft->item;
    }
}
