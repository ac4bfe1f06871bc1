<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\PhonePlace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PhonePlaceTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, PhonePlace|null}> */
    public static function exercises(): iterable
    {
        $exhale = ['technique' => 'extended-exhale'];
        yield 'on the back' => [$exhale + ['position' => 'supine'], PhonePlace::Belly];
        yield 'knees bent' => [$exhale + ['position' => 'supine-knees-bent'], PhonePlace::Belly];
        yield 'reclined' => [$exhale + ['position' => 'reclined'], PhonePlace::Belly];
        yield 'sitting, one hand on the chest' => [$exhale + ['position' => 'seated', 'hands' => 'chest-and-belly'], PhonePlace::Chest];
        yield 'sitting, both hands at work' => [['technique' => 'alternate-nostril', 'position' => 'seated'], null];
        yield 'standing' => [$exhale + ['position' => 'standing'], null];
        yield 'on the side' => [$exhale + ['position' => 'side-lying'], null];
        yield 'a hum that is ended by a tap' => [['technique' => 'humming', 'position' => 'seated', 'parameters' => ['hum' => 0]], null];
        yield 'under a weight' => [['technique' => 'weight-on-belly'], null];
        yield 'what is needed at once' => [$exhale + ['position' => 'reclined', 'as_needed' => true, 'use_when' => 'tense'], null];
        yield 'recovery' => [['technique' => 'forward-lean', 'as_needed' => true, 'use_when' => 'breath is short'], null];
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('exercises')]
    public function test_a_phone_lies_where_it_feels_the_breath_and_is_in_nobodys_way(array $fields, ?PhonePlace $place): void
    {
        $draft = DraftReader::read($fields, 'x');
        self::assertSame([], $draft->errors);
        self::assertNotNull($draft->item);
        self::assertSame($place, PhonePlace::of($draft->item));
    }

    /** In the dark nobody taps: over the whole catalogue, in every position. */
    public function test_nothing_that_wants_a_tap_is_led_in_the_dark(): void
    {
        $seen = 0;
        foreach (Catalogue::all() as $key => $technique) {
            foreach ($technique->positions as $position) {
                $item = DraftReader::read([
                    'technique' => $key, 'position' => $position->value, 'own_name' => $technique->isOwn ? 'Harbour breath' : null,
                ], 'x')->item;
                if ($item === null || PhonePlace::of($item) !== PhonePlace::Belly) {
                    continue;
                }
                $seen++;
                foreach ($item->timeline()->segments as $segment) {
                    self::assertFalse($segment->isOpen(), "$key, {$position->label()}");
                    self::assertFalse($segment->canBeEnough, "$key, {$position->label()}");
                }
            }
        }
        self::assertGreaterThan(15, $seen);
    }
}
