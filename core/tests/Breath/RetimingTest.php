<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Breath;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\PacedSet;
use IvoryPace\Breath\Timeline\Retiming;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\Tempo;
use IvoryPace\Exercise\Fade;
use IvoryPace\InvalidValue;
use IvoryPace\Tests\Exercise\Prescribing;
use PHPUnit\Framework\TestCase;

/** Tempo, joining, counting and fading. */
final class RetimingTest extends TestCase
{
    use Prescribing;

    public function test_a_tempo_applies_from_the_next_breath(): void
    {
        $set = (new PacedSet(Cycle::of(BreathPattern::parse('4:6')), []))->compile(4);
        $slower = Retiming::tempo($set, 2, 1.25);

        self::assertSame([0, 10_000, 20_000, 32_500], $this->starts($slower));
        self::assertSame(45_000, $slower->durationMs());
        self::assertSame([20_000, 21_250, 22_500, 23_750], array_map(fn (Beat $beat) => $beat->atMs, $slower->cues[4]->beats));
        self::assertSame($set->cues[3]->durationMs, $slower->cues[3]->durationMs, 'the breath in which it was changed is finished as it was');
    }

    public function test_soft_pauses_keep_their_length_at_any_tempo(): void
    {
        $set = (new PacedSet(Cycle::of(BreathPattern::of(3, 3)->withSoftPauses(2, 1.5)), []))->compile(2);

        self::assertSame([2000, 1500], [Retiming::tempo($set, 0, 0.5)->cues[1]->durationMs, Retiming::tempo($set, 0, 0.5)->cues[3]->durationMs]);
        self::assertSame(1500, Retiming::tempo($set, 0, 0.5)->cues[0]->durationMs);
    }

    public function test_the_tempo_stays_within_the_limits_of_the_prescriber(): void
    {
        $tempo = new Tempo(0.8, 1.25);

        self::assertSame([0.8, 1.1, 1.25], [$tempo->within(0.5), $tempo->within(1.1), $tempo->within(3)]);
        self::assertTrue($tempo->canChange());
        self::assertFalse((new Tempo)->canChange());
        foreach ([fn () => new Tempo(0.4), fn () => new Tempo(1.1), fn () => new Tempo(1, 0.9), fn () => new Tempo(1, 2.1), fn () => Retiming::tempo($this->set(), 0, 0.0)] as $bad) {
            try {
                $bad();
                self::fail('such a tempo was taken');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function test_joining_begins_at_the_own_pace_and_reaches_the_prescribed_one(): void
    {
        $set = (new PacedSet(Cycle::of(BreathPattern::parse('4:6')), []))->compile(6);
        $joined = Retiming::joining($set, 4.0, 4);
        $lengths = $this->lengths($joined);

        self::assertSame(4000, $lengths[0]);
        for ($breath = 1; $breath < 4; $breath++) {
            // Each breath is longer by the same share: (10 / 4) ^ (1 / 4), arithmetic.
            self::assertEqualsWithDelta(2.5 ** 0.25, $lengths[$breath] / $lengths[$breath - 1], 0.001);
        }
        self::assertSame([10_000, 10_000], [$lengths[4], $lengths[5]]);
        self::assertEqualsWithDelta(0.4, $joined->cues[0]->durationMs / $lengths[0], 0.001, 'the ratio stays');
        foreach ([[0.5, 4], [31.0, 4], [4.0, 0], [4.0, 21]] as [$seconds, $over]) {
            try {
                Retiming::joining($set, $seconds, $over);
                self::fail('such a joining was taken');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function test_joining_never_leads_slower_than_allowed(): void
    {
        $set = (new PacedSet(Cycle::of(BreathPattern::parse('4:6')), []))->compile(6);
        self::assertSame(10_000, $this->lengths(Retiming::joining($set, 20.0, 4, 1.0))[0], 'a slow own breath does not lengthen what was prescribed');
        self::assertSame(12_000, $this->lengths(Retiming::joining($set, 20.0, 4, 1.2))[0], 'but as far as the pace may be slowed');
        self::assertSame(5000, $this->lengths(Retiming::joining($set, 5.0, 4, 1.0))[0]);
    }

    public function test_only_a_single_set_of_equal_breaths_can_be_joined(): void
    {
        $over = fn (array $fields) => $this->timeline('extended-exhale', $fields)->joinsOver();
        self::assertSame(3, $over(['breaths' => 12]));
        self::assertSame(6, $over(['breaths' => 60]));
        self::assertSame(1, $over(['breaths' => 4]));
        self::assertSame(3, $over(['ratio' => '3:0:5:1', 'count_length' => 0.87, 'breaths' => 12]), 'rounding makes no breath another one');
        foreach (['even', 'humming', 'rounds-retention', 'body-scan', 'noticing', 'walking'] as $technique) {
            self::assertNull($this->timeline($technique, [])->joinsOver(), $technique);
        }
    }

    public function test_random_retimings_have_no_gap_and_keep_the_beats_inside(): void
    {
        mt_srand(8);
        for ($run = 0; $run < 200; $run++) {
            $pattern = BreathPattern::of(mt_rand(1, 8), mt_rand(1, 12), mt_rand(0, 7));
            $set = (new PacedSet(Cycle::of($pattern, CountLength::seconds(mt_rand(40, 200) / 100)), []))->compile(mt_rand(1, 20));
            $factor = mt_rand(50, 200) / 100;
            $during = mt_rand(0, 20);
            $changed = mt_rand(0, 1) === 0 ? Retiming::tempo($set, $during, $factor) : Retiming::joining($set, mt_rand(10, 300) / 10, mt_rand(1, 20));
            self::assertCount(count($set->cues), $changed->cues);
            self::assertSame(array_map(fn (Cue $cue) => count($cue->beats), $set->cues), array_map(fn (Cue $cue) => count($cue->beats), $changed->cues));
        }
    }

    public function test_a_phase_is_counted_up_down_or_not_at_all_and_a_word_stands_for_one(): void
    {
        $cues = $this->exercise($this->timeline('square', [
            'cue_word' => true, 'counting' => ['inhale' => 'up', 'hold' => 'silent', 'exhale' => 'down', 'rest' => 'up'],
        ]))[0]->cues;
        $said = fn (Cue $cue) => array_map(fn (Beat $beat) => $beat->word ?? $beat->number, $cue->beats);

        self::assertSame(['cue.word.inhale', 2, 3, 4], $said($cues[0]));
        self::assertSame([null, null, null, null], $said($cues[1]));
        self::assertSame(['cue.word.exhale', 3, 2, 1], $said($cues[2]));
        self::assertSame([1, 2, 3, 4], $said($cues[3]));
    }

    public function test_sound_and_then_sight_fade_over_a_set(): void
    {
        $of = fn (Fade $fade) => array_values(array_filter(
            $this->exercise($this->timeline('extended-exhale', ['breaths' => 13, 'fade' => $fade->value]))[0]->cues, fn (Cue $cue) => $cue->kind->value === 'inhale',
        ));

        self::assertSame([1.0], array_values(array_unique(array_map(fn (Cue $cue) => $cue->sound, $of(Fade::Nothing)))));
        $sound = array_map(fn (Cue $cue) => $cue->sound, $of(Fade::Sound));
        self::assertSame([1.0, 1.0, 0.5, 0.0, 0.0], [$sound[0], $sound[4], $sound[6], $sound[8], $sound[12]]);
        $both = $of(Fade::SoundThenSight);
        self::assertSame([1.0, 1.0, 0.5, 0.0], [$both[0]->sight, $both[8]->sight, $both[10]->sight, $both[12]->sight]);
        self::assertSame(0.0, $both[8]->sound, 'sight goes when sound has gone');
    }

    public function test_counting_and_fading_that_do_not_exist_are_named(): void
    {
        foreach ([['counting' => ['inhale' => 'sideways']], ['fade' => 'all'], ['slowest' => 5], ['gaze' => 'rolled']] as $fields) {
            $draft = \IvoryPace\Programme\DraftReader::read(['technique' => 'square', ...$fields], 'x');
            self::assertNull($draft->item);
            self::assertSame([array_key_first($fields)], array_keys($draft->errors));
        }
        self::assertSame(Counting::Down, $this->prescription('square')->guidance->counting['exhale']);
    }

    private function set(): Segment
    {
        return (new PacedSet(Cycle::of(BreathPattern::parse('4:6')), []))->compile(2);
    }

    /** @return list<int> start of every breath */
    private function starts(Segment $set): array
    {
        return array_values(array_map(fn (Cue $cue) => $cue->startMs, array_filter($set->cues, fn (Cue $cue) => $cue->kind->value === 'inhale')));
    }

    /** @return list<int> length of every breath */
    private function lengths(Segment $set): array
    {
        $starts = [...$this->starts($set), $set->durationMs()];

        return array_map(fn (int $at) => $starts[$at + 1] - $starts[$at], range(0, count($starts) - 2));
    }
}
