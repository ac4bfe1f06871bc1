<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Length;
use IvoryPace\Programme\Draft;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\Need\Way;
use IvoryPace\Programme\Told\Instruction;
use LogicException;
use PHPUnit\Framework\TestCase;

/** What has no fixed times: led from beginning to end, as long as it helps, or ticked. */
final class WayTest extends TestCase
{
    /** No pause in them as they come, and no bigger than at rest: chosen by hand. */
    private const HARMLESS_UNLED = [
        'double-exhale', 'long-exhale', 'soft-exhale', 'diaphragmatic', 'even', 'own', 'alternate-nostril', 'walking', 'humming',
        'weight-on-belly', 'prone', 'ribs-down', 'tense-release', 'body-scan', 'reverse-count', 'noticing', 'neck-release', 'shoulder-rolls',
    ];

    /** HABIT-UNLED: nobody leads a habit, and no Stop is in view. */
    public function test_a_habit_has_no_pause_and_no_big_breath_however_it_is_prescribed(): void
    {
        $wrong = 'A habit is ticked without being led: one exercise, no pause in it, no bigger than at rest, and no help when breath is short.';
        foreach ([
            ['technique' => 'even', 'ratio' => '4:2:4'], ['technique' => 'even', 'ratio' => '4:0:4:1'], ['technique' => 'even', 'effort' => 'full'],
            ['technique' => 'square'], ['technique' => 'rounds-retention'], ['technique' => 'four-seven-eight'], ['technique' => 'double-inhale'],
            ['technique' => 'full-exhale'], ['technique' => 'forward-lean'],
        ] as $fields) {
            $draft = $this->read([...$fields, 'way' => 'ticked']);
            self::assertNull($draft->item, (string) json_encode($fields));
            self::assertContains($wrong, $draft->errors, (string) json_encode($fields));
        }
    }

    public function test_each_technique_is_used_in_the_ways_that_it_has(): void
    {
        foreach (Catalogue::all() as $key => $technique) {
            $fields = ['technique' => $key, 'own_name' => $technique->isOwn ? 'Harbour breath' : null];
            $ways = array_filter(Way::cases(), fn (Way $way) => $this->read([...$fields, 'way' => $way->value])->item !== null);
            self::assertSame([
                Way::Led,
                ...($technique->length === Length::Minutes && ! $technique->hasRatio() && ! $technique->isRecovery ? [Way::Open] : []),
                ...(in_array($key, self::HARMLESS_UNLED, true) ? [Way::Ticked] : []),
            ], array_values($ways), $key);
        }
        self::assertSame(
            ['way' => 'As long as it helps goes with exercises that are measured in minutes, without counted breaths.'],
            $this->read(['technique' => 'extended-exhale', 'way' => 'open'])->errors,
        );
        self::assertSame(['way' => 'Choose one of the list.'], $this->read(['technique' => 'humming', 'way' => 'now and then'])->errors);
        $steps = [['kind' => 'exercise', 'technique' => 'shoulder-rolls', 'minutes' => 1], ['kind' => 'exercise', 'technique' => 'humming']];
        self::assertArrayHasKey('way', $this->read(['kind' => 'routine', 'routine_name' => 'Two', 'steps' => $steps, 'way' => 'ticked'])->errors);
    }

    public function test_what_was_issued_before_is_led_and_what_is_written_is_read_again(): void
    {
        $item = $this->read(['technique' => 'humming'])->item;
        self::assertNotNull($item);
        self::assertSame(Way::Led, $item->asNeeded?->way);
        self::assertSame('when worry comes, at most 8 a day', $item->asNeeded->summary());
        foreach (Way::cases() as $way) {
            $item = $this->read(['technique' => 'noticing', 'way' => $way->value])->item;
            self::assertNotNull($item);
            self::assertEquals($item, DraftReader::read(ItemFields::write($item), 'one')->item);
        }
        self::assertNull(ItemFields::write($this->read(['technique' => 'noticing', 'as_needed' => false])->item ?? throw new LogicException)['way']);
    }

    public function test_the_patient_is_told_how_it_is_used(): void
    {
        $keys = fn (string $way): array => array_map(
            fn ($sentence) => $sentence->key,
            Instruction::of($this->read(['technique' => 'noticing', 'way' => $way])->item ?? throw new LogicException, false),
        );
        self::assertContains('told.when.needed', $keys('led'));
        self::assertContains('told.length.open', $keys('open'));
        self::assertContains('told.when.needed', $keys('open'));
        self::assertNotContains('told.least.counts', $keys('open'), 'as little as helps is the whole');
        self::assertContains('told.when.habit', $keys('ticked'));
        self::assertContains('told.when.ticks', $keys('ticked'));
        self::assertNotContains('told.when.most', $keys('ticked'));
        self::assertSame([], preg_grep('/^told\.(length|least|end)\./', $keys('ticked')), 'what is not led neither lasts nor ends');
    }

    /** @param  array<string, mixed>  $fields */
    private function read(array $fields): Draft
    {
        return DraftReader::read(['as_needed' => true, 'use_when' => 'worry comes', 'daily_most' => 8, ...$fields], 'one');
    }
}
