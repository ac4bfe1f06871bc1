<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use IvoryPace\Safety\Survey;
use IvoryPace\Tests\Exercise\Prescribing;
use PHPUnit\Framework\TestCase;

/** The rules against a judgement that was written apart from them. */
final class SecondOpinionTest extends TestCase
{
    use Prescribing;

    public function test_the_whole_catalogue_in_every_position_size_and_school_is_judged_alike(): void
    {
        $checked = 0;
        foreach (Catalogue::all() as $technique) {
            foreach (School::cases() as $school) {
                foreach ($technique->positions as $position) {
                    foreach ($technique->efforts as $effort) {
                        $fields = DraftReader::read(['technique' => $technique->key, 'school' => $school->value, 'position' => $position->value, 'effort' => $effort->value], 'x');
                        $checked += $this->judge($fields->item, $fields->fields);
                    }
                }
            }
        }
        self::assertGreaterThan(50_000, $checked);
    }

    public function test_breaths_of_ones_own_and_everything_at_random_are_judged_alike(): void
    {
        mt_srand(1712);
        $pick = fn (array $of) => $of[array_rand($of)];
        for ($run = 0; $run < 800; $run++) {
            $technique = mt_rand(0, 1) === 0 ? Catalogue::get('own') : $pick(array_values(Catalogue::all()));
            $position = $pick($technique->positions);
            $ratio = ! $technique->hasRatio() ? null : mt_rand(1, 14).(mt_rand(0, 3) === 0 ? '+'.mt_rand(1, 3) : '').':'.mt_rand(0, 1) * mt_rand(0, 32).':'.mt_rand(1, 22).(mt_rand(0, 3) > 0 ? ':'.mt_rand(0, 1) * mt_rand(0, 16) : '');
            $draft = DraftReader::read([
                'technique' => $technique->key, 'school' => $pick(School::cases())->value,
                'hands' => $pick($technique->handsIn($position))->value, 'ending' => $pick([null, 'bell', 'quiet', 'slow']), 'start' => $pick($technique->starts)->value, 'times_a_day' => mt_rand(1, 3), 'as_needed' => mt_rand(0, 4) === 0, 'use_when' => 'now',
                'ratio' => $ratio,
                'count_length' => mt_rand(40, 200) / 100, 'slowest' => $pick([1, 1, 1.2]), 'fastest' => $pick([1, 1, 0.7]), 'breaths' => $pick([1, 6, 7, 8, 9, 10, 11, 12, 13, 20, mt_rand(1, 200)]), 'minutes' => mt_rand(1, 14) / 2,
                'position' => $position->value, 'effort' => $pick($technique->efforts)->value, 'gaze' => $pick(Gaze::cases())->value, 'props' => $pick([[], ['chair-with-back']]),
                'parameters' => self::anyParameters($technique, $ratio),
            ], 'x');
            $this->judge($draft->item, $draft->fields, mt_rand(0, 3) === 0 ? 3 : 1);
        }
    }

    public function test_steps_of_a_routine_are_judged_one_by_one_and_as_grave_as_the_gravest(): void
    {
        mt_srand(99);
        $techniques = array_values(array_filter(Catalogue::all(), fn (Technique $technique) => ! $technique->isRecovery));
        for ($run = 0; $run < 150; $run++) {
            $steps = array_map(fn () => ['kind' => 'exercise', 'technique' => $techniques[array_rand($techniques)]->key], range(1, mt_rand(2, 5)));
            $flags = array_rand(array_flip(array_map(fn (Flag $flag) => $flag->value, Flag::asked())), 2);
            $patient = new PatientFacts(array_map(Flag::from(...), $flags), age: 40, pregnancyWeeks: 12);
            $routine = DraftReader::read(['kind' => 'routine', 'routine_name' => 'R', 'steps' => $steps, 'times_a_day' => 1], 'x')->item;
            self::assertNotNull($routine);
            // Only the last one ends the practice, and may end in sleep.
            $alone = array_map(fn (int $at) => self::gravest(DraftReader::read([...$steps[$at], ...($at < count($steps) - 1 ? ['ending' => 'bell'] : [])], 'x')->item, $patient), array_keys($steps));
            self::assertGreaterThanOrEqual(max($alone), self::gravest($routine, $patient), implode(', ', array_column($steps, 'technique')).' with '.implode(', ', $flags));
        }
    }

    public function test_steps_in_a_row_count_together_for_over_breathing(): void
    {
        $full = ['kind' => 'exercise', 'technique' => 'double-exhale', 'ratio' => '2:3', 'effort' => 'full', 'breaths' => 7];
        $routine = fn (array $steps) => DraftReader::read(['kind' => 'routine', 'routine_name' => 'R', 'steps' => $steps, 'times_a_day' => 1], 'x')->item ?? self::fail('cannot be prescribed');
        $of = fn (Item $item) => array_values(array_filter(RuleBook::check($item, new PatientFacts), fn ($finding) => $finding->rule === 'OVER-BREATHING'))[0] ?? null;

        self::assertNull($of($routine([$full])), '35 s');
        $two = $of($routine([$full, $full]));
        self::assertSame([Level::NeedsReason, 'steps.0'], [$two?->level, $two?->field], '70 s at 16.2 l/min');
        self::assertSame('step 1: resting-size breaths; step 2: resting-size breaths', $two->changes[0]->label ?? null);
        self::assertStringStartsWith('Steps 1 and 2 in a row: up to 16.2 l of air a minute', $two->message ?? '');
        self::assertNull($of(DraftReader::read(['kind' => 'routine', 'routine_name' => 'R', 'times_a_day' => 1, ...($two->changes[0]->set ?? [])], 'x')->item ?? self::fail('cannot be read')));
        self::assertNull($of($routine([$full, ['kind' => 'free', 'seconds' => 60], $full])), 'a minute of free breathing between');
        self::assertNotNull($of($routine([$full, ['kind' => 'free', 'seconds' => 55], $full])));
        self::assertSame('step 1: resting-size breaths', $of($routine([['breaths' => 13] + $full, ['kind' => 'free', 'seconds' => 60], ['kind' => 'exercise', 'technique' => 'noticing', 'minutes' => 1]]))->changes[0]->label ?? null);
    }

    public function test_alarms_of_sensible_prescriptions_stay_rare_in_every_school(): void
    {
        foreach (School::cases() as $school) {
            self::assertLessThanOrEqual(Survey::MOST_ALARMS, Survey::share($school), $school->value);
            self::assertGreaterThan(0.0, Survey::share($school));
        }
        self::assertCount(count(Flag::asked()) + 4, Survey::people());
        self::assertSame(Level::NeedsReason, Survey::level(Catalogue::get('rounds-retention'), School::GentleControl, Survey::people()['asthma']));
        self::assertNull(Survey::level(Catalogue::get('even'), School::GentleControl, Survey::people()['']));
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  int  $together  flags at a time
     */
    private function judge(?Item $item, array $fields, int $together = 1): int
    {
        self::assertNotNull($item);
        $all = array_map(fn (Flag $flag) => $flag->value, Flag::asked());
        $people = [[[], new PatientFacts(age: 40)]];
        foreach ($together > 1 ? [array_map(fn (int|string $key) => $all[$key], (array) array_rand($all, $together))] : array_map(fn (string $flag) => [$flag], $all) as $flags) {
            $weeks = mt_rand(10, 30);
            $isLate = in_array('pregnancy', $flags, true) && $weeks >= 20;
            $people[] = [[...$flags, ...($isLate ? ['late-pregnancy'] : [])], new PatientFacts(array_map(Flag::from(...), $flags), age: 40, pregnancyWeeks: $weeks)];
        }
        $people[] = [['under-16'], new PatientFacts(age: 13)];
        $people[] = [['under-16', 'under-12'], new PatientFacts(age: 9)];
        $people[] = [['asthma'], new PatientFacts([Flag::Asthma], age: 40, mmrc: 3), ['mmrc' => 3]];
        $people[] = [['copd'], new PatientFacts([Flag::Copd], age: 40, programmeDay: 20), ['days' => 20]];
        $people[] = [[], new PatientFacts(age: 40, nijmegen: 30), ['nijmegen' => 30]];
        foreach ($people as $person) {
            [$flags, $patient] = $person;
            $expected = Judgement::of($fields, $flags, $person[2] ?? []);
            $found = self::gravest($item, $patient);
            self::assertSame($expected, $found, $item->prescription->technique->key.' '.json_encode($fields).' with '.implode(', ', $flags));
        }

        return count($people);
    }

    /** 0 for nothing or a plain note, 2 for a caution, 3 where a reason is needed. */
    private static function gravest(?Item $item, PatientFacts $patient): int
    {
        self::assertNotNull($item);
        $rank = (RuleBook::findings($item, $patient, [], false)[0]->level ?? null)?->rank() ?? 0;

        return $rank === Level::Note->rank() ? 0 : $rank;
    }
}
