<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Practice\Doubt;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Practice\Stroke;
use IvoryPace\Practice\Today;
use IvoryPace\Programme\DraftReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DoubtTest extends TestCase
{
    use AdherenceFixture;

    /**
     * Six breaths of 10 s prescribed, 60 s; led at the fastest (half as long) they take 30 s, and 3 s are forgiven.
     *
     * @return iterable<string, array{?Doubt, string, string, int, int}>
     */
    public static function practices(): iterable
    {
        yield 'as prescribed' => [null, '08:00:00', '08:01:10', 60, 60_000];
        yield 'six breaths in no time' => [Doubt::TooFast, '08:00:00', '08:00:00', 0, 60_000];
        yield 'at the fastest' => [null, '08:00:00', '08:00:30', 30, 60_000];
        yield 'three seconds forgiven' => [null, '08:00:00', '08:00:27', 27, 60_000];
        yield 'one second faster' => [Doubt::TooFast, '08:00:00', '08:00:26', 26, 60_000];
        yield 'the clock says long, the breathing was not' => [Doubt::TooFast, '08:00:00', '08:10:00', 10, 60_000];
        yield 'ended by taps' => [null, '08:00:00', '08:00:05', 5, 0];
        yield 'left lying an hour, and taken up again' => [null, '08:00:00', '09:03:00', 60, 60_000];
        yield 'a second more' => [Doubt::TooLong, '08:00:00', '09:03:01', 60, 60_000];
        yield 'nearly four hours for a minute' => [Doubt::TooLong, '08:00:00', '11:59:00', 60, 60_000];
    }

    #[DataProvider('practices')]
    public function test_what_cannot_have_been_is_doubted(?Doubt $expected, string $from, string $to, int $done, int $least): void
    {
        $at = fn (string $time) => new DateTimeImmutable("2026-11-10 $time UTC");

        self::assertSame($expected, Doubt::of($at($from), $at($to), new DateTimeImmutable('2026-11-01 UTC'), $done, $least, 60));
    }

    public function test_nothing_was_practised_before_it_was_prescribed(): void
    {
        $begins = new DateTimeImmutable('2026-11-10 03:00 UTC');
        $doubt = fn (string $at) => Doubt::of(new DateTimeImmutable("$at UTC"), new DateTimeImmutable("$at UTC +60 seconds"), $begins, 60, 60_000, 60);

        self::assertSame(Doubt::BeforeProgramme, $doubt('2026-10-01 08:00'));
        self::assertSame(Doubt::BeforeProgramme, $doubt('2026-11-09 02:59:59'));
        // A day is forgiven: zones and clocks.
        self::assertNull($doubt('2026-11-09 03:00'));
        self::assertNull($doubt('2026-11-10 08:00'));
    }

    public function test_it_is_credited_with_nothing_but_a_stop_is_believed(): void
    {
        $at = new DateTimeImmutable('2026-11-10 08:00 UTC');
        $doubted = new PracticeRecord('a', $at, 6, 6, doubt: Doubt::TooFast);
        $stopped = new PracticeRecord('a', $at, 1, 6, stoppedForSymptom: true, doubt: Doubt::TooFast);
        $day = PatientDay::of('2026-11-10');

        self::assertFalse($doubted->isCredited());
        self::assertTrue($stopped->isCredited());
        self::assertSame([$stopped], PracticeRecord::credited([$doubted, $stopped]));
        $versions = [self::version(1, '2026-11-01', ['a' => self::plan(2)])];
        self::assertSame(0.0, self::adherence($versions, [$doubted])->ofItem('a', $day, $day)->credit);
        self::assertSame(1.0, self::adherence($versions, [$doubted, $stopped])->ofItem('a', $day, $day)->credit);
        self::assertNotContains(Stroke::Done, self::adherence($versions, [$doubted])->ofItem('a', $day, $day)->days[0]->strokes);
        self::assertSame(0, (new Today([], [$doubted]))->done);
    }

    /** A second way to add up: the sum of the cues of the whole is what all breaths take, and each breath adds to it. */
    public function test_least_lengths_of_breaths_add_up_over_the_whole_catalogue(): void
    {
        $seen = 0;
        foreach (Catalogue::all() as $technique) {
            $timeline = DraftReader::read(['technique' => $technique->key], 'x')->item?->timeline();
            if ($timeline === null) {
                continue;
            }
            $lengths = array_map($timeline->leastMsOf(...), range(0, $timeline->breaths() + 1));
            self::assertSame(0, $lengths[0], $technique->key);
            $sorted = $lengths;
            sort($sorted);
            self::assertSame($sorted, $lengths, $technique->key);
            $all = 0;
            foreach ($timeline->cues() as $cue) {
                $all += $cue->place->breath > 0 && ! $cue->isOpen() ? $cue->durationMs : 0;
            }
            self::assertLessThanOrEqual($all, $lengths[$timeline->breaths()], $technique->key);
            self::assertSame($lengths[$timeline->breaths()], $lengths[$timeline->breaths() + 1], $technique->key);
            $seen += $timeline->breaths() > 0 ? 1 : 0;
        }
        self::assertGreaterThan(15, $seen);
    }
}
