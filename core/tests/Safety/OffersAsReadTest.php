<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Assessment\SaturationFall;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use IvoryPace\Safety\Survey;
use IvoryPace\Tests\Snapshot;
use PHPUnit\Framework\TestCase;

/** What every rule says and offers, word by word; the same words for several patients stand once, with their names. */
final class OffersAsReadTest extends TestCase
{
    use Snapshot;

    public function test_of_the_catalogue_with_every_flag(): void
    {
        $said = [];
        $offered = [];
        foreach ($this->prescriptions() as $name => $item) {
            foreach ([...Survey::people(), ...$this->measured(), ...$this->several()] as $person => $patient) {
                foreach (RuleBook::check($item, $patient, [], true) as $finding) {
                    $line = "{$finding->rule} {$finding->level->value}: {$finding->title}. {$finding->message} [{$finding->field}; {$finding->basis}] => "
                        .implode(' | ', array_map(fn (Change $change) => $change->label, $finding->changes));
                    foreach ($finding->changes as $change) {
                        $offered[$name][$this->change($change)] = true;
                    }
                    $said[$name][$line][] = $person === '' ? 'none' : $person;
                }
            }
        }
        $lines = [];
        foreach ($said as $name => $findings) {
            $lines[] = "== $name";
            foreach ($findings as $line => $people) {
                $lines[] = "   $line";
                $lines[] = '      '.(count($people) > 30 ? count($people).' of them, from '.$people[0].' to '.$people[count($people) - 1] : implode(', ', $people));
            }
        }
        foreach ($offered as $name => $changes) {
            $lines[] = "== what is set: $name";
            foreach (array_keys($changes) as $change) {
                $lines[] = "   $change";
            }
        }
        self::assertAsRead('offers', $lines);
    }

    /** A change that is offered says what it changes, and the one that gives the count up stands behind those that keep it. */
    public function test_no_label_is_empty_and_no_shortened_phase_grows(): void
    {
        foreach ($this->prescriptions() as $name => $item) {
            foreach ([...Survey::people(), ...$this->measured()] as $patient) {
                foreach (RuleBook::check($item, $patient, [], true) as $finding) {
                    foreach ($finding->changes as $change) {
                        self::assertTrue(! str_starts_with($change->label, 'without a count') || array_filter(array_slice($finding->changes, (int) array_search($change, $finding->changes, true) + 1), fn (Change $later) => ! str_contains($later->label, '(then: ')) === [], "$name {$finding->rule}");
                        self::assertNotSame('', trim($change->label), "$name {$finding->rule}");
                        self::assertDoesNotMatchRegularExpression('/step 0|^ratio $|: $/', $change->label, $name);
                        if ($finding->rule === 'COMFORT-LIMIT' && is_string($change->set['ratio'] ?? null) && $item->prescription->pattern !== null) {
                            $then = array_map(floatval(...), explode(':', $item->prescription->pattern->toString()));
                            foreach (explode(':', $change->set['ratio']) as $index => $count) {
                                self::assertLessThanOrEqual(($then[$index] ?? 0.0) + 1e-6, (float) $count, "$name: {$change->label}");
                            }
                        }
                    }
                }
            }
        }
    }

    private function change(Change $change): string
    {
        return $change->label.' '.json_encode($change->set).($change->add === null ? '' : ' +'.json_encode($change->add)).($change->onlyEases ? ' (eases)' : '');
    }

    /** @return array<string, Item> */
    private function prescriptions(): array
    {
        $items = [];
        foreach (Catalogue::all() as $technique) {
            $items[$technique->key] = $this->item(['technique' => $technique->key]);
            foreach ([Position::Prone, Position::Supine, Position::Standing, Position::FoldedForward] as $position) {
                if (in_array($position, $technique->positions, true) && $technique->key === 'diaphragmatic') {
                    $items["{$technique->key} {$position->value}"] = $this->item(['technique' => $technique->key, 'position' => $position->value]);
                }
            }
        }
        foreach ([
            'long hold' => ['technique' => 'extended-exhale', 'ratio' => '4:12:6', 'position' => 'seated'], 'long rest' => ['technique' => 'extended-exhale', 'ratio' => '4:0:6:11', 'position' => 'seated'],
            'short hold' => ['technique' => 'extended-exhale', 'ratio' => '4:2:6:1', 'position' => 'standing'], 'long exhale' => ['technique' => 'extended-exhale', 'ratio' => '4:0:12:1', 'position' => 'supine'],
            'very slow' => ['technique' => 'extended-exhale', 'ratio' => '8:4:12:4', 'position' => 'seated'], 'inhale longer' => ['technique' => 'own', 'own_name' => 'Mine', 'ratio' => '6:0:3', 'breaths' => 10, 'position' => 'seated'],
            'big and fast' => ['technique' => 'own', 'own_name' => 'Mine', 'ratio' => '2:0:2', 'breaths' => 60, 'position' => 'seated', 'effort' => 'full'], 'comfortable and fast' => ['technique' => 'own', 'own_name' => 'Mine', 'ratio' => '2:0:2', 'breaths' => 40, 'position' => 'seated', 'effort' => 'active'],
            'long retention' => ['technique' => 'rounds-retention', 'parameters' => ['retention' => 60, 'rounds' => 3]], 'many' => ['technique' => 'extended-exhale', 'ratio' => '4:0:6', 'breaths' => 60, 'times_a_day' => 6, 'position' => 'seated'],
            'hummed' => ['technique' => 'humming', 'parameters' => ['hum' => 12]], '4:7:8 slow' => ['technique' => 'four-seven-eight', 'breaths' => 8], 'even ten' => ['technique' => 'even', 'ratio' => '10:10', 'position' => 'seated'],
            'routine' => ['kind' => 'routine', 'routine_name' => 'Mine', 'steps' => [['kind' => 'exercise', 'technique' => 'noticing', 'minutes' => 1], ['kind' => 'exercise', 'technique' => 'square', 'ratio' => '4:8:6:4', 'position' => 'seated', 'breaths' => 6]]],
        ] as $name => $fields) {
            $items[$name] = $this->item($fields);
        }

        return $items;
    }

    /** @return array<string, PatientFacts> */
    private function measured(): array
    {
        $now = $this->item(['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'supine', 'breaths' => 10])->prescription;

        return [
            'limits' => new PatientFacts(age: 40, limits: new ComfortableLimits(3.2, 3.0, 4.4)), 'exhale 9' => new PatientFacts(age: 40, limits: new ComfortableLimits(exhale: 9.0)),
            'fast at rest' => new PatientFacts(age: 40, restingRate: 22), 'nijmegen' => new PatientFacts(age: 40, nijmegen: 30), 'five minutes' => new PatientFacts(age: 40, minutesADay: 5),
            'in force' => new PatientFacts(age: 40, inForce: $now), 'fell' => new PatientFacts(age: 40, saturationFall: new SaturationFall(97, 87, 20)), 'fell a little' => new PatientFacts(age: 40, saturationFall: new SaturationFall(97, 92, 20)),
            'ceiling' => new PatientFacts(age: 40, ceiling: 4.0), 'mmrc 3' => new PatientFacts([Flag::Copd], 60, mmrc: 3), 'after a month' => new PatientFacts([Flag::Copd], 60, programmeDay: 30),
        ];
    }

    /** @return array<string, PatientFacts> */
    private function several(): array
    {
        return [
            'copd and epilepsy' => new PatientFacts([Flag::Copd, Flag::Epilepsy], 40), 'pregnancy and heart failure' => new PatientFacts([Flag::Pregnancy, Flag::HeartFailure], 30, 24),
            'panic and fainting' => new PatientFacts([Flag::Panic, Flag::Fainting], 40), 'surgery' => new PatientFacts([Flag::RecentAbdominalSurgery, Flag::RecentChestSurgery, Flag::RecentSpinalSurgery], 40),
        ];
    }

    /** @param  array<string, mixed>  $fields */
    private function item(array $fields): Item
    {
        $draft = DraftReader::read($fields, 'x');
        self::assertNotNull($draft->item, json_encode([$fields, $draft->errors]) ?: '');

        return $draft->item;
    }
}
