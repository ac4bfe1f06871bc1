<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\Routine\Shipped;
use IvoryPace\Exercise\School;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\Changes;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Programme\Template;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use LogicException;
use PHPUnit\Framework\TestCase;

final class ProgrammeDraftTest extends TestCase
{
    public function test_several_exercises_and_a_routine_make_a_programme(): void
    {
        $draft = ProgrammeDraft::read([
            ['id' => 'a', 'technique' => 'extended-exhale', 'times_a_day' => 2],
            ['id' => 'b', ...self::routine('end-of-shift'), 'times_a_day' => 1],
            ['technique' => 'forward-lean'],
        ]);

        self::assertTrue($draft->isComplete());
        self::assertSame(['a', 'b', 'new-2'], $draft->ids);
        [$exhale, $routine, $lean] = $draft->items();
        self::assertSame(['Extended exhale', 'The end of a shift', 'Forward-lean recovery'], [$exhale->name(), $routine->name(), $lean->name()]);
        self::assertSame('4 steps', $routine->summary());
        self::assertEqualsWithDelta(2 * 2 + $routine->seconds() / 60, $draft->minutesByWeekday()[3], 1e-9, 'as needed counts in no day');
        foreach ($draft->items() as $item) {
            self::assertEquals($item, DraftReader::read(ItemFields::write($item), $item->lineage)->item, $item->name());
        }
    }

    public function test_what_is_wrong_stays_with_its_item(): void
    {
        $draft = ProgrammeDraft::read([
            ['technique' => 'square', 'ratio' => '4:x'], 'nonsense', ['kind' => 'routine', 'routine_name' => '', 'steps' => [['kind' => 'free', 'seconds' => 1]]],
        ]);

        self::assertFalse($draft->isComplete());
        self::assertArrayHasKey('ratio', $draft->drafts[0]->errors);
        self::assertArrayHasKey('technique', $draft->drafts[1]->errors);
        self::assertSame(['routine_name', 'steps.0.seconds'], self::sorted(array_keys($draft->drafts[2]->errors)));
        self::assertSame('A programme needs at least one exercise.', ProgrammeDraft::read([])->error);
        self::assertSame('A programme of 13 exercises is longer than 12.', ProgrammeDraft::read(array_fill(0, 13, ['technique' => 'square']))->error);
        self::assertSame(['same', 'new-1'], ProgrammeDraft::read([['id' => 'same', 'technique' => 'square'], ['id' => 'same', 'technique' => 'even']])->ids);
    }

    public function test_a_school_is_chosen_for_the_whole_programme(): void
    {
        $draft = ProgrammeDraft::read([['technique' => 'square'], ['technique' => 'extended-exhale', 'school' => 'contemplative']], 'rib-mechanics');

        self::assertSame(School::RibMechanics, $draft->school);
        foreach ($draft->items() as $item) {
            self::assertSame(School::RibMechanics, $item->school);
        }
    }

    public function test_a_short_version_is_shorter_or_there_is_none(): void
    {
        $short = fn (array $fields) => DraftReader::read(['technique' => 'extended-exhale', 'breaths' => 10, ...$fields], 'x')->item?->shortVersion();

        self::assertSame(6, $short([])?->breaths, 'the technique’s own');
        self::assertSame(3, $short(['short' => ['breaths' => 3]])?->breaths);
        self::assertNull($short(['short' => ['breaths' => 10]]));
        self::assertNull($short(['breaths' => 4]));
        self::assertArrayHasKey('short', DraftReader::read(['technique' => 'extended-exhale', 'short' => ['breaths' => 0]], 'x')->errors);
    }

    public function test_an_edited_ladder_is_kept_and_checked(): void
    {
        $fields = ['technique' => 'extended-exhale', 'ladder' => [['set' => ['breaths' => 14], 'days' => 10], ['set' => ['ratio' => '4:0:6:1'], 'days' => 5]]];
        $item = DraftReader::read($fields, 'x')->item;
        self::assertNotNull($item);
        self::assertCount(3, $item->ladder()->rungs ?? []);
        self::assertEquals($item, DraftReader::read(ItemFields::write($item), 'x')->item);
        self::assertSame('Rung 2 changes nothing.', DraftReader::read([...$fields, 'breaths' => 14], 'x')->errors['ladder'] ?? null);
        self::assertArrayHasKey('ladder', DraftReader::read(['technique' => 'extended-exhale', 'ladder' => ['nonsense']], 'x')->errors);
        self::assertCount(9, DraftReader::read(['technique' => 'extended-exhale'], 'x')->item?->ladder()->rungs ?? [], 'otherwise it is generated');
    }

    public function test_the_rules_look_at_every_step_of_a_routine(): void
    {
        $item = DraftReader::read([...self::routine('trunk-and-ribs'), 'times_a_day' => 3], 'x')->item;
        self::assertNotNull($item);
        $patient = new PatientFacts([Flag::RibFracture, Flag::Copd], minutesADay: 8);
        $findings = RuleBook::check($item, $patient);
        $rules = array_map(fn (Finding $finding) => $finding->rule, $findings);
        self::assertSame(['PRONE-SURGERY', 'EXHALE-ACTIVE'], array_slice($rules, 0, 2));
        self::assertContains('RECOVERY-MISSING', $rules);
        self::assertContains('MINUTES-A-DAY', $rules);
        self::assertStringStartsWith('Step 2, Prone breathing: ', $findings[0]->message);

        foreach ($findings as $finding) {
            foreach ($finding->changes as $change) {
                if ($change->add === null) {
                    $after = DraftReader::read([...ItemFields::write($item), ...$change->set], 'x');
                    self::assertSame([], $after->errors, $change->label);
                    self::assertNotNull($after->item);
                    self::assertNotContains($finding->rule, array_map(fn (Finding $each) => $each->rule, RuleBook::check($after->item, $patient)), $change->label);
                }
            }
        }
    }

    public function test_no_step_is_hidden_behind_another_of_the_same_rule(): void
    {
        $hold = fn (string $ratio) => ['kind' => 'exercise', 'technique' => 'square', 'ratio' => $ratio];
        $item = DraftReader::read(['kind' => 'routine', 'routine_name' => 'Holds', 'steps' => [$hold('4:11:6'), ['kind' => 'free', 'seconds' => 30], $hold('4:14:6')]], 'x')->item;
        self::assertNotNull($item);
        $finding = RuleBook::check($item, new PatientFacts([Flag::Copd]))[0];

        self::assertSame('HOLD-LONG', $finding->rule);
        self::assertStringContainsString('Step 1, Square breathing: A pause of 11 s', $finding->message);
        self::assertStringContainsString('Step 3, Square breathing: A pause of 14 s', $finding->message);
        self::assertCount(1, $finding->changes);
        $after = DraftReader::read([...ItemFields::write($item), ...$finding->changes[0]->set], 'x')->item;
        self::assertNotNull($after);
        self::assertNotContains('HOLD-LONG', array_map(fn (Finding $each) => $each->rule, RuleBook::check($after, new PatientFacts([Flag::Copd]))));
    }

    public function test_five_templates_are_shipped_and_each_can_be_prescribed(): void
    {
        self::assertCount(5, Template::shipped());
        foreach (Template::shipped() as $template) {
            $draft = ProgrammeDraft::read($template->items, $template->school->value);
            self::assertSame([], array_merge(...array_map(fn ($each) => $each->errors, $draft->drafts)), $template->name);
            self::assertTrue($draft->isComplete());
            self::assertLessThan(25, max($draft->minutesByWeekday()), $template->name);
        }
    }

    public function test_what_changes_is_said_item_by_item(): void
    {
        $item = fn (string $id, array $fields) => DraftReader::read($fields, $id)->item ?? throw new LogicException;
        $before = [$item('a', ['technique' => 'square']), $item('b', ['technique' => 'noticing'])];
        $after = [$item('c', self::routine('end-of-shift')), $item('a', ['technique' => 'square', 'breaths' => 6, 'times_a_day' => 3, 'why' => 'For the stairs.'])];
        $changes = Changes::between($before, $after);

        self::assertSame([['added', 'The end of a shift'], ['changed', 'Square breathing'], ['removed', 'Noticing the breath']], array_map(fn ($change) => [$change->kind, $change->name], $changes));
        self::assertSame(['length' => '5 breaths → 6 breaths', 'why' => ' → For the stairs.', 'practices a day' => '2 → 3'], array_diff_key(
            array_combine(array_column($changes[1]->lines, 'what'), array_map(fn ($line) => "{$line->from} → {$line->to}", $changes[1]->lines)), ['short version' => 0, 'when' => 0],
        ));
        self::assertSame([], Changes::between($before, $before));
    }

    public function test_a_goal_has_words_and_a_measure(): void
    {
        [$goal, $errors] = Goal::read(['words' => 'Play a whole concert', 'measure' => 'evening tension', 'target' => '3', 'direction' => 'at-most']);
        self::assertSame([], $errors);
        self::assertSame('evening tension at most 3', $goal?->summary());
        self::assertEquals($goal, Goal::read($goal->write())[0]);
        self::assertSame([null, []], Goal::read(['words' => ' ', 'measure' => '', 'target' => '']));
        self::assertSame(['measure', 'target'], self::sorted(array_keys(Goal::read(['words' => 'Sleep'])[1])));
        self::assertArrayHasKey('direction', Goal::read(['measure' => 'x', 'target' => 1, 'direction' => 'sideways'])[1]);
        self::assertArrayHasKey('target', Goal::read(['measure' => 'x', 'target' => -1])[1]);
    }

    /** @return array<string, mixed> */
    private static function routine(string $key): array
    {
        $fields = RoutineFields::write(Shipped::routines()[$key]);

        return ['kind' => 'routine', 'routine_name' => $fields['name'], 'steps' => $fields['steps']];
    }

    /**
     * @param  list<int|string>  $keys
     * @return list<int|string>
     */
    private static function sorted(array $keys): array
    {
        sort($keys);

        return $keys;
    }
}
