<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Adjusting;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Exercise\Ladder\Rung;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\School;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

/** Ladders, schools and what to do when it is too hard or too easy. Common practice. */
final class LadderTest extends TestCase
{
    use Prescribing;

    public function test_gentle_control_changes_position_first_then_the_exhale(): void
    {
        $ladder = Ladder::generate($this->prescription('extended-exhale'), School::GentleControl);

        self::assertSame([
            '4:0:5:1, supine, 12 breaths', '4:0:5:1, reclined, 12 breaths', '4:0:5:1, seated, 12 breaths', '4:0:5:1, standing, 12 breaths',
            '4:0:6:1, standing, 12 breaths', '4:0:7:1, standing, 12 breaths', '4:0:8:1, standing, 12 breaths',
            '4:0:8:1, standing, 15 breaths', '4:0:8:1, standing, 18 breaths',
        ], $this->summaries($ladder));
        $top = $ladder->rungs[8];
        self::assertSame([13.0, 18 * 13 / 60], [$top->cycleSeconds(), $top->minutes()]);
        self::assertEqualsWithDelta(60 / 13, $top->rate(), 1e-9);
        self::assertSame(7, $top->days);
    }

    public function test_ratio_practice_keeps_the_ratio(): void
    {
        $ladder = Ladder::generate($this->prescription('extended-exhale'), School::RatioPractice);

        self::assertSame(['4:0:5:1'], array_values(array_unique(array_map(fn (Rung $rung) => $rung->prescription->pattern?->toString(), $ladder->rungs))));
        self::assertSame([12, 15, 18], array_map(fn (Rung $rung) => $rung->prescription->breaths, array_slice($ladder->rungs, 0, 3)));
    }

    public function test_478_waits_28_days_and_ends_at_8_breaths_in_ratio_practice_at_10(): void
    {
        $gentle = Ladder::generate($this->prescription('four-seven-eight'), School::GentleControl);
        $ratio = Ladder::generate($this->prescription('four-seven-eight'), School::RatioPractice);

        self::assertSame([4, 5, 6, 7, 8], array_map(fn (Rung $rung) => $rung->prescription->breaths, $gentle->rungs));
        self::assertSame(28, $gentle->next()?->days);
        self::assertSame([10, 1.05], [$ratio->rungs[6]->prescription->breaths, $ratio->rungs[count($ratio->rungs) - 1]->prescription->countLength->seconds]);
    }

    public function test_ladders_of_the_techniques_are_those_of_the_field(): void
    {
        $ratios = fn (string $key, School $school = School::GentleControl) => array_values(array_unique(array_map(
            fn (Rung $rung) => (string) $rung->prescription->pattern?->toString(), Ladder::generate($this->prescription($key), $school)->rungs,
        )));

        self::assertSame(['2:4', '3:6', '4:8'], $ratios('double-exhale'));
        self::assertSame(['3:3:6', '4:4:8'], $ratios('three-part'));
        self::assertSame(['4:4:4:4', '5:5:5:5'], $ratios('square'), 'a breath of 20 s is where every ladder ends');
        self::assertSame(['4:4', '5:5', '6:6', '7:7', '8:8', '9:9'], $ratios('even'), 'two lengths: the longer one is 10:10');
        self::assertSame(['4:6', '4:7', '4:8', '4:9'], $ratios('soft-exhale'));
        self::assertSame(['4:8'], $ratios('full-exhale'), 'dose only');
        self::assertSame([30.0, 40.0, 50.0, 60.0, 120.0], array_map(
            fn (Rung $rung) => $rung->prescription->parameter('from'), Ladder::generate($this->prescription('reverse-count'), School::GentleControl)->rungs,
        ));
        self::assertSame([5, 10, 15, 20], array_map(
            fn (Rung $rung) => $rung->prescription->breaths, array_slice(Ladder::generate($this->prescription('alternate-nostril'), School::RatioPractice)->rungs, 0, 4),
        ));
        self::assertContains('3:1:6', $ratios('pursed-exhale'));
    }

    public function test_even_breathing_ends_at_the_comfort_ceiling(): void
    {
        $ladder = Ladder::generate(
            $this->prescription('even', ['parameters' => ['steps' => 1]]), School::GentleControl, new Reach(new ComfortableLimits(inhale: 6.5, exhale: 8)),
        );

        self::assertSame(['4:4', '5:5', '6:6', '6:6', '6:6'], array_map(fn (Rung $rung) => $rung->prescription->pattern?->toString(), $ladder->rungs));
    }

    public function test_every_rung_of_every_ladder_changes_one_thing_and_reads_back(): void
    {
        foreach (Catalogue::all() as $technique) {
            foreach (School::cases() as $school) {
                $ladder = Ladder::generate($this->prescription($technique->key), $school);
                $steps = array_map(fn (Rung $rung) => ['set' => $rung->set, 'days' => $rung->days], array_slice($ladder->rungs, 1));
                self::assertEquals($ladder, Ladder::of($ladder->rungs[0]->prescription, $school, $steps), $technique->key);
            }
        }
    }

    public function test_a_bad_ladder_is_refused_with_the_rung_named(): void
    {
        $now = $this->prescription('extended-exhale');
        $bad = [
            'Rung 2 changes nothing.' => [['set' => ['ratio' => '4:0:5:1'], 'days' => 7]],
            'Rung 2 changes position and ratio at once; one at a time.' => [['set' => ['ratio' => '4:6', 'position' => 'seated'], 'days' => 7]],
            'Rung 3 goes past the cap: 8 counts of exhale in Extended exhale.' => [['set' => ['ratio' => '4:0:8:1'], 'days' => 7], ['set' => ['ratio' => '4:0:9:1'], 'days' => 7]],
            'Rung 2 waits 400 days, outside 0 to 365.' => [['set' => ['ratio' => '4:0:6:1'], 'days' => 400]],
            'Rung 2: 0 breaths is outside 1 to 200.' => [['set' => ['breaths' => 0], 'days' => 7]],
            'A ladder of 41 rungs is longer than 24.' => array_fill(0, 40, ['set' => [], 'days' => 1]),
        ];
        foreach ($bad as $message => $steps) {
            try {
                Ladder::of($now, School::GentleControl, $steps);
                self::fail($message);
            } catch (InvalidValue $problem) {
                self::assertSame($message, $problem->getMessage());
            }
        }
    }

    public function test_too_hard_is_answered_in_the_way_of_the_school(): void
    {
        $labels = fn (string $key, School $school, array $fields = []) => array_map(
            fn (Change $change) => $change->label, Adjusting::tooHard($this->prescription($key, $fields), $school),
        );

        self::assertSame(['faster at the same ratio: 0.85 s a count'], $labels('four-seven-eight', School::RatioPractice));
        self::assertSame('shorter phases: 4:6:5', $labels('four-seven-eight', School::GentleControl)[0]);
        self::assertSame(['smaller count: 4:5:1', 'easier position: reclined'], array_map(
            fn (string $label) => str_replace('4:0:', '4:', $label), $labels('extended-exhale', School::GentleControl, ['ratio' => '4:0:6:1', 'position' => 'seated']),
        ));
        self::assertSame(['fewer: 8 breaths'], $labels('extended-exhale', School::RibMechanics));
        self::assertSame(['fewer: 1 lengths, each a count more', 'nothing counted aloud'], $labels('even', School::Contemplative));
    }

    public function test_what_is_offered_can_be_prescribed_and_differs(): void
    {
        foreach (Catalogue::all() as $technique) {
            $now = $this->prescription($technique->key);
            foreach (School::cases() as $school) {
                foreach ([...Adjusting::tooHard($now, $school), ...Adjusting::tooEasy($now, $school)] as $change) {
                    self::assertNotEquals($now, PrescriptionReader::changed($now, $change->set), $change->label);
                }
            }
        }
    }

    public function test_a_school_sets_defaults_that_can_all_be_prescribed(): void
    {
        foreach (Catalogue::all() as $technique) {
            foreach (School::cases() as $school) {
                [$prescription, $errors] = PrescriptionReader::read(['technique' => $technique->key], $school);
                self::assertSame([], $errors, "{$technique->key} in {$school->label()}");
                self::assertNotNull($prescription);
                self::assertNotSame([], $school->criteria($technique));
            }
        }
        [$ribs] = PrescriptionReader::read(['technique' => 'extended-exhale'], School::RibMechanics);
        [$ratio] = PrescriptionReader::read(['technique' => 'extended-exhale'], School::RatioPractice);
        [$calm] = PrescriptionReader::read(['technique' => 'square'], School::Contemplative);
        self::assertSame(['full', 'seated'], [$ribs?->effort->value, $ribs?->position->value]);
        self::assertSame([0.8, 1.25], [$ratio?->guidance->tempo->fastest, $ratio?->guidance->tempo->slowest]);
        self::assertSame('silent', $calm?->guidance->counting['hold']->value);
    }

    public function test_a_still_chest_is_the_goal_in_one_school_and_not_in_another(): void
    {
        $technique = Catalogue::get('extended-exhale');

        self::assertContains('exercise.extended-exhale.right.chest-quiet', School::GentleControl->criteria($technique));
        self::assertNotContains('exercise.extended-exhale.right.chest-quiet', School::RibMechanics->criteria($technique));
        self::assertContains('exercise.school.rib-mechanics', School::RibMechanics->criteria($technique));
    }

    /** @return list<string> */
    private function summaries(Ladder $ladder): array
    {
        return array_map(fn (Rung $rung) => $rung->prescription->summary(), $ladder->rungs);
    }
}
