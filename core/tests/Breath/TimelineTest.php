<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Breath;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\PacedSet;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

final class TimelineTest extends TestCase
{
    public function test_one_breath_cue_by_cue(): void
    {
        $cycle = Cycle::of(BreathPattern::parse('2+1:2:3:1'), CountLength::seconds(0.5));
        $set = new PacedSet($cycle, [], ['exhale' => Counting::Down, 'rest' => Counting::Silent], volume: 0.8, bottom: -0.1);
        $cues = $set->compile(1)->cues;

        self::assertSame(
            ['inhale', 'top-up', 'hold', 'exhale', 'rest'],
            array_map(fn (Cue $cue) => $cue->kind->value, $cues),
        );
        self::assertSame([0, 1000, 1500, 2500, 4000], array_map(fn (Cue $cue) => $cue->startMs, $cues));
        self::assertSame([1, 2], $this->numbers($cues[0]));
        self::assertSame([3, 2, 1], $this->numbers($cues[3]));
        self::assertSame([null], $this->numbers($cues[4]));
        self::assertSame([2500, 3000, 3500], array_map(fn (Beat $beat) => $beat->atMs, $cues[3]->beats));
        self::assertSame([-0.1, 0.8, 0.8, -0.1], [$cues[0]->volumeFrom, $cues[1]->volumeTo, $cues[2]->volumeTo, $cues[3]->volumeTo]);
        self::assertFalse($cues[0]->announcesLast, 'a single breath has no last one to announce');
    }

    public function test_the_last_breath_of_a_set_is_announced_once(): void
    {
        $cues = (new PacedSet(Cycle::of(BreathPattern::parse('4:0:5:1')), []))->compile(12)->cues;
        $announced = array_values(array_filter($cues, fn (Cue $cue) => $cue->announcesLast));

        self::assertCount(1, $announced);
        self::assertSame(12, $announced[0]->place->breath);
        self::assertSame(110_000, $announced[0]->startMs);
    }

    public function test_random_sets_are_contiguous_and_do_not_drift(): void
    {
        mt_srand(42);
        for ($run = 0; $run < 300; $run++) {
            $pattern = BreathPattern::of(mt_rand(1, 900) / 100, mt_rand(1, 1200) / 100, mt_rand(0, 700) / 100, mt_rand(0, 500) / 100, mt_rand(0, 1) * mt_rand(1, 200) / 100);
            $cycle = Cycle::of($pattern, CountLength::seconds(mt_rand(40, 200) / 100));
            if ($cycle->seconds() < 0.5) {
                continue;
            }
            $breaths = mt_rand(1, 120);
            $segment = (new PacedSet($cycle, []))->compile($breaths);

            $at = 0;
            $breath = 0;
            $level = 0.0;
            foreach ($segment->cues as $cue) {
                self::assertSame($at, $cue->startMs);
                self::assertEqualsWithDelta($level, $cue->volumeFrom, 1e-12, 'volumes are continuous');
                if ($cue->place->breath !== $breath) {
                    self::assertSame((int) round($breath * $cycle->seconds() * 1000), $cue->startMs, 'the n-th breath starts at round(n × cycle)');
                    $breath = $cue->place->breath;
                }
                foreach ($cue->beats as $beat) {
                    self::assertGreaterThanOrEqual($cue->startMs, $beat->atMs);
                    self::assertLessThan($cue->endMs(), $beat->atMs);
                }
                $at = $cue->endMs();
                $level = $cue->volumeTo;
            }
            self::assertSame($breaths, $breath);
            self::assertSame((int) round($cycle->secondsFor($breaths) * 1000), $segment->durationMs());
        }
    }

    public function test_a_long_set_at_an_awkward_count_ends_to_the_millisecond(): void
    {
        $cycle = Cycle::of(BreathPattern::parse('4:7:8'), CountLength::seconds(5 / 7));

        self::assertSame((int) round(1000 * 1000 * 19 * 5 / 7), (new PacedSet($cycle, []))->compile(1000)->durationMs());
    }

    public function test_gaps_overlaps_and_early_open_cues_are_refused(): void
    {
        $bad = [
            [new Cue(CueKind::Inhale, 0, 100, 'a'), new Cue(CueKind::Exhale, 101, 100, 'b')],
            [new Cue(CueKind::Inhale, 0, 100, 'a'), new Cue(CueKind::Exhale, 99, 100, 'b')],
            [new Cue(CueKind::Hum, 0, 100, 'a', greatestMs: 200), new Cue(CueKind::Exhale, 100, 100, 'b')],
            [],
        ];
        foreach ($bad as $cues) {
            try {
                new Segment(SegmentRole::Exercise, $cues);
                self::fail('such a segment was taken');
            } catch (InvalidValue $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }

    public function test_open_cues_make_totals_nominal(): void
    {
        $fixed = new Segment(SegmentRole::LeadIn, [new Cue(CueKind::LeadIn, 0, 3000, 'lead-in')]);
        $open = new Segment(SegmentRole::Exercise, [new Cue(CueKind::Hum, 0, 8000, 'hum', greatestMs: 30_000)]);
        $timeline = new Timeline([$fixed, $open]);

        self::assertTrue($timeline->isAbout());
        self::assertSame(8000, $timeline->exerciseMs());
        self::assertSame(11_000, $timeline->totalMs());
        self::assertFalse((new Timeline([$fixed]))->isAbout());
    }

    public function test_impossible_cues_are_refused(): void
    {
        $bad = [
            fn () => new Cue(CueKind::Inhale, -1, 10, 'x'),
            fn () => new Cue(CueKind::Inhale, 0, 0, 'x'),
            fn () => new Cue(CueKind::Hum, 0, 100, 'x', greatestMs: 99),
            fn () => new Cue(CueKind::Inhale, 0, 100, 'x', beats: [new Beat(100, 1)]),
            fn () => (new PacedSet(Cycle::of(BreathPattern::parse('4:5')), []))->compile(0),
            fn () => (new PacedSet(Cycle::of(BreathPattern::parse('4:5')), []))->compile(2001),
            fn () => new Timeline([]),
        ];
        foreach ($bad as $make) {
            try {
                $make();
                self::fail('an impossible cue was taken');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    /** @return list<int|null> */
    private function numbers(Cue $cue): array
    {
        return array_map(fn (Beat $beat) => $beat->number, $cue->beats);
    }
}
