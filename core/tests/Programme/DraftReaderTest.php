<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\ItemFields;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DraftReaderTest extends TestCase
{
    public function test_the_defaults_of_every_technique_can_be_prescribed(): void
    {
        foreach (Catalogue::all() as $technique) {
            $draft = DraftReader::read(DraftReader::defaults($technique), 'x');

            self::assertSame([], $draft->errors);
            self::assertNotNull($draft->item);
            if ($technique->isRecovery) {
                self::assertNull($draft->item->plan);
                self::assertSame($technique->timesADay, $draft->item->asNeeded?->dailyMost);
                self::assertSame(0.0, max($draft->item->minutesByWeekday()), 'as needed it is in no day’s minutes');
            } else {
                self::assertCount($technique->timesADay, $draft->item->plan->slots ?? []);
            }
        }
    }

    public function test_what_is_written_reads_back_the_same(): void
    {
        $item = DraftReader::read(['technique' => 'extended-exhale', 'ratio' => '4 - 0 - 6 - 1', 'times_a_day' => '4', 'count_length' => '0.85'], 'x')->item;
        self::assertNotNull($item);
        $again = DraftReader::read(ItemFields::write($item), 'x')->item;

        self::assertEquals($item, $again);
        self::assertSame('4:0:6:1', ItemFields::write($item)['ratio']);
    }

    public function test_changing_the_times_a_day_keeps_the_windows_that_stay(): void
    {
        $anchors = [['anchor' => 'waking', 'from' => '11:00', 'to' => '12:30', 'days' => [1, 2, 3]], ['anchor' => 'lights-out', 'from' => '21:30', 'to' => '01:30', 'days' => [1]]];
        $draft = DraftReader::read(['technique' => 'extended-exhale', 'times_a_day' => 3, 'anchors' => $anchors], 'x');

        self::assertNotNull($draft->item);
        self::assertSame(['waking', 'lunch', 'lights-out'], array_column($draft->fields['anchors'], 'anchor'));
        self::assertSame(['11:00', [1, 2, 3]], [$draft->fields['anchors'][0]['from'], $draft->fields['anchors'][0]['days']]);
    }

    public function test_without_anchors_the_times_of_the_technique_are_taken(): void
    {
        $anchors = fn (string $technique, int $times) => array_column((array) DraftReader::read(['technique' => $technique, 'times_a_day' => $times], 'x')->fields['anchors'], 'anchor');

        self::assertSame(['before-breakfast', 'lunch', 'evening-meal'], $anchors('full-exhale', 3), 'before meals means three meals');
        self::assertSame(['lights-out'], $anchors('three-part', 1));
        self::assertSame(['waking'], $anchors('rounds-retention', 1));
        self::assertNotContains('lights-out', $anchors('walking', 5), 'nobody walks to bed');
        foreach (range(1, 9) as $times) {
            self::assertCount($times, $anchors('extended-exhale', $times));
        }
    }

    public function test_a_habit_of_the_patients_own_has_its_own_name(): void
    {
        $own = fn (string $name) => DraftReader::read(['technique' => 'even', 'times_a_day' => 1, 'anchors' => [['anchor' => 'own', 'name' => $name, 'from' => '12:00', 'to' => '13:00', 'days' => [1]]]], 'x');

        self::assertSame(['the news on the radio', 'the news on the radio'], [$own('the news on the radio')->item?->plan?->slots[0]->label(), ((array) $own('the news on the radio')->fields['anchors'])[0]['name'] ?? '']);
        self::assertSame('Name the habit in at most 40 letters, like “the news on the radio”.', $own(' ')->errors['times_a_day'] ?? '');
        self::assertNotContains('own', array_column((array) DraftReader::read(['technique' => 'even', 'times_a_day' => 9], 'x')->fields['anchors'], 'anchor'), 'it is never taken by itself');
    }

    public function test_with_fewer_times_the_most_usual_anchors_stay(): void
    {
        $all = array_map(fn (string $anchor) => ['anchor' => $anchor, 'from' => '11:00', 'to' => '12:30', 'days' => [1]], ['waking', 'lunch', 'lights-out']);
        $draft = DraftReader::read(['technique' => 'three-part', 'times_a_day' => 1, 'anchors' => $all], 'x');

        self::assertSame(['lights-out'], array_column((array) $draft->fields['anchors'], 'anchor'));
        self::assertSame(['11:00'], array_column((array) $draft->fields['anchors'], 'from'));
    }

    public function test_minutes_by_weekday(): void
    {
        $anchors = [['anchor' => 'waking', 'from' => '06:00', 'to' => '09:00', 'days' => [1, 2]], ['anchor' => 'lunch', 'from' => '11:00', 'to' => '14:00', 'days' => [2]]];
        $item = DraftReader::read(['technique' => 'extended-exhale', 'times_a_day' => 2, 'anchors' => $anchors], 'x')->item;

        self::assertNotNull($item);
        self::assertSame([1 => 2.0, 2 => 4.0, 3 => 0.0, 4 => 0.0, 5 => 0.0, 6 => 0.0, 7 => 0.0], $item->minutesByWeekday());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        yield 'ratio' => [['ratio' => '4:x'], 'ratio', 'does not belong'];
        yield 'no breaths' => [['breaths' => 0], 'breaths', '0 breaths is outside'];
        yield 'half a breath' => [['breaths' => 2.5], 'breaths', 'whole number'];
        yield 'many breaths' => [['breaths' => '500'], 'breaths', 'outside 1 to 200'];
        yield 'breaths in words' => [['breaths' => 'ten'], 'breaths', 'not a number'];
        yield 'no number at all' => [['breaths' => ''], 'breaths', 'Type a number'];
        yield 'a list for a number' => [['breaths' => [3]], 'breaths', 'Type a number'];
        yield 'count too short' => [['count_length' => 0.1], 'count_length', '0.4 to 2.0'];
        yield 'decimal comma' => [['count_length' => '0,8'], 'count_length', 'like 12 or 0.8'];
        yield 'forty a day' => [['times_a_day' => 40], 'times_a_day', '40 practices a day is outside 1 to 9'];
        yield 'none a day' => [['times_a_day' => 0], 'times_a_day', 'outside 1 to 9'];
        yield 'unknown position' => [['position' => 'upside-down'], 'position', 'Choose one'];
        yield 'wrong position' => [['position' => 'walking'], 'position', 'is not done walking'];
        yield 'wrong route' => [['route_out' => 'hum'], 'position', 'not breathed out'];
        yield 'unknown prop' => [['props' => ['trampoline']], 'props', 'no such prop'];
        yield 'anchor twice' => [['times_a_day' => 2, 'anchors' => array_fill(0, 2, ['anchor' => 'lunch', 'from' => '11:00', 'to' => '12:00', 'days' => [1]])], 'times_a_day', 'only one practice'];
        yield 'no weekday' => [['times_a_day' => 1, 'anchors' => [['anchor' => 'lunch', 'from' => '11:00', 'to' => '12:00', 'days' => []]]], 'times_a_day', 'at least one weekday'];
        yield 'empty window' => [['times_a_day' => 1, 'anchors' => [['anchor' => 'lunch', 'from' => '11:00', 'to' => '11:00', 'days' => [1]]]], 'times_a_day', 'begins and ends'];
        yield 'weekday 9' => [['times_a_day' => 1, 'anchors' => [['anchor' => 'lunch', 'from' => '11:00', 'to' => '12:00', 'days' => [9]]]], 'times_a_day', '1 to 7'];
        yield 'no technique' => [['technique' => 'levitation'], 'technique', 'levitation'];
        yield 'too few minutes' => [['technique' => 'diaphragmatic', 'minutes' => 0.2], 'minutes', 'outside 0.5'];
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('bad')]
    public function test_says_beside_the_field_what_is_wrong(array $fields, string $field, string $says): void
    {
        $draft = DraftReader::read(['technique' => 'extended-exhale', ...$fields], 'x');

        self::assertNull($draft->item);
        self::assertStringContainsString($says, $draft->errors[$field] ?? 'nothing: '.json_encode($draft->errors));
    }

    public function test_all_wrong_fields_are_named_at_once(): void
    {
        $draft = DraftReader::read(['technique' => 'extended-exhale', 'ratio' => 'x', 'breaths' => 0, 'times_a_day' => 40], 'x');

        self::assertEqualsCanonicalizing(['ratio', 'breaths', 'times_a_day'], array_keys($draft->errors));
    }

    public function test_as_needed_says_when_and_how_often_at_most(): void
    {
        $item = DraftReader::read(['technique' => 'square', 'as_needed' => true, 'use_when' => 'before I speak', 'daily_most' => 4], 'x')->item;
        self::assertNotNull($item);
        self::assertNull($item->plan);
        self::assertSame(['before I speak', 4], [$item->asNeeded?->useWhen, $item->asNeeded?->dailyMost]);
        self::assertEquals($item, DraftReader::read(ItemFields::write($item), 'x')->item);

        self::assertArrayHasKey('use_when', DraftReader::read(['technique' => 'square', 'as_needed' => true], 'x')->errors);
        self::assertArrayHasKey('daily_most', DraftReader::read(['technique' => 'square', 'as_needed' => true, 'use_when' => 'x', 'daily_most' => 0], 'x')->errors);
    }

    public function test_a_breath_of_the_clinics_own_carries_its_name(): void
    {
        $fields = ['technique' => 'own', 'ratio' => '3:2:5', 'own_name' => 'Harbour breath', 'own_right' => 'The jaw hangs.'];
        $item = DraftReader::read($fields, 'x')->item;
        self::assertNotNull($item);
        self::assertSame('Harbour breath', $item->prescription->name());
        self::assertEquals($item, DraftReader::read(ItemFields::write($item), 'x')->item);

        self::assertArrayHasKey('own_name', DraftReader::read([...$fields, 'own_name' => ' '], 'x')->errors);
        self::assertArrayHasKey('own_name', DraftReader::read([...$fields, 'own_name' => str_repeat('a', 41)], 'x')->errors);
        self::assertNull(DraftReader::read(['technique' => 'square', 'own_name' => 'x'], 'x')->item?->prescription->own, 'only a breath of their own is named');
    }

    public function test_a_school_that_does_not_exist_is_named(): void
    {
        self::assertArrayHasKey('school', DraftReader::read(['technique' => 'square', 'school' => 'none'], 'x')->errors);
    }
}
