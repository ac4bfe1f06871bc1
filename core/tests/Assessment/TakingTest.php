<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Assessment;

use IvoryPace\Assessment\ComfortCeiling;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Rhythm;
use IvoryPace\Assessment\RibExpansion;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Assessment\Taken;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TakingTest extends TestCase
{
    public function test_the_tape_lies_at_a_level_that_is_said(): void
    {
        $read = fn (array $more): Taken => Taken::read(Measure::RibExpansion, new Fields(['pairs' => [[80, 84.5], [80, 84]], ...$more]));
        self::assertSame('at the lower ribs, spread 0.5 cm', $read([])->details['words'] ?? null);
        self::assertSame(['armpits', 'at the armpits, spread 0.5 cm'], [$read(['level' => 'armpits'])->details['level'] ?? null, $read(['level' => 'armpits'])->details['words'] ?? null]);
        $this->expectExceptionMessage('Say where the tape lies: lower ribs, breastbone, armpits.');
        $read(['level' => 'knee']);
    }

    public function test_the_ribs_best_of_three(): void
    {
        $ribs = RibExpansion::of([[80, 84.5], ['81', '84'], [80, 85]]);
        self::assertEqualsWithDelta([5.0, 2.0], [$ribs->best, $ribs->spread], 1e-9);
    }

    public function test_the_ceiling_is_the_length_before_it_stopped_being_easy(): void
    {
        // Lengths 3, 4, 5, 6, 7, 8: stopping in the third, 5:5, leaves 4:4.
        self::assertSame([4, 4.0], [ComfortCeiling::stoppedIn(3, 1.0)->counts, ComfortCeiling::stoppedIn(3, 1.0)->seconds()]);
        self::assertSame(2, ComfortCeiling::stoppedIn(1, 1.0)->counts, 'not even the first was easy');
        self::assertSame(ComfortCeiling::LONGEST_COUNTS, ComfortCeiling::stoppedIn(7, 1.0)->counts, 'all of them were');
        self::assertSame('5:5 at 0.8 s', ComfortCeiling::of(5, 0.8)->inWords());
    }

    public function test_route_and_rhythm_in_words(): void
    {
        self::assertSame('by the nose, even, 0 sighs or yawns in 5 min', (new Rhythm('nose', true, 0))->inWords());
        self::assertSame('by nose and mouth, uneven, 1 sigh or yawn in 5 min', (new Rhythm('both', false, 1))->inWords());
    }

    /** @return iterable<string, array{callable(): mixed}> */
    public static function wrong(): iterable
    {
        yield 'no pairs' => [fn () => RibExpansion::of([])];
        yield 'four pairs' => [fn () => RibExpansion::of(array_fill(0, 4, [80, 84]))];
        yield 'half a pair' => [fn () => RibExpansion::of([[80]])];
        yield 'swapped' => [fn () => RibExpansion::of([[84, 80]])];
        yield 'in inches' => [fn () => RibExpansion::of([[28, 29]])];
        yield 'no counts' => [fn () => ComfortCeiling::of(0, 1.0)];
        yield 'counts too long' => [fn () => ComfortCeiling::of(5, 4.0)];
        yield 'no such way' => [fn () => new Rhythm('ears', true, 1)];
        yield 'sighs without end' => [fn () => new Rhythm('nose', true, 51)];
    }

    /** @param  callable(): mixed  $make */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_refused(callable $make): void
    {
        $this->expectException(InvalidValue::class);
        $make();
    }

    public function test_patients_are_not_asked_what_only_an_instrument_can_tell(): void
    {
        $keys = ScreeningQuestions::keysForPatients();
        self::assertSame(['red.resting-rate', 'red.saturation', 'red.pulse', 'red.systolic-pressure'], array_values(array_diff(ScreeningQuestions::keys(), $keys)));
    }
}
