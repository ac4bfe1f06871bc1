<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Assessment\SaturationFall;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\School;
use IvoryPace\Health\Flag;
use IvoryPace\Health\StopClass;
use IvoryPace\Health\StopSymptom;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\RecoveryWatch;
use IvoryPace\Practice\Windows;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Likeness;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\PauseRules;
use IvoryPace\Safety\Rules\SaturationFallen;
use IvoryPace\Safety\Survey;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What rules are told of a patient, what made one speak, and what makes two exercises the same one. */
final class KnownOfAPatientTest extends TestCase
{
    public function test_what_is_known_is_remembered_whole(): void
    {
        $facts = new PatientFacts(
            [Flag::Copd, Flag::Pregnancy], 15, 21, new ComfortableLimits(4.5, 8.0, 6.25), 17.5, 24, 12.0, 9, null, 3, new SaturationFall(97, 90, 12, 92.0), 5.5,
        );
        $again = PatientFacts::read((array) json_decode((string) json_encode($facts->write()), true));
        self::assertEquals($facts, $again);
        self::assertSame(['copd', 'pregnancy'], $facts->write()['flags'], 'what follows from age and weeks is not written twice');
        self::assertSame([Flag::Copd, Flag::Pregnancy, Flag::Under16, Flag::LatePregnancy], $again->flags());
        self::assertEquals(new PatientFacts, PatientFacts::read([]));
        self::assertEquals(new PatientFacts([Flag::Asthma]), PatientFacts::read(['flags' => ['asthma', 'no-such-flag', 7], 'age' => 'old', 'fall' => [1, 2], 'inhale' => null]));
    }

    /** @return iterable<string, array{int|null, int|null, list<Flag>}> */
    public static function derived(): iterable
    {
        yield 'twelve' => [12, null, [Flag::Under16]];
        yield 'eleven' => [11, null, [Flag::Under16, Flag::Under12]];
        yield 'fifteen' => [15, null, [Flag::Under16]];
        yield 'sixteen' => [16, null, []];
        yield 'nobody knows' => [null, null, []];
    }

    /** @param  list<Flag>  $expected */
    #[DataProvider('derived')]
    public function test_age_and_weeks_make_flags(?int $age, ?int $weeks, array $expected): void
    {
        self::assertSame($expected, (new PatientFacts([], $age, $weeks))->flags());
        self::assertSame([Flag::Pregnancy], (new PatientFacts([Flag::Pregnancy], null, 19))->flags());
        self::assertSame([Flag::Pregnancy, Flag::LatePregnancy], (new PatientFacts([Flag::Pregnancy], null, 20))->flags());
        self::assertSame([Flag::Pregnancy, Flag::LatePregnancy], (new PatientFacts([Flag::Pregnancy]))->flags(), 'unknown weeks are late ones');
        self::assertSame(['pregnancy'], (new PatientFacts([Flag::Pregnancy], null, 10))->labels());
        self::assertSame(['COPD', 'pregnancy from 20 weeks'], (new PatientFacts([Flag::Copd, Flag::Pregnancy], null, 30))->labels());
    }

    public function test_what_is_gone_is_told(): void
    {
        self::assertSame([Flag::Vertigo], (new PatientFacts([Flag::Asthma]))->lostSince(new PatientFacts([Flag::Vertigo, Flag::Asthma])));
        self::assertSame([], (new PatientFacts([Flag::Asthma]))->lostSince(new PatientFacts));
    }

    public function test_a_cause_covers_only_what_it_named(): void
    {
        $both = new Cause([Flag::Copd, Flag::Epilepsy], ['hold' => 12.0]);
        self::assertTrue($both->covers(new Cause([Flag::Copd], ['hold' => 12.0])));
        self::assertTrue($both->covers(new Cause([Flag::Epilepsy], ['hold' => 3.0])));
        self::assertTrue($both->covers(new Cause));
        self::assertFalse($both->covers(new Cause([Flag::Copd, Flag::Fainting], ['hold' => 12.0])), 'a flag it did not name');
        self::assertFalse($both->covers(new Cause([Flag::Copd], ['hold' => 12.1])), 'a number that has grown');
        self::assertFalse($both->covers(new Cause([Flag::Copd], ['exhale' => 1.0])), 'a number it did not name');
        self::assertTrue($both->covers(new Cause([], ['hold' => 12.000_000_5])), 'rounding is no growth');
        self::assertFalse((new Cause)->covers($both));
        self::assertEquals($both, Cause::read((array) json_decode((string) json_encode($both->write()), true)));
        self::assertEquals(new Cause, Cause::read('nonsense'));
        self::assertEquals(new Cause([Flag::Copd], ['hold' => 0.0]), Cause::read(['flags' => ['copd', 'x', 3], 'numbers' => ['hold' => 'many', 5 => 2]]));
        self::assertEquals(new Cause([Flag::Copd, Flag::Epilepsy], ['hold' => 12.0, 'exhale' => 9.0]), $both->and(new Cause([Flag::Copd], ['hold' => 4.0, 'exhale' => 9.0])));
        self::assertEquals(new Cause([Flag::Copd], ['step 2' => 1.0, 'step 2 hold' => 3.0]), (new Cause([Flag::Copd], ['hold' => 3.0]))->inStep(2));
        self::assertCount(1, (new Cause([Flag::Copd, Flag::Copd]))->flags);
    }

    /** Whatever the reason was for, it covers no flag that it did not name and no number beyond. */
    public function test_no_random_reason_covers_a_flag_that_it_did_not_name(): void
    {
        $random = new Randomizer(new Mt19937(27));
        $flags = Flag::cases();
        $some = function () use ($random, $flags): array {
            return array_map(fn (int|string $key) => $flags[$key], $random->pickArrayKeys($flags, $random->getInt(1, 4)));
        };
        for ($run = 0; $run < 3000; $run++) {
            $reason = new Cause($some(), ['hold' => (float) $random->getInt(0, 20)]);
            $finding = new Cause($some(), ['hold' => (float) $random->getInt(0, 20)]);
            $named = array_diff(array_map(fn (Flag $flag) => $flag->value, $finding->flags), array_map(fn (Flag $flag) => $flag->value, $reason->flags)) === [];
            self::assertSame($named && $finding->numbers['hold'] <= $reason->numbers['hold'], $reason->covers($finding));
        }
    }

    public function test_a_finding_is_worse_when_graver_or_for_more(): void
    {
        $of = fn (Level $level, Cause $cause) => new Finding('R', $level, 'T', 'M', 'ratio', $cause);
        $copd = new Cause([Flag::Copd], ['hold' => 4.0]);
        self::assertTrue($of(Level::Note, $copd)->isWorseThan(null));
        self::assertTrue($of(Level::NeedsReason, $copd)->isWorseThan($of(Level::Caution, $copd)));
        self::assertFalse($of(Level::Caution, $copd)->isWorseThan($of(Level::NeedsReason, $copd)));
        self::assertFalse($of(Level::Caution, $copd)->isWorseThan($of(Level::Caution, $copd)));
        self::assertTrue($of(Level::Caution, new Cause([Flag::Copd, Flag::Epilepsy]))->isWorseThan($of(Level::Caution, $copd)), 'a second flag is not hidden by the first');
    }

    public function test_what_is_the_same_exercise_for_a_pause(): void
    {
        $exhale = $this->like(['technique' => 'extended-exhale', 'ratio' => '4:0:6:1']);
        self::assertTrue($exhale->isSame($this->like(['technique' => 'extended-exhale', 'ratio' => '2:0:3'])), 'an easier form too');
        self::assertFalse($exhale->isSame($this->like(['technique' => 'even'])));
        $own = fn (string $ratio, string $effort = 'gentle') => $this->like(['technique' => 'own', 'own_name' => 'Mine', 'ratio' => $ratio, 'breaths' => 6, 'position' => 'seated', 'effort' => $effort]);
        self::assertTrue($own('4:0:6:1')->isSame($exhale));
        self::assertTrue($exhale->isSame($own('4:0:6:1')));
        self::assertFalse($own('4:0:7:1')->isSame($exhale), 'no harm in either, another ratio');
        self::assertTrue($own('4:5:6')->isSame($this->like(['technique' => 'square', 'ratio' => '4:4:4:4'])), 'both hold longer than 2 s');
        self::assertFalse($own('4:2:6')->isSame($this->like(['technique' => 'square', 'ratio' => '4:4:4:4'])), 'two seconds are no long hold');
        self::assertTrue($own('4:0:9')->isSame($this->like(['technique' => 'extended-exhale', 'ratio' => '3:0:8.5'])), 'both exhale longer than 8 s');
        self::assertFalse($own('4:0:8')->isSame($this->like(['technique' => 'extended-exhale', 'ratio' => '3:0:8.5'])));
        self::assertFalse($own('4:4:9')->isSame($this->like(['technique' => 'square', 'ratio' => '4:4:4:4'])), 'the same set, not a part of it');
        self::assertTrue($own('4:2:6')->isSame($own('3:0:5')), 'breaths of the clinic’s own share a technique');
        self::assertSame([['technique' => 'square', 'own' => false, 'marks' => ['hold'], 'ratio' => '4:4:4:4']], array_map(fn (Likeness $likeness) => $likeness->write(), [$this->like(['technique' => 'square', 'ratio' => '4:4:4:4'])]));
        self::assertEquals([$exhale, $own('4:5:6')], Likeness::readAll([$exhale->write(), 'x', ['technique' => 3], $own('4:5:6')->write()]));
        self::assertSame([], Likeness::readAll(null));
        self::assertTrue(Likeness::meet([$own('3:0:5'), $exhale], [$this->like(['technique' => 'body-scan']), $exhale]));
        self::assertFalse(Likeness::meet([$exhale], []));
    }

    public function test_a_routine_shares_the_pause_of_each_of_its_steps(): void
    {
        $routine = $this->item(['kind' => 'routine', 'routine_name' => 'Mine', 'steps' => [
            ['kind' => 'exercise', 'technique' => 'noticing', 'minutes' => 1], ['kind' => 'free', 'seconds' => 30], ['kind' => 'exercise', 'technique' => 'extended-exhale', 'position' => 'seated', 'breaths' => 6],
        ]]);
        self::assertSame(['noticing', 'extended-exhale'], array_map(fn (Likeness $likeness) => $likeness->technique, Likeness::ofItem($routine)));
        self::assertTrue(Likeness::meet(Likeness::ofItem($routine), [$this->like(['technique' => 'extended-exhale'])]));
    }

    /** @return iterable<string, array{float, float, float, float|null, Level|null}> */
    public static function falls(): iterable
    {
        yield 'to 88' => [92, 88, 0, null, Level::NeedsReason];
        yield 'to 89, short' => [92, 89, 60, null, null];
        yield 'four points for 5 s' => [97, 93, 5, null, Level::Caution];
        yield 'four points for less' => [97, 93, 4.9, null, null];
        yield 'under four points' => [97, 93.1, 60, null, null];
        yield 'four under the own range' => [93, 90, 0, 94, Level::NeedsReason];
        yield 'three under the own range' => [93, 91, 0, 94, null];
    }

    #[DataProvider('falls')]
    public function test_a_fall_of_saturation(float $from, float $lowest, float $seconds, ?float $ownLow, ?Level $expected): void
    {
        self::assertSame($expected, SaturationFallen::levelOf(new SaturationFall($from, $lowest, $seconds, $ownLow)));
    }

    public function test_impossible_falls_and_limits_are_named(): void
    {
        foreach ([[90, 95, 1], [101, 90, 1], [60, 49, 1], [95, 90, -1], [95, 90, 601]] as $wrong) {
            try {
                new SaturationFall(...$wrong);
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('.', $problem->getMessage());
            }
        }
        self::assertEqualsWithDelta(0.0, (new SaturationFall(50, 50, 600))->points(), 1e-9);
        foreach ([0.0, -1.0, 120.1] as $wrong) {
            try {
                new ComfortableLimits(hold: $wrong);
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('outside 0 to 120 s', $problem->getMessage());
            }
        }
        self::assertSame(120.0, (new ComfortableLimits(hold: 120.0))->hold);
    }

    public function test_numbers_that_devices_are_handed(): void
    {
        self::assertSame(['ask_after' => 180, 'help_after' => 600, 'look_back_after' => 120, 'trusted_offset' => 90], RecoveryWatch::forDevices());
        self::assertSame(['waits_at_most' => 60, 'lately' => 7, 'tally' => 14], Windows::forDevices());
        self::assertSame(['look_at' => 3, 'stops' => 2], PauseRules::forDevices());
        self::assertTrue(RecoveryWatch::forEveryone()->isRecovery());
        self::assertNull(RecoveryWatch::forEveryone()->plan);
        $symptoms = StopSymptom::forDevices();
        self::assertSame(['dizziness', 'tingling', 'cramp', 'breathlessness', 'panic', 'unreal', 'something-else'], $symptoms['made_me_stop']);
        self::assertSame(['chest-pain', 'fainting', 'confusion', 'weakness', 'palpitations', 'headache', 'breathlessness-stays', 'numb-side', 'slurred-speech', 'seizure', 'loss-of-sight'], $symptoms['get_help']);
        foreach (StopSymptom::cases() as $symptom) {
            self::assertTrue($symptom->goesWith(StopClass::GetHelp));
            self::assertSame($symptom->stopClass() === StopClass::MadeMeStop, $symptom->goesWith(StopClass::MadeMeStop));
            self::assertFalse($symptom->goesWith(StopClass::NoSymptom));
            self::assertNotSame('', $symptom->label());
            self::assertSame($symptom === StopSymptom::Breathlessness ? StopSymptom::BreathlessnessStays : $symptom, $symptom->unsettled());
        }
    }

    public function test_sensible_prescriptions_do_not_alarm_too_often(): void
    {
        foreach (School::cases() as $school) {
            $share = Survey::share($school);
            self::assertGreaterThan(0.0, $share, 'the rules are not silent');
            self::assertGreaterThanOrEqual(Survey::LEAST_SAID, Survey::share($school, Level::Note), $school->value);
            self::assertLessThanOrEqual(Survey::MOST_ALARMS, $share, $school->value);
        }
        self::assertSame(['', 'late-pregnancy', 'under-16', 'under-12'], array_values(array_diff(array_keys(Survey::people()), array_map(fn (Flag $flag) => $flag->value, Flag::asked()))));
        foreach (Survey::people() as $flag => $facts) {
            self::assertTrue($flag === '' || array_filter($facts->flags(), fn (Flag $each) => $each->value === $flag) !== [], $flag);
        }
    }

    /** @param  array<string, mixed>  $fields */
    private function like(array $fields): Likeness
    {
        return Likeness::ofItem($this->item($fields))[0];
    }

    /** @param  array<string, mixed>  $fields */
    private function item(array $fields): Item
    {
        $draft = DraftReader::read($fields, 'x');
        self::assertNotNull($draft->item, json_encode($draft->errors) ?: '');

        return $draft->item;
    }
}
