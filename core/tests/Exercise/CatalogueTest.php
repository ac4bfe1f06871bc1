<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Technique;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\ItemFields;
use PHPUnit\Framework\TestCase;

/** Each technique has the cues that make it what it is. Techniques and defaults are common practice. */
final class CatalogueTest extends TestCase
{
    use Prescribing;

    public function test_the_techniques_are_there_with_texts_of_their_own(): void
    {
        self::assertEqualsCanonicalizing([
            'diaphragmatic', 'even', 'stepped-even', 'extended-exhale', 'double-exhale', 'long-exhale', 'pursed-exhale', 'soft-exhale',
            'in-hold-out', 'three-part', 'four-seven-eight', 'square', 'double-inhale', 'alternate-nostril', 'walking',
            'humming', 'weight-on-belly', 'prone', 'rib-release', 'ribs-down', 'full-exhale',
            'rounds-retention', 'tense-release', 'body-scan', 'reverse-count', 'noticing', 'forward-lean', 'neck-release', 'shoulder-rolls', 'own',
        ], array_keys(Catalogue::all()));
        $criteria = array_map(fn (Technique $technique) => $technique->teaching->right, Catalogue::all());
        self::assertCount(count($criteria), array_unique($criteria, SORT_REGULAR));
    }

    public function test_no_two_techniques_compile_to_the_same_cues_at_the_same_ratio(): void
    {
        $seen = [];
        foreach (Catalogue::all() as $technique) {
            if (! $technique->hasRatio()) {
                continue;
            }
            $timeline = Compiler::compile($this->prescription($technique->key, [
                'ratio' => '2+1:2:5:1', 'count_length' => 1, 'breaths' => 4, 'route_out' => $technique->routesOut[0]->value,
            ]));
            $what = serialize(array_map(fn (Cue $cue) => [$cue->kind, $cue->instruction, $cue->how, $cue->side, $cue->durationMs], $timeline->cues()));
            $seen[$what][] = $technique->key;
        }
        $same = array_values(array_filter($seen, fn (array $keys) => count($keys) > 1));
        self::assertSame([], $same);
    }

    public function test_even_breathing_grows_by_a_count(): void
    {
        $timeline = $this->timeline('even', ['parameters' => ['steps' => 3]]);
        $lengths = array_map(fn (Segment $segment) => $segment->durationMs(), $this->exercise($timeline));

        self::assertSame([40_000, 50_000, 60_000], $lengths);
        self::assertSame(15, $timeline->breaths());
        self::assertSame([1, 2, 3, 4], $this->numbers($this->exercise($timeline)[0]->cues[0]));
        self::assertSame([true, true, false], array_map(fn (Segment $segment) => $segment->canBeEnough, $this->exercise($timeline)), 'a tap says that it is enough, before the last step');
        self::assertSame([6, 5, 4, 3, 2, 1], $this->numbers($this->exercise($timeline)[2]->cues[1]));
        self::assertSame([11, 15], [$this->exercise($timeline)[2]->cues[0]->place->breath, $this->exercise($timeline)[2]->cues[0]->place->ofBreaths]);
        self::assertSame(15, $this->announced($timeline)->place->breath, 'only the very last breath is announced');
    }

    public function test_what_was_enough_is_the_whole_of_what_was_prescribed(): void
    {
        $timeline = $this->timeline('even', ['parameters' => ['steps' => 3]]);
        $enough = $timeline->enoughAfter(2);

        self::assertSame([10, 90_000], [$enough->breaths(), $enough->exerciseMs()]);
        $this->expectExceptionMessage('Nothing grows after step 3.');
        $timeline->enoughAfter(3);
    }

    public function test_stepped_even_has_bells_and_soft_pauses_that_do_not_grow(): void
    {
        $timeline = $this->timeline('stepped-even');
        $steps = $this->exercise($timeline);

        // 3 × (3+2+3+2) s, 2 × (4+2+4+2) s, 2 × (5+2+5+2) s: arithmetic.
        self::assertSame([30_000, 24_000, 28_000], array_map(fn (Segment $segment) => $segment->durationMs(), $steps));
        self::assertSame(7, $timeline->breaths());
        foreach ($steps as $step) {
            self::assertSame(['inhale', 'hold', 'exhale', 'rest'], $this->kinds(array_slice($step->cues, 0, 4)));
            self::assertSame([2000, 2000], [$step->cues[1]->durationMs, $step->cues[3]->durationMs]);
            self::assertSame([], $step->cues[1]->beats, 'a soft pause is not counted');
            self::assertSame('cue.soft-pause', $step->cues[1]->instruction);
        }
        $bells = array_filter($timeline->cues(), fn (Cue $cue) => $cue->kind->value === 'bell');
        self::assertCount(2, $bells);
    }

    public function test_long_exhale_counts_both_phases_down_and_ends_in_two_minutes_of_hand_check(): void
    {
        $timeline = $this->timeline('long-exhale');
        [$set, $free] = $this->exercise($timeline);

        self::assertSame([5, 4, 3, 2, 1], $this->numbers($set->cues[0]));
        self::assertSame([8, 7, 6, 5, 4, 3, 2, 1], $this->numbers($set->cues[1]));
        self::assertSame([78_000, 120_000], [$set->durationMs(), $free->durationMs()]);
        self::assertSame(['free'], array_values(array_unique($this->kinds($free->cues))));
    }

    public function test_478_begins_empty_and_minds_the_tongue(): void
    {
        $timeline = $this->timeline('four-seven-eight');
        $hows = array_map(fn (Cue $cue) => $cue->how, $timeline->cues());

        self::assertSame('empty', $timeline->segments[1]->cues[0]->kind->value);
        self::assertContains('cue.how.tongue-up', $hows);
        self::assertContains('cue.how.with-a-sound', $hows);
        self::assertContains('cue.how.quietly', array_map(fn (Cue $cue) => $cue->how, $this->timeline('four-seven-eight', ['route_out' => 'nose'])->cues()));
        self::assertSame(76_000, $timeline->exerciseMs());
        // 79 % of the breath is not inhaling: arithmetic, (7 + 8) / 19.
        self::assertEqualsWithDelta(0.79, $this->prescription('four-seven-eight')->cycle()?->quietShare(), 0.005);
    }

    public function test_double_inhale_catches_before_the_small_second_inhale(): void
    {
        $cues = $this->exercise($this->timeline('double-inhale'))[0]->cues;

        self::assertSame(['inhale', 'hold', 'top-up', 'exhale'], $this->kinds(array_slice($cues, 0, 4)));
        self::assertSame([1500, 500, 1000, 6000], array_map(fn (Cue $cue) => $cue->durationMs, array_slice($cues, 0, 4)));
        self::assertSame('cue.catch', $cues[1]->instruction);
        self::assertSame($cues[1]->volumeFrom, $cues[1]->volumeTo);
        self::assertGreaterThan($cues[1]->volumeTo, $cues[2]->volumeTo);
        self::assertSame(9000, $cues[4]->startMs, 'the catch does not lengthen the breath');
    }

    public function test_alternate_nostril_changes_sides_and_five_rounds_take_130_seconds(): void
    {
        $timeline = $this->timeline('alternate-nostril');
        $cues = $this->exercise($timeline)[0]->cues;

        self::assertSame(['left', 'right', 'right', 'left'], array_map(fn (Cue $cue) => $cue->side->value, array_slice($cues, 0, 4)));
        self::assertSame([1, 1, 1, 1, 2], array_map(fn (Cue $cue) => $cue->place->round, array_slice($cues, 0, 5)));
        self::assertSame(130_000, $timeline->exerciseMs());
        self::assertSame(10, $timeline->breaths());
    }

    public function test_walking_finds_the_step_first_and_a_beat_is_a_step(): void
    {
        $timeline = $this->timeline('walking', ['breaths' => 2]);

        self::assertSame(array_fill(0, 8, 'step'), $this->kinds($timeline->segments[0]->cues));
        self::assertSame(600, $timeline->segments[0]->cues[3]->durationMs);
        self::assertSame([0, 600, 1200], array_map(fn ($beat) => $beat->atMs, $this->exercise($timeline)[0]->cues[0]->beats));
    }

    public function test_preludes_and_cues_of_the_others(): void
    {
        $said = fn (string $key) => array_map(fn (Cue $cue) => "$cue->instruction $cue->how", $this->timeline($key)->cues());

        self::assertSame(['move', 'move', 'move'], $this->kinds($this->timeline('in-hold-out')->segments[0]->cues));
        self::assertContains('cue.hold cue.how.softly', $said('in-hold-out'));
        self::assertContains('cue.exhale.nose cue.how.let-sink', $said('three-part'));
        self::assertContains('cue.rest cue.how.fourth-side', $said('square'));
        self::assertContains('cue.hold cue.how.purse', $said('pursed-exhale'));
        self::assertContains('cue.exhale.pursed-lips ', $said('pursed-exhale'));
        self::assertContains('cue.exhale.soft-open-mouth cue.how.stream', $said('soft-exhale'));
        self::assertContains('cue.exhale.mouth ', $said('double-exhale'));
    }

    public function test_each_hum_is_open_and_ends_its_segment(): void
    {
        $timeline = $this->timeline('humming', ['breaths' => 3, 'parameters' => ['inhale' => 3]]);
        $segments = $this->exercise($timeline);

        self::assertCount(3, $segments);
        foreach ($segments as $segment) {
            self::assertTrue($segment->isOpen());
            self::assertSame(['inhale', 'hum'], $this->kinds($segment->cues));
            self::assertSame([1, 2, 3], $this->numbers($segment->cues[0]));
            self::assertSame([8000, 40_000], [$segment->cues[1]->durationMs, $segment->cues[1]->greatestMs]);
        }
        self::assertSame(3, $timeline->breaths());
        self::assertSame(3, $this->announced($timeline)->place->breath);
        self::assertSame('in 3, open exhale, supine, knees bent, 3 breaths', $this->prescription('humming', ['breaths' => 3, 'parameters' => ['inhale' => 3]])->summary());
    }

    public function test_a_complete_exhale_goes_below_the_resting_level(): void
    {
        $cues = $this->exercise($this->timeline('full-exhale'))[0]->cues;

        self::assertSame(['cue.how.widen', 'cue.how.to-the-end'], [$cues[0]->how, $cues[1]->how]);
        self::assertSame(1.0, $cues[0]->volumeTo);
        self::assertLessThan(0, $cues[1]->volumeTo);
    }

    public function test_uncounted_techniques_lead_the_attention_to_things_of_their_own(): void
    {
        $attention = [];
        foreach (['diaphragmatic', 'weight-on-belly', 'prone', 'ribs-down', 'noticing', 'neck-release', 'shoulder-rolls'] as $key) {
            $timeline = $this->timeline($key);
            self::assertSame(0, $timeline->breaths());
            $own = array_unique(array_map(fn (Cue $cue) => $cue->instruction, $this->exercise($timeline)[0]->cues));
            self::assertSame([], array_intersect($own, $attention));
            array_push($attention, ...$own);
        }
    }

    public function test_every_technique_is_contiguous_and_its_totals_agree_for_random_parameters(): void
    {
        mt_srand(5);
        foreach (Catalogue::all() as $technique) {
            for ($run = 0; $run < 25; $run++) {
                $pick = fn (array $of) => $of[mt_rand(0, count($of) - 1)];
                $ratio = mt_rand(1, 8).'+'.mt_rand(0, 2).':'.mt_rand(0, 8).':'.mt_rand(1, 12).(mt_rand(0, 2) > 0 ? ':'.mt_rand(0, 5) : '');
                $prescription = $this->prescription($technique->key, [
                    'ratio' => $ratio,
                    'count_length' => mt_rand(40, 200) / 100, 'breaths' => mt_rand(1, 40), 'minutes' => mt_rand(1, 20) / 2,
                    'parameters' => self::anyParameters($technique, $ratio), 'start' => $pick($technique->starts)->value, 'bells_first' => mt_rand(0, 3), 'ending' => $pick([null, 'bell', 'quiet', 'slow']),
                    'fade' => $pick(['nothing', 'sound', 'sound-then-sight']), 'cue_word' => $pick([true, false]),
                ]);
                $timeline = Compiler::compile($prescription);
                $sum = 0;
                foreach ($timeline->segments as $segment) {
                    $sum += array_sum(array_map(fn (Cue $cue) => $cue->durationMs, $segment->cues));
                    for ($index = 1; $index < count($segment->cues); $index++) {
                        self::assertEqualsWithDelta($segment->cues[$index - 1]->volumeTo, $segment->cues[$index]->volumeFrom, 1e-12, $technique->key);
                    }
                }
                self::assertSame($sum, $timeline->totalMs());
                self::assertSame($prescription->hasOpenExhale() || ($prescription->parameters['retention-ends'] ?? 1.0) > 1, $timeline->isAbout(), 'about exactly when there is an open cue');
                self::assertEqualsWithDelta($timeline->exerciseMs() / 1000, $prescription->exerciseSeconds(), 1e-9);
                $of = array_values(array_unique(array_filter(array_map(fn (Cue $cue) => $cue->place->ofBreaths, $timeline->cues()))));
                self::assertSame($timeline->breaths() === 0 ? [] : [$timeline->breaths()], $of, $technique->key);
                self::assertSame(max(array_map(fn (Cue $cue) => $cue->place->round, $timeline->cues())), $timeline->rounds(), $technique->key);
                self::assertSame($timeline->breaths() > 0, $timeline->portrait() !== [], "{$technique->key} is drawn where it has breaths");
                foreach ($timeline->portrait() as $index => $cue) {
                    self::assertSame($index === 0 ? $cue->startMs : $timeline->portrait()[$index - 1]->endMs(), $cue->startMs, 'what is drawn has no gap');
                }

                $item = DraftReader::read(['technique' => $technique->key], 'x')->item;
                self::assertNotNull($item);
                self::assertEquals($item, DraftReader::read(ItemFields::write($item), 'x')->item);
            }
        }
    }

    public function test_parameters_out_of_range_are_named(): void
    {
        foreach ([['steps' => 9], ['steps' => 1.5], ['steps' => 'many'], ['steps' => 0]] as $parameters) {
            $draft = DraftReader::read(['technique' => 'even', 'parameters' => $parameters], 'x');
            self::assertNull($draft->item);
            self::assertNotSame('', $draft->errors['parameters'] ?? '');
        }
    }
}
