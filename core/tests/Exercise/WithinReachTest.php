<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Ladder\HomeCeiling;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\School;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\WhenWritten;
use IvoryPace\Progress\Proposal\Easier;
use IvoryPace\Progress\Proposal\StepTaken;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** No ladder and no step leads past what was measured, the ceiling or a cap; a step back is harder in nothing. */
final class WithinReachTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 3) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_rung_and_no_step_up_passes_what_was_measured(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $stepped = 0;
        foreach (Catalogue::all() as $technique) {
            foreach (School::cases() as $school) {
                $item = $this->item(['technique' => $technique->key, 'school' => $school->value]);
                $some = fn (int $most): ?float => $random->getInt(0, 3) === 0 ? null : $random->getInt(20, $most * 10) / 10;
                $limits = new ComfortableLimits($some(9), $some(12), $some(14));
                $ceiling = $some(8);
                $reach = new Reach($limits, $ceiling);
                foreach (array_slice($item->ladder($reach)->rungs ?? [], 1) as $rung) {
                    $this->assertWithin($rung->prescription, $limits, $ceiling, "{$technique->key} {$school->value} {$rung->change()}");
                }
                $up = StepTaken::up($item, $reach);
                if ($up !== null) {
                    $stepped++;
                    $this->assertWithin($up->prescription, $limits, $ceiling, "{$technique->key} up");
                }
            }
        }
        self::assertGreaterThan(20, $stepped);
    }

    public function test_what_was_measured_is_named_when_it_holds_back(): void
    {
        $item = $this->item(['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'standing']);
        self::assertSame('4:0:6:1', StepTaken::up($item)?->prescription->pattern?->toString());
        $within = new Reach(new ComfortableLimits(exhale: 5.0));
        self::assertSame('4:0:5:1, standing, 15 breaths', StepTaken::up($item, $within)?->summary(), 'it goes on where it may');
        self::assertSame([], StepTaken::heldBackBy($item, $within));
        $most = $this->item(['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'standing', 'breaths' => 18]);
        self::assertNull(StepTaken::up($most, $within));
        self::assertSame(['exhale'], StepTaken::heldBackBy($most, $within));
        self::assertSame([], StepTaken::heldBackBy($most, new Reach(new ComfortableLimits(exhale: 6.0))));
        self::assertSame([], StepTaken::heldBackBy($item, new Reach(new ComfortableLimits(exhale: 6.0))));
    }

    public function test_which_limits_a_breath_passes(): void
    {
        $of = fn (string $ratio, array $with = []): Prescription => $this->item(['technique' => 'own', 'own_name' => 'Mine', 'ratio' => $ratio, 'breaths' => 6, 'position' => 'seated', ...$with])->prescription;
        $reach = new Reach(new ComfortableLimits(4.0, 3.0, 6.0), 4.0);
        self::assertSame([], $reach->passed($of('4:3:6:3')));
        self::assertSame(['inhale', 'ceiling'], $reach->passed($of('4.1:0:6')));
        self::assertSame(['hold'], $reach->passed($of('4:3.1:6')));
        self::assertSame(['hold'], $reach->passed($of('4:0:6:3.1')), 'a rest is held to the limit of the hold');
        self::assertSame(['exhale'], $reach->passed($of('4:0:6.1')));
        self::assertSame(['ceiling'], (new Reach(ceiling: 4.0))->passed($of('2:0:5')), 'the ceiling is all that is known of the exhale');
        self::assertSame([], (new Reach(new ComfortableLimits(exhale: 9.0), 4.0))->passed($of('2:0:5')));
        self::assertSame(['ceiling'], (new Reach(new ComfortableLimits(exhale: 9.0), 4.0))->passed($of('5:0:5')));
        self::assertSame(['exhale'], (new Reach(new ComfortableLimits(exhale: 6.0)))->passed($of('4:0:6', ['slowest' => '1.1'])), 'as slow as the patient may make it');
        self::assertFalse(Reach::isTooLong($of('6:2:10:2')));
        self::assertTrue(Reach::isTooLong($of('6:2:10:2.1')));
    }

    public function test_home_lowers_the_ceiling_and_never_raises_it(): void
    {
        self::assertNull(HomeCeiling::with(null, []));
        self::assertSame(5.0, HomeCeiling::with(5.0, []));
        self::assertSame(4.0, HomeCeiling::with(5.0, [4.0]));
        self::assertSame(5.0, HomeCeiling::with(5.0, [7.0, 8.0, 9.0]));
        self::assertSame(4.0, HomeCeiling::with(6.0, [3.0, 4.0, 9.0, 9.0, 9.0]), 'the middle of the last three');
        self::assertSame(3.5, HomeCeiling::with(null, [3.0, 4.0]));
    }

    #[DataProvider('seeds')]
    public function test_a_step_back_is_harder_in_nothing(int $seed): void
    {
        $random = new Randomizer(new Mt19937(100 + $seed));
        $people = [new PatientFacts(age: 40), new PatientFacts([Flag::Copd], 60), new PatientFacts([Flag::Pregnancy], 30, 24), new PatientFacts([Flag::Panic], 40), new PatientFacts([Flag::HeartFailure], 70)];
        $back = 0;
        foreach (Catalogue::all() as $technique) {
            $item = $this->item(['technique' => $technique->key]);
            $up = $item;
            for ($n = $random->getInt(0, 5); $n > 0; $n--) {
                $up = StepTaken::up($up) ?? $up;
            }
            foreach ($people as $patient) {
                $down = StepTaken::back($up, [$item], $patient);
                if ($down === null) {
                    continue;
                }
                $back++;
                $this->assertEasier($up, $down, $patient, "{$technique->key}: {$up->summary()} → {$down->summary()}");
            }
        }
        self::assertGreaterThan(30, $back);
    }

    public function test_counts_stay_within_their_range_at_any_pace_when_they_are_written(): void
    {
        $of = fn (array $with) => WhenWritten::problems($this->item(['technique' => 'extended-exhale', ...$with]));
        self::assertSame([], $of(['count_length' => 1, 'slowest' => '2', 'fastest' => '0.5']));
        self::assertSame(['slowest' => 'Counts of 1.5 s at 1.4 times the length would last 2.1 s; a count lasts 0.4 to 2 s. Here: at most 1.33 times.'], $of(['count_length' => 1.5, 'slowest' => '1.4']));
        self::assertSame([], $of(['count_length' => 1.5, 'slowest' => '1.33']));
        self::assertArrayHasKey('fastest', $of(['count_length' => 0.5, 'fastest' => '0.7']));
        $routine = $this->item(['kind' => 'routine', 'routine_name' => 'Mine', 'steps' => [
            ['kind' => 'exercise', 'technique' => 'noticing', 'minutes' => 1], ['kind' => 'exercise', 'technique' => 'extended-exhale', 'position' => 'seated', 'breaths' => 6, 'count_length' => 1.5, 'slowest' => '1.4'],
        ]]);
        self::assertSame(['steps.1.slowest'], array_keys(WhenWritten::problems($routine)));
    }

    private function assertWithin(Prescription $prescription, ComfortableLimits $limits, ?float $ceiling, string $what): void
    {
        $count = $prescription->countLength->seconds * $prescription->guidance->tempo->slowest;
        foreach ($prescription->cycles() as $cycle) {
            $inhale = ($cycle->pattern->counts(Phase::Inhale)->toFloat() + $cycle->pattern->counts(Phase::TopUp)->toFloat()) * $count;
            $of = fn (Phase $phase): float => $cycle->pattern->counts($phase)->toFloat() * $count + $cycle->pattern->softSeconds($phase);
            self::assertLessThanOrEqual(min($limits->inhale ?? INF, $ceiling ?? INF) + 1e-6, $inhale, "$what: inhale");
            self::assertLessThanOrEqual(($limits->hold ?? INF) + 1e-6, max($of(Phase::Hold), $of(Phase::Rest)), "$what: hold");
            if (! $prescription->hasOpenExhale()) {
                self::assertLessThanOrEqual(($limits->exhale ?? INF) + 1e-6, $of(Phase::Exhale), "$what: exhale");
                self::assertLessThanOrEqual(20.0 + 1e-6, $cycle->seconds() * $prescription->guidance->tempo->slowest, "$what: breath");
            }
        }
    }

    private function assertEasier(Item $then, Item $now, PatientFacts $patient, string $what): void
    {
        $hold = fn (Prescription $of): float => max([0.0, ...array_map(fn ($cycle) => max($cycle->phaseSeconds(Phase::Hold), $cycle->phaseSeconds(Phase::Rest)), $of->cycles())]);
        $a = $then->prescription;
        $b = $now->prescription;
        self::assertLessThanOrEqual($a->retentionSeconds() + 1e-6, $b->retentionSeconds(), "$what: retention");
        self::assertLessThanOrEqual($hold($a) + 1e-6, $hold($b), "$what: hold");
        self::assertLessThanOrEqual($then->seconds() + 1e-6, $now->seconds(), "$what: minutes");
        self::assertTrue($b->position === $a->position || in_array($b->position, $a->position->easier(Easier::isNeverFlatter($patient)), true), "$what: position");
        $before = array_map(fn ($finding) => $finding->rule, RuleBook::findings($then, $patient, [], false));
        foreach (RuleBook::findings($now, $patient, [], false) as $finding) {
            self::assertContains($finding->rule, [...$before, 'TWO-AXES'], "$what: {$finding->message}");
        }
    }

    /** @param  array<string, mixed>  $fields */
    private function item(array $fields): Item
    {
        $draft = DraftReader::read($fields, 'x');
        self::assertNotNull($draft->item, json_encode([$fields, $draft->errors]) ?: '');

        return $draft->item;
    }
}
