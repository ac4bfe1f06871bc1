<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Assessment;

use IvoryPace\Assessment\BestOf;
use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\HandCheck;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Assessment\ReliableChange;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\Breath\TappedCount;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

final class MeasuresTest extends TestCase
{
    /** 60 (n − 1) / (last − first): arithmetic. */
    public function test_a_rate_is_counted_over_whole_breaths(): void
    {
        $rate = TappedRate::of(array_map(fn (int $n) => $n * 4000, range(0, 15)));

        self::assertEqualsWithDelta(15.0, $rate->rate, 1e-9);
        self::assertEqualsWithDelta([4.0, 0.0], [$rate->medianInterval, $rate->variation], 1e-9);
        self::assertSame(16, $rate->crossCheck, '8 taps in the last 30 s, twice');
        self::assertSame([], $rate->doubtful);
        self::assertNull(TappedRate::of([0, 4000, 8000, 12_000])->crossCheck, 'too short to be checked');
    }

    public function test_a_missed_and_a_double_tap_are_marked_and_can_be_taken_out(): void
    {
        $rate = TappedRate::of([0, 4000, 8000, 8500, 12_000, 20_000, 24_000, 28_000]);

        self::assertSame([['interval' => 3, 'kind' => 'double'], ['interval' => 5, 'kind' => 'missed']], $rate->doubtful);
        self::assertEqualsWithDelta(15.0, $rate->rate, 1e-9, 'nothing is dropped silently');
        $without = $rate->without(3);
        self::assertEqualsWithDelta(60 * 6 / 28, $without->rate, 1e-9);
        self::assertSame([['interval' => 4, 'kind' => 'missed']], $without->doubtful);
    }

    public function test_taps_that_are_none_are_refused(): void
    {
        foreach ([[], [0, 1000, 2000], [0, 1000, 900, 2000], ['a', 'b', 'c', 'd'], array_fill(0, 301, 0)] as $taps) {
            foreach ([TappedRate::of(...), TappedCount::of(...)] as $read) {
                try {
                    $read($taps);
                    self::fail('such taps were taken');
                } catch (InvalidValue) {
                    $this->addToAssertionCount(1);
                }
            }
        }
    }

    public function test_a_tapped_count_has_a_median_and_a_spread(): void
    {
        $count = TappedCount::of([0, 800, 1620, 2400, 3200]);

        self::assertEqualsWithDelta(0.8, $count->seconds, 1e-9);
        // Sample SD of 0.80, 0.82, 0.78, 0.80 is 0.01633; over the mean 0.8: arithmetic.
        self::assertEqualsWithDelta(0.02041, $count->spread, 1e-4);
    }

    public function test_the_hand_check_in_words(): void
    {
        self::assertSame('upper-chest, chest first, 75 % at the chest; shoulders lift', (new HandCheck(3, 1, 'chest', shouldersLift: true))->inWords());
        self::assertSame(['mixed', 'abdominal', 'mixed'], [(new HandCheck(2, 2, 'together'))->pattern(), (new HandCheck(1, 3, 'belly'))->pattern(), (new HandCheck(3, 2, 'belly'))->pattern()]);
        foreach ([fn () => new HandCheck(5, 1, 'chest'), fn () => new HandCheck(0, 0, 'belly'), fn () => new HandCheck(1, 1, 'left')] as $bad) {
            try {
                $bad();
                self::fail('such a check was taken');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function test_the_best_of_three_and_its_spread(): void
    {
        $best = BestOf::of([6.2, '7.5', 7], 0.5, 120, 'seconds');
        self::assertEqualsWithDelta([7.5, 1.3], [$best->best, $best->spread], 1e-9);
        foreach ([[], [1, 2, 3, 4], [0.1], [121], ['long']] as $tries) {
            try {
                BestOf::of($tries, 0.5, 120, 'seconds');
                self::fail('such tries were taken');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    /** Bands 5, 10, 15: Spitzer, Kroenke, Williams, Löwe, Arch Intern Med 2006;166:1092–1097. */
    public function test_gad_7(): void
    {
        $gad = Questionnaire::gad7();
        self::assertSame(21, $gad->highest());
        self::assertSame(['minimal', 'mild', 'mild', 'moderate', 'moderate', 'severe', 'severe'], array_map($gad->band(...), [4.0, 5.0, 9.0, 10.0, 14.0, 15.0, 21.0]));
        self::assertSame([10.0, 'moderate'], [$gad->score([2, 1, 2, 1, 2, 1, 1])->value, $gad->score([2, 1, 2, 1, 2, 1, 1])->band]);
        $one = $gad->score([2, 2, 2, null, 2, 2, 2]);
        self::assertSame([14.0, 1], [$one->value, $one->missing], 'one missing: × 7/6');
        self::assertNull($gad->score([2, null, 2, null, 2, 2, 2])->value);
        // Reliable from 4 points, recovered under 8: as used in England's talking therapies services (from memory).
        self::assertSame(
            [ChangeClass::Recovered, ChangeClass::Improved, ChangeClass::Unchanged, ChangeClass::Worse, ChangeClass::Improved],
            [$gad->change(12, 7), $gad->change(18, 12), $gad->change(12, 9), $gad->change(8, 12), $gad->change(7, 2)],
        );
    }

    /** 16 items, 0–64, above 22: van Dixhoorn & Duivenvoorden, J Psychosom Res 1985;29:199–206. No reliability is claimed. */
    public function test_nijmegen(): void
    {
        $nijmegen = Questionnaire::nijmegen();
        self::assertSame(64, $nijmegen->highest());
        self::assertSame(['up to the usual upper end', 'raised', 'has been read as over-breathing'], array_map($nijmegen->band(...), [20.0, 22.0, 23.0]));
        self::assertNull($nijmegen->score([...array_fill(0, 15, 2), null])->value);
        self::assertSame(ChangeClass::NotClaimed, $nijmegen->change(40, 10));
    }

    /** Grades 0–4: Bestall et al., Thorax 1999;54:581–586 (from memory). */
    public function test_mmrc(): void
    {
        self::assertSame([4, 'stops after about 100 m'], [Questionnaire::mmrc()->highest(), Questionnaire::mmrc()->score([3])->band]);
    }

    public function test_answers_that_do_not_fit_are_named(): void
    {
        foreach (['3 answers; GAD-7 has 7 items.' => [1, 2, 3], 'Item 2: 4 is outside 0 to 3.' => [0, 4, 0, 0, 0, 0, 0]] as $message => $answers) {
            try {
                Questionnaire::gad7()->score($answers);
                self::fail($message);
            } catch (InvalidValue $problem) {
                self::assertSame($message, $problem->getMessage());
            }
        }
        self::assertCount(3, Questionnaire::all());
    }

    /** The worked example of Jacobson & Truax 1991 (from memory): SE 3.35, Sdiff 4.74, RC 3.16, c = 50. */
    public function test_reliable_change_worked_example(): void
    {
        $cutOff = (7.5 * 40 + 7.5 * 60) / (7.5 + 7.5);
        $change = new ReliableChange(7.5, 0.80, higherIsBetter: true, cutOff: $cutOff);

        self::assertEqualsWithDelta([3.35, 4.74, 3.16, 50.0], [$change->standardError(), $change->standardErrorOfDifference(), $change->index(32.5, 47.5), $cutOff], 0.005);
        self::assertSame(ChangeClass::Improved, $change->classify(32.5, 47.5), 'reliably improved, not recovered: 47.5 has not passed 50');
        self::assertSame([ChangeClass::Recovered, ChangeClass::Unchanged, ChangeClass::Worse], [$change->classify(32.5, 52), $change->classify(45, 50), $change->classify(50, 35)]);
        self::assertSame(ChangeClass::Recovered, (new ReliableChange(5, 0.9, cutOff: 10))->classify(20, 8), 'lower is better here');
        foreach ([fn () => new ReliableChange(0, 0.9), fn () => new ReliableChange(5, 1)] as $bad) {
            try {
                $bad();
                self::fail('such numbers were taken');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
