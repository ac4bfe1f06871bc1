<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Exercise\Recipes\BodyRegions;
use PHPUnit\Framework\TestCase;

/** The cues of rounds, rest and attention. Techniques and defaults are common practice. */
final class RestAndAttentionTest extends TestCase
{
    use Prescribing;

    public function test_a_round_ends_in_one_more_inhale_most_of_it_out_a_retention_counted_down_and_a_release(): void
    {
        $timeline = $this->timeline('rounds-retention', ['parameters' => ['retention' => 60]]);
        [$set, $retention] = $this->exercise($timeline);

        self::assertSame(200_000, $set->durationMs());
        self::assertSame(['inhale', 'exhale', 'retention', 'release'], $this->kinds($retention->cues));
        self::assertSame([5000, 3500, 60_000, 1500], array_map(fn (Cue $cue) => $cue->durationMs, $retention->cues));
        self::assertSame(['cue.how.one-more', 'cue.how.most-of-it', null, 'cue.how.the-rest'], array_map(fn (Cue $cue) => $cue->how, $retention->cues));
        self::assertSame('cue.retention', $retention->cues[2]->instruction);
        self::assertEqualsWithDelta(0.3, $retention->cues[1]->volumeTo, 1e-9, 'about 70 % is out');
        self::assertSame([$retention->cues[1]->volumeTo, $retention->cues[1]->volumeTo], [$retention->cues[2]->volumeFrom, $retention->cues[2]->volumeTo]);
        self::assertSame(0.0, $retention->cues[3]->volumeTo);
        self::assertSame(range(60, 1), $this->numbers($retention->cues[2]));
    }

    /** 20 × 10 s + 5 + 3.5 + 60 + 1.5 = 270 s; three 810 s; five of 30 breaths 1,850 s: arithmetic on common practice. */
    public function test_rounds_add_up(): void
    {
        $seconds = fn (int $rounds, int $breaths) => $this->timeline('rounds-retention', ['breaths' => $breaths, 'parameters' => ['rounds' => $rounds, 'retention' => 60]])->exerciseMs() / 1000;

        self::assertSame([270.0, 810.0, 1850.0], [(float) $seconds(1, 20), (float) $seconds(3, 20), (float) $seconds(5, 30)]);
        $timeline = $this->timeline('rounds-retention', ['parameters' => ['rounds' => 3]]);
        self::assertSame([60, 3, 3], [$timeline->breaths(), $timeline->rounds(), $timeline->sets()]);
        self::assertSame(['inhale', 'exhale', 'retention', 'release'], $this->kinds($timeline->portrait()));
        self::assertSame('5:5, supine, 20 breaths, 3 rounds, 15 s retention', $this->prescription('rounds-retention', ['parameters' => ['rounds' => 3]])->summary());
    }

    public function test_muscle_groups_are_tensed_for_three_counts_and_let_go_three_times_each(): void
    {
        $groups = $this->exercise($this->timeline('tense-release'));

        self::assertCount(3, $groups);
        self::assertSame(['tense', 'let-go', 'tense', 'let-go', 'tense', 'let-go', 'free'], $this->kinds($groups[0]->cues));
        self::assertSame([1, 2, 3], $this->numbers($groups[0]->cues[0]));
        self::assertSame([3000, 6000], [$groups[0]->cues[0]->durationMs, $groups[0]->cues[1]->durationMs]);
        self::assertSame(['cue.tense.shoulders', 'cue.tense.elbows', 'cue.tense.toes'], array_map(fn (Segment $group) => $group->cues[0]->instruction, $groups));
        self::assertSame('cue.breathe-between', $groups[2]->cues[6]->instruction);
    }

    public function test_the_long_scan_has_ninety_parts_right_before_left_then_wholes(): void
    {
        $parts = BodyRegions::parts();

        self::assertCount(90, $parts);
        self::assertSame('crown', $parts[0][0]);
        self::assertSame('whole-body', $parts[89][0]);
        $seen = [];
        foreach ($parts as $at => [$region, $side]) {
            $seen["$region/{$side->value}"] = $at;
        }
        self::assertCount(90, $seen, 'no part comes twice');
        foreach ($seen as $key => $at) {
            if (str_ends_with($key, '/left')) {
                self::assertLessThan($at, $seen[str_replace('/left', '/right', $key)], $key);
            }
        }
        self::assertLessThan($seen['shoulder/left'], $seen['little-finger/right'], 'the whole right arm comes before the left one');
        self::assertGreaterThan($seen['little-toe/left'], $seen['both-arms/none'], 'wholes come after the parts');

        $timeline = $this->timeline('body-scan', ['parameters' => ['list' => 2]]);
        self::assertSame(270_000, $timeline->exerciseMs(), '90 × 3 s');
        $cues = $this->exercise($timeline)[0]->cues;
        self::assertSame(['region'], array_values(array_unique($this->kinds($cues))));
        self::assertSame(['right', 'left'], [$cues[2]->side->value, $cues[3]->side->value]);
    }

    public function test_the_short_scan_goes_from_the_feet_up_and_sleep_is_not_disturbed(): void
    {
        $awake = $this->timeline('body-scan');
        self::assertSame('cue.region.foot', $this->exercise($awake)[0]->cues[0]->instruction);
        self::assertGreaterThanOrEqual(240_000, $awake->exerciseMs());
        self::assertLessThanOrEqual(300_000, $awake->exerciseMs());
        self::assertContains('return', $this->kinds($awake->cues()));

        $asleep = $this->timeline('body-scan', ['parameters' => ['end' => 2]]);
        $end = array_slice($asleep->cues(), -1)[0];
        self::assertSame('cue.end.sleep-welcome', $end->instruction);
        self::assertNotContains('return', $this->kinds($asleep->cues()));
        self::assertCount(1, array_filter($asleep->cues(), fn (Cue $cue) => $cue->kind->value === 'bell'), 'no bell wakes anybody');
    }

    public function test_counting_down_ends_at_nought_one_number_a_second(): void
    {
        $cues = $this->exercise($this->timeline('reverse-count'))[0]->cues;

        self::assertSame(range(30, 0), array_map(fn (Cue $cue) => $this->numbers($cue)[0], $cues));
        self::assertSame([1000], array_values(array_unique(array_map(fn (Cue $cue) => $cue->durationMs, $cues))));
    }

    public function test_noticing_listens_and_the_preludes_move(): void
    {
        self::assertSame(['listen'], array_values(array_unique($this->kinds($this->exercise($this->timeline('noticing'))[0]->cues))));
        $neck = $this->exercise($this->timeline('neck-release'))[0]->cues;
        self::assertSame(['move'], array_values(array_unique($this->kinds($neck))));
        self::assertSame(
            ['right', 'middle', 'left', 'middle', 'nod'],
            array_map(fn (Cue $cue) => substr($cue->instruction, (int) strrpos($cue->instruction, '.') + 1), array_slice($neck, 0, 5)),
        );
    }

    public function test_recovery_begins_at_once_with_an_exhale_and_ends_when_breath_is_back(): void
    {
        $timeline = $this->timeline('forward-lean');
        $segment = $timeline->segments[0];

        self::assertSame(['move', 'exhale', 'inhale', 'free'], $this->kinds($segment->cues));
        self::assertSame(['cue.exhale.pursed-lips', 'cue.how.first'], [$segment->cues[1]->instruction, $segment->cues[1]->how]);
        self::assertLessThanOrEqual(3000, $segment->cues[1]->startMs);
        self::assertTrue($segment->isOpen());
        self::assertTrue($timeline->isAbout());
    }

    public function test_what_is_left_below_the_resting_level_is_hummed_out(): void
    {
        $segments = $this->exercise($this->timeline('rib-release'));

        self::assertCount(4, $segments);
        self::assertSame(['inhale', 'exhale', 'hum'], $this->kinds($segments[0]->cues));
        [$inhale, $passive, $hum] = $segments[0]->cues;
        self::assertSame(['cue.how.into-hands', 'cue.how.falling', 'cue.hum-remainder'], [$inhale->how, $passive->how, $hum->instruction]);
        self::assertSame(0.0, $passive->volumeTo, 'the passive exhale ends at the resting level');
        self::assertLessThan(0, $hum->volumeTo);
        self::assertTrue($hum->isOpen());
        self::assertSame($hum->volumeTo, $segments[1]->cues[0]->volumeFrom, 'the next inhale starts from where the hum ended');
    }
}
