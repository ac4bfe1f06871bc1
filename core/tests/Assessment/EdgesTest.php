<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Assessment;

use IvoryPace\Assessment\BestOf;
use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\ComfortCeiling;
use IvoryPace\Assessment\EarlyWarning;
use IvoryPace\Assessment\HandCheck;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Assessment\ReliableChange;
use IvoryPace\Assessment\Rhythm;
use IvoryPace\Assessment\RibExpansion;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\InvalidValue;
use IvoryPace\Tests\Snapshot;
use PHPUnit\Framework\TestCase;

/** Every measure and score at the edges of its numbers. */
final class EdgesTest extends TestCase
{
    use Snapshot;

    public function test_measures_and_scores_as_they_are_written(): void
    {
        $lines = [];
        foreach (Measure::cases() as $measure) {
            [$min, $max] = $measure->possible();
            [$low, $high] = $measure->usual();
            $lines[] = "{$measure->value}: {$measure->label()}, {$measure->unit()}, {$measure->how()->value}, possible $min to $max, usual $low to $high"
                .($measure->isAtRest() ? ', at rest' : '').($measure->isLimit() ? ', a limit' : '').(in_array($measure, Measure::ofRules(), true) ? ', rules look at it' : '').(in_array($measure, Measure::ofEveryone(), true) ? '' : ', chosen');
        }
        foreach ([Measure::RestingRate, Measure::Saturation, Measure::Pulse, Measure::Systolic] as $measure) {
            $bands = [];
            $before = null;
            for ($value = 0; $value <= 300; $value++) {
                $points = EarlyWarning::points($measure, $value);
                if ($points !== $before) {
                    $bands[] = "$value:$points";
                    $before = $points;
                }
            }
            $lines[] = "{$measure->value} points from ".implode(' ', $bands);
        }
        foreach (Questionnaire::all() as $questionnaire) {
            $bands = [];
            for ($score = 0; $score <= $questionnaire->highest() + 1; $score++) {
                $bands[$questionnaire->band($score)] ??= $score;
            }
            $lines[] = "{$questionnaire->key}: {$questionnaire->name}, {$questionnaire->items} items to {$questionnaire->most}, highest {$questionnaire->highest()}, bands ".json_encode($bands).", {$questionnaire->source}";
        }
        self::assertAsRead('measures', $lines);
    }

    public function test_each_measure_takes_its_least_and_its_greatest_and_nothing_beyond(): void
    {
        foreach (Measure::cases() as $measure) {
            [$min, $max] = $measure->possible();
            self::assertSame([(float) $min, (float) $max], [$measure->check($min), $measure->check($max)]);
            foreach ([$min - 0.1, $max + 0.1] as $beyond) {
                try {
                    $measure->check($beyond);
                    self::fail("{$measure->value} of $beyond");
                } catch (InvalidValue $problem) {
                    self::assertStringContainsString('is outside', $problem->getMessage());
                }
            }
            [$low, $high] = $measure->usual();
            self::assertFalse($measure->isUnusual($low));
            self::assertFalse($measure->isUnusual($high));
            self::assertTrue($measure->isUnusual($low - 0.1));
            self::assertTrue($measure->isUnusual($high + 0.1));
        }
    }

    public function test_values_are_rounded_half_up_before_they_get_points(): void
    {
        self::assertSame([24, 25, 25], array_map(EarlyWarning::whole(...), [24.49, 24.5, 25.4]));
        self::assertSame([2, 3], [EarlyWarning::points(Measure::RestingRate, 24.4), EarlyWarning::points(Measure::RestingRate, 24.5)]);
        self::assertSame([0, 3, 3, 3], [EarlyWarning::pointsOfOwnRange(88, 88), EarlyWarning::pointsOfOwnRange(87, 88), EarlyWarning::pointsOfOwnRange(83, 80), EarlyWarning::pointsOfOwnRange(83.4, 80)]);
        self::assertSame(0, EarlyWarning::pointsOfOwnRange(84, 80));
        self::assertNull(EarlyWarning::points(Measure::PeakFlow, 100));
        self::assertNull(EarlyWarning::range(Measure::PeakFlow));
        self::assertSame([9, 24], EarlyWarning::range(Measure::RestingRate));
        self::assertSame([92, PHP_INT_MAX], EarlyWarning::range(Measure::Saturation));
    }

    public function test_gad_7_from_12_to_8_is_improved_and_not_recovered(): void
    {
        $gad = Questionnaire::gad7();
        self::assertSame(
            [ChangeClass::Improved, ChangeClass::Recovered, ChangeClass::Unchanged, ChangeClass::Worse, ChangeClass::Unchanged, ChangeClass::Improved],
            [$gad->change(12, 8), $gad->change(12, 7), $gad->change(12, 9), $gad->change(8, 12), $gad->change(8, 11), $gad->change(7, 3)],
        );
        self::assertSame(ChangeClass::Recovered, $gad->change(8, 4), 'from the cut-off itself');
        self::assertSame([21.0, 'severe'], [$gad->score(array_fill(0, 7, 3))->value, $gad->score(array_fill(0, 7, 3))->band]);
        self::assertSame(ChangeClass::NotClaimed, Questionnaire::nijmegen()->change(40, 1));
        self::assertSame('raised', Questionnaire::nijmegen()->band(21));
        self::assertSame('up to the usual upper end', Questionnaire::nijmegen()->band(20));
        $scaled = $gad->score([2, 2, 2, null, 2, 2, 2]);
        self::assertEqualsWithDelta(14.0, (float) $scaled->value, 1e-9);
        self::assertSame(1, $scaled->missing);
        self::assertNull(Questionnaire::mmrc()->score([null])->value);
        self::assertSame(4.0, Questionnaire::mmrc()->score([4])->value);
    }

    public function test_a_tapped_rate_does_not_depend_on_when_the_taps_began(): void
    {
        $taps = [0, 3900, 8100, 12_000, 15_700, 20_100, 24_000, 27_800, 32_200];
        $rate = TappedRate::of($taps);
        foreach ([1, 500, 86_400_000] as $shift) {
            $later = TappedRate::of(array_map(fn (int $tap) => $tap + $shift, $taps));
            self::assertEqualsWithDelta([$rate->rate, $rate->medianInterval, $rate->variation], [$later->rate, $later->medianInterval, $later->variation], 1e-9);
            self::assertSame([$rate->crossCheck, $rate->doubtful], [$later->crossCheck, $later->doubtful]);
        }
        self::assertEqualsWithDelta(60 * 8 / 32.2, $rate->rate, 1e-9);
        // Sample standard deviation of the intervals over their mean, by hand: 3.9 4.2 3.9 3.7 4.4 3.9 3.8 4.4; squares of the deviations add up to 0.515.
        self::assertEqualsWithDelta(sqrt(0.515 / 7) / 4.025, $rate->variation, 1e-4);
        self::assertSame(16, $rate->crossCheck);
        self::assertEqualsWithDelta(0.0, TappedRate::of([0, 4000, 8000, 12_000, 16_000])->variation, 1e-12);
        self::assertNull(TappedRate::of([0, 4000, 8000, 29_999])->crossCheck);
        self::assertSame(6, TappedRate::of([0, 10_000, 20_000, 30_000])->crossCheck);
        self::assertCount(300, TappedRate::of(range(0, 299))->taps);
    }

    public function test_doubtful_taps_at_their_limits(): void
    {
        self::assertSame([], TappedRate::of([0, 1000, 2000, 3000, 4700])->doubtful, '1.7 times is still believed');
        self::assertSame([['interval' => 4, 'kind' => 'missed']], TappedRate::of([0, 1000, 2000, 3000, 4701])->doubtful);
        self::assertSame([], TappedRate::of([0, 1000, 2000, 3000, 3400])->doubtful);
        self::assertSame([['interval' => 4, 'kind' => 'double']], TappedRate::of([0, 1000, 2000, 3000, 3399])->doubtful);
        $rate = TappedRate::of([0, 1000, 1100, 2000, 3000])->without(2);
        self::assertSame([0, 1000, 2000, 3000], $rate->taps);
    }

    public function test_hands_ribs_rhythm_and_ceiling_at_their_limits(): void
    {
        self::assertSame('mixed', (new HandCheck(3, 2, 'together'))->pattern(), '60 % is mixed');
        self::assertSame('upper-chest', (new HandCheck(2, 1, 'chest'))->pattern());
        self::assertSame('mixed', (new HandCheck(2, 3, 'belly'))->pattern(), '40 % is mixed');
        self::assertSame('abdominal', (new HandCheck(1, 2, 'belly'))->pattern());
        self::assertSame('upper-chest, chest first, 100 % at the chest; shoulders lift, ribs flared at rest', (new HandCheck(4, 0, 'chest', true, true))->inWords());
        self::assertSame('by nose and mouth, even, 1 sigh or yawn in 5 min', (new Rhythm('both', true, 1))->inWords());
        self::assertSame('by the nose, uneven, 50 sighs or yawns in 5 min', (new Rhythm('nose', false, 50))->inWords());
        self::assertSame([3.0, 1.0], [RibExpansion::of([[90, 92], [91, 94]])->best, RibExpansion::of([[90, 92], [91, 94]])->spread]);
        self::assertSame([0.0, [[30.0, 30.0]]], [RibExpansion::of([[30, 30]])->best, RibExpansion::of([[30, 30]])->pairs]);
        self::assertSame([170.0, 2.0], [RibExpansion::of([[30, 200], [30, 198]])->best, RibExpansion::of([[30, 200], [30, 198]])->spread]);
        self::assertSame('5:5 at 0.8 s', ComfortCeiling::of(5, 0.8)->inWords());
        self::assertSame([2, 2, 3, 8], array_map(fn (int $step) => ComfortCeiling::stoppedIn($step, 1.0)->counts, [0, 1, 2, 7]));
        self::assertSame([1, 20], [ComfortCeiling::of(1, 0.3)->counts, ComfortCeiling::of(20, 3.0)->counts]);
        self::assertSame([5.0, 2.0], [BestOf::of([3, 5, 4], 0.5, 120, 'seconds')->best, BestOf::of([3, 5, 4], 0.5, 120, 'seconds')->spread]);
        $this->assertRefused(fn () => new HandCheck(5, 0, 'chest'), 'outside 0 to 4');
        $this->assertRefused(fn () => new HandCheck(0, -1, 'chest'), 'outside 0 to 4');
        $this->assertRefused(fn () => new HandCheck(1, 1, 'neck'), 'which hand moves first');
        $this->assertRefused(fn () => new Rhythm('ear', true, 0), 'by which way');
        $this->assertRefused(fn () => new Rhythm('nose', true, 51), 'outside 0 to 50');
        $this->assertRefused(fn () => RibExpansion::of([[29.9, 40]]), 'outside 30 to 200');
        $this->assertRefused(fn () => RibExpansion::of(array_fill(0, 4, [90, 91])), 'one to three times');
        $this->assertRefused(fn () => RibExpansion::of([]), 'one to three times');
        $this->assertRefused(fn () => ComfortCeiling::of(21, 1.0), 'outside 1 to 20');
        $this->assertRefused(fn () => ComfortCeiling::of(0, 1.0), 'outside 1 to 20');
        $this->assertRefused(fn () => ComfortCeiling::of(5, 0.29), 'outside 0.3 to 3');
        $this->assertRefused(fn () => ComfortCeiling::of(5, 3.01), 'outside 0.3 to 3');
        $this->assertRefused(fn () => BestOf::of([1, 2, 3, 4], 0.5, 120, 'seconds'), '4 tries');
        $this->assertRefused(fn () => BestOf::of([121], 0.5, 120, 'seconds'), 'outside 0.5 to 120');
        $this->assertRefused(fn () => TappedRate::of(range(0, 300)), '301 taps');
        $this->assertRefused(fn () => TappedRate::of([0, 1000, 1000, 2000]), 'one after the other');
    }

    public function test_reliable_change_at_its_limits(): void
    {
        $change = new ReliableChange(7.5, 0.8, cutOff: 10.0);
        self::assertEqualsWithDelta(3.3541, $change->standardError(), 1e-4);
        self::assertEqualsWithDelta(4.7434, $change->standardErrorOfDifference(), 1e-4);
        self::assertSame([ChangeClass::Unchanged, ChangeClass::Improved, ChangeClass::Recovered, ChangeClass::Worse], [
            $change->classify(20, 11), $change->classify(20, 10), $change->classify(20, 9.9), $change->classify(10, 20),
        ]);
        $up = new ReliableChange(7.5, 0.8, true, 10.0);
        self::assertSame([ChangeClass::Improved, ChangeClass::Recovered, ChangeClass::Worse], [$up->classify(0, 10), $up->classify(0, 10.1), $up->classify(20, 9)]);
        self::assertSame(0.0, (new ReliableChange(1, 0))->reliability);
        $this->assertRefused(fn () => new ReliableChange(0, 0.5), 'not more than 0');
        $this->assertRefused(fn () => new ReliableChange(1, 1), 'outside 0 to under 1');
        $this->assertRefused(fn () => new ReliableChange(1, -0.1), 'outside 0 to under 1');
    }

    /** @param  callable(): mixed  $do */
    private function assertRefused(callable $do, string $because): void
    {
        try {
            $do();
            self::fail($because);
        } catch (InvalidValue $problem) {
            self::assertStringContainsString($because, $problem->getMessage());
        }
    }
}
