<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\FittingChanges;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

/** What fitting says and offers for a whole prescription. */
final class FittingChangesTest extends TestCase
{
    use Prescribing;

    public function test_to_limits_the_limiting_phase_is_named_and_the_count_offered(): void
    {
        [$text, $changes] = FittingChanges::toLimits($this->prescription('four-seven-eight'), new ComfortableLimits(6, 5, 9));

        self::assertSame('The hold limits: 4:7:8 fits at 0.71 s a count; begin at 0.56 s, 80 % of the limit.', $text);
        self::assertSame(['same ratio at 0.56 s a count', 'same ratio at 0.71 s a count, the full limit'], array_map(fn (Change $change) => $change->label, $changes));
        self::assertSame([['count_length' => 0.56], ['count_length' => 0.71]], array_map(fn (Change $change) => $change->set, $changes));
    }

    public function test_the_rest_is_held_to_the_limit_of_the_hold(): void
    {
        [$text, $changes] = FittingChanges::toLimits($this->prescription('square', ['ratio' => '4:0:4:8']), new ComfortableLimits(hold: 6));

        self::assertStringStartsWith('The rest limits: 4:0:4:8 fits at 0.75 s a count', $text);
        self::assertSame(0.6, $changes[0]->set['count_length']);
        [, $short] = FittingChanges::toLimits($this->prescription('square', ['ratio' => '4:0:4:8']), new ComfortableLimits(hold: 2));
        self::assertSame('4:0:4:3', $short[0]->set['ratio'], 'three counts of 0.6 s are within 2 s');
    }

    public function test_a_fit_under_three_a_minute_says_so_and_none_is_under_04_s_a_count(): void
    {
        [, $slow] = FittingChanges::toLimits($this->prescription('square', ['ratio' => '8:8:8:8']), new ComfortableLimits(10, 10, 10));
        self::assertSame(['same ratio at 1 s a count, under 3 a minute', 'same ratio at 1.25 s a count, the full limit, under 3 a minute'], array_map(fn (Change $change) => $change->label, $slow));
        [, $usual] = FittingChanges::toLimits($this->prescription('square', ['ratio' => '4:4:4:4']), new ComfortableLimits(5, 5, 5));
        self::assertStringNotContainsString('a minute', $usual[0]->label.$usual[1]->label, '3 a minute and more');
        [, $short] = FittingChanges::toLimits($this->prescription('square', ['ratio' => '4:4:4:4', 'slowest' => 1.5]), new ComfortableLimits(2.5, 2.5, 2.5));
        self::assertSame(0.4, $short[0]->set['count_length'], '80 % would be 0.33 s');
    }

    public function test_what_is_offered_keeps_every_phase_within_its_limit_for_random_limits(): void
    {
        mt_srand(3);
        for ($run = 0; $run < 150; $run++) {
            $limits = new ComfortableLimits(mt_rand(10, 80) / 10, mt_rand(10, 90) / 10, mt_rand(10, 120) / 10);
            $slowest = [1, 1.25, 1.5][mt_rand(0, 2)];
            $now = $this->prescription('square', ['ratio' => mt_rand(2, 8).':'.mt_rand(0, 8).':'.mt_rand(2, 12), 'slowest' => $slowest]);
            [$text, $changes] = FittingChanges::toLimits($now, $limits);
            self::assertNotSame('', $text);
            foreach ($changes as $change) {
                $cycle = PrescriptionReader::changed($now, $change->set)->longestCycle();
                self::assertNotNull($cycle);
                self::assertLessThanOrEqual($limits->inhale + 1e-6, $cycle->inhaleSeconds(), $change->label);
                self::assertLessThanOrEqual($limits->hold + 1e-6, $cycle->phaseSeconds(\IvoryPace\Breath\Phase::Hold), $change->label);
                self::assertLessThanOrEqual($limits->exhale + 1e-6, $cycle->phaseSeconds(\IvoryPace\Breath\Phase::Exhale), $change->label);
            }
        }
    }

    public function test_when_no_ratio_of_the_family_suits_nothing_is_offered(): void
    {
        [$text, $changes] = FittingChanges::toLimits($this->prescription('double-exhale'), new ComfortableLimits(exhale: 0.5));

        self::assertStringEndsWith('No ratio of this family suits.', $text);
        self::assertSame([], $changes);
    }

    public function test_to_a_rate_and_to_minutes(): void
    {
        self::assertSame(['count_length' => 1.0], FittingChanges::toRate($this->prescription('extended-exhale'), 6)[1][0]->set);
        self::assertSame(['breaths' => 12], FittingChanges::toMinutes($this->prescription('extended-exhale'), 2)[1][0]->set);
        // A round of 5:8 is two breaths of 13 s: four rounds and a half fit into two minutes, so four.
        self::assertSame(['breaths' => 4], FittingChanges::toMinutes($this->prescription('alternate-nostril'), 2)[1][0]->set);
        self::assertSame(['breaths' => 200], FittingChanges::toMinutes($this->prescription('double-exhale'), 30)[1][0]->set, 'no more than can be prescribed');
    }

    public function test_a_rate_is_also_offered_in_whole_seconds_where_the_breath_can_be_counted_so(): void
    {
        $offered = fn (string $technique, float $rate, ?string $ratio = null) => array_map(
            fn ($change) => [$change->label, $change->set], array_slice(FittingChanges::toRate($this->prescription($technique, array_filter(['ratio' => $ratio])), $rate)[1], 1),
        );

        // 4:0:5:1 at 6.5 a minute is 9.2 s: 3.7, 4.6 and 0.9 s; the nearest nine are 4, 4 and 1.
        self::assertSame([['4:0:4:1 in whole seconds, 6.7 a minute', ['ratio' => '4:0:4:1', 'count_length' => 1.0]]], $offered('extended-exhale', 6.5, '4:0:5:1'));
        self::assertSame([], $offered('double-inhale', 6), 'a top-up is not counted so');
    }

    public function test_a_rate_is_reached_over_weeks_by_equal_shares(): void
    {
        [$text, $changes] = FittingChanges::overWeeks($this->prescription('extended-exhale', ['ratio' => '4:0:6:0']), 12, 6, 2);

        // 12 → 8.49 → 6 a minute: each week √½ of the last; ten counts of 0.71 and 1 s.
        self::assertSame('From 12 to 6 breaths a minute with 4:6: week 1: 8.5 at 0.71 s, week 2: 6 at 1 s a count.', $text);
        self::assertSame([['week 1: 0.71 s a count', ['count_length' => 0.707]]], array_map(fn ($change) => [$change->label, $change->set], $changes));
        foreach ([[6, 12, 4], [12, 6, 0], [12, 0, 4]] as [$from, $goal, $weeks]) {
            try {
                FittingChanges::overWeeks($this->prescription('extended-exhale'), $from, $goal, $weeks);
                self::fail('such steps were taken');
            } catch (InvalidValue $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }

    public function test_what_has_no_ratio_or_no_breaths_cannot_be_fitted(): void
    {
        foreach ([
            fn () => FittingChanges::toLimits($this->prescription('noticing'), new ComfortableLimits(hold: 5)),
            fn () => FittingChanges::toRate($this->prescription('body-scan'), 6),
            fn () => FittingChanges::toMinutes($this->prescription('humming'), 5),
            fn () => FittingChanges::toMinutes($this->prescription('stepped-even'), 5),
            fn () => FittingChanges::toLimits($this->prescription('square'), new ComfortableLimits),
        ] as $bad) {
            try {
                $bad();
                self::fail('this was fitted');
            } catch (InvalidValue $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }
}
