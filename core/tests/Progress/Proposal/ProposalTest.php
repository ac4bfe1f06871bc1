<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress\Proposal;

use IvoryPace\Fraction;
use IvoryPace\InvalidValue;
use IvoryPace\Progress\Felt;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\Proposal\Proposal;
use IvoryPace\Progress\Proposal\ProposalFacts;
use IvoryPace\Progress\Proposal\ProposalKind;
use IvoryPace\Progress\Proposal\ReliablyWorse;
use IvoryPace\Progress\Proposal\Thresholds;
use IvoryPace\Progress\Proposal\Worsening;
use IvoryPace\Progress\Proposal\WorseOver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProposalTest extends TestCase
{
    /** A window in which everything speaks for a step up. */
    private const GOOD = [
        'days' => 10, 'practices' => 10, 'efforts' => [2, 3, 3, 2, 3, 3, 2, 3, 3, 3], 'smooth' => [true, true, true, true, true, true, true, true, false, false],
        'ratings' => [[5, 4], [5, 5], [6, 4], [5, 4], [5, 3], [4, 4], [5, 4], [4, 5], [4, 5], [4, 5]], 'adherence' => 0.8,
    ];

    /** What makes each rule fit, over the good window. */
    private const FIT = [
        'look' => ['getHelp' => 'fainting'],
        'step-back' => ['stops' => 2],
        'too-early' => ['days' => 6],
        'lighten' => ['adherence' => 0.49],
        'finish' => ['goalDays' => 14],
        'step-up' => [],
        'stay' => ['isAtCap' => true],
    ];

    /** @return iterable<string, array{list<array{int, int, int}>, string|null}> followed, seen and led of each measured practice */
    public static function measured(): iterable
    {
        yield 'nothing measured' => [[], null];
        yield 'all followed' => [[[12, 12, 12], [10, 12, 12]], null];
        yield 'six tenths are enough' => [[[6, 10, 10]], null];
        yield 'just below' => [[[59, 100, 100]], 'followed in less than 60 % of the breaths in 1 of 1 measured practices'];
        yield 'half of them below' => [[[3, 12, 12], [12, 12, 12]], 'followed in less than 60 % of the breaths in 1 of 2 measured practices'];
        yield 'fewer than half below' => [[[3, 12, 12], [12, 12, 12], [11, 12, 12]], null];
        yield 'most could not be seen' => [[[1, 5, 12]], null];
    }

    /** @param  list<array{int, int, int}>  $measured */
    #[DataProvider('measured')]
    public function test_what_was_not_followed_keeps_the_step(array $measured, ?string $because): void
    {
        $felt = array_values(array_filter(array_map(fn (array $of) => Felt::of($of[0], $of[1], $of[2], 0.3, 0.9), $measured)));
        $proposal = Proposal::for(new ProposalFacts(...[...self::GOOD, 'adherence' => Fraction::of(8, 10), 'felt' => $felt]));

        self::assertSame($because === null ? ProposalKind::StepUp : ProposalKind::Stay, $proposal->kind);
        self::assertSame($because === null ? $proposal->because : ucfirst($because).'.', $proposal->because);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function rows(): iterable
    {
        foreach (self::FIT as $kind => $with) {
            yield $kind => [$kind, $with];
        }
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('rows')]
    public function test_every_row_is_proposed_by_its_rule_with_its_numbers(string $kind, array $with): void
    {
        $proposal = $this->propose($with);
        self::assertSame($kind, $proposal->kind->value);
        self::assertSame('PROPOSE-'.strtoupper($kind), $proposal->kind->rule());
        self::assertNotSame('', $proposal->kind->label());
        if ($kind !== 'look' && $kind !== 'stay') {
            self::assertMatchesRegularExpression('/\d/', $proposal->because);
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>}> what is proposed where an exercise is kept up */
    public static function keptUp(): iterable
    {
        foreach (['look', 'step-back', 'too-early', 'lighten'] as $kind) {
            yield $kind => [$kind, self::FIT[$kind]];
        }
        foreach (['finish', 'step-up', 'stay'] as $kind) {
            yield "no $kind" => ['stay', self::FIT[$kind]];
        }
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('keptUp')]
    public function test_what_is_kept_up_neither_ends_by_itself_nor_gets_harder(string $kind, array $with): void
    {
        self::assertSame($kind, $this->propose(['isMaintenance' => true] + $with)->kind->value);
    }

    public function test_what_is_kept_up_says_how_it_goes(): void
    {
        self::assertSame('Kept up: 80 % practised in the last 10 days.', $this->propose(['isMaintenance' => true])->because);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function pairs(): iterable
    {
        $kinds = array_keys(self::FIT);
        foreach ($kinds as $first => $kind) {
            foreach (array_slice($kinds, $first + 1) as $other) {
                // What both change cannot be both; too early and staying both go by the days alone.
                if (array_intersect_key(self::FIT[$kind], self::FIT[$other]) === []) {
                    yield "$kind before $other" => [$kind, self::FIT[$kind] + self::FIT[$other]];
                }
            }
        }
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('pairs')]
    public function test_of_two_that_fit_the_earlier_one_wins(string $kind, array $with): void
    {
        // A step up gives way to whatever stands against it.
        self::assertSame($kind === 'step-up' ? 'stay' : $kind, $this->propose($with)->kind->value);
    }

    /** @return iterable<string, array{array<string, mixed>, string, array<string, mixed>, string}> */
    public static function edges(): iterable
    {
        yield 'a get-help symptom' => [['getHelp' => 'fainting'], 'look', ['getHelp' => null], 'step-up'];
        yield 'stops' => [['stops' => 2], 'step-back', ['stops' => 1], 'stay'];
        yield 'effort too hard' => [['efforts' => [7, 7, 7, 7]], 'step-back', ['efforts' => [7, 7, 6, 6]], 'stay'];
        yield 'hard, but rated too rarely' => [['efforts' => [9, 9, 9, 9]], 'step-back', ['efforts' => [9, 9, 9]], 'stay'];
        yield 'hard, but practised too rarely' => [['practices' => 4, 'efforts' => [9, 9, 9, 9]], 'step-back', ['practices' => 3, 'efforts' => [9, 9, 9]], 'too-early'];
        yield 'seldom smooth' => [['smooth' => [true, false, false, true, false]], 'step-back', ['smooth' => [true, true, false, false]], 'stay'];
        yield 'days' => [['days' => 6], 'too-early', ['days' => 7], 'step-up'];
        yield 'practices' => [['practices' => 5, 'smooth' => [true, true, true, true, true]], 'too-early', ['practices' => 6, 'smooth' => [true, true, true, true, true]], 'step-up'];
        yield 'little practice' => [['adherence' => 0.499], 'lighten', ['adherence' => 0.5], 'stay'];
        yield 'little practice, hard breath' => [['adherence' => 0.3, 'efforts' => [6, 6, 6, 6]], 'lighten', ['adherence' => 0.3, 'efforts' => [6, 6, 7, 7]], 'stay'];
        yield 'little practice, effort unknown' => [['adherence' => 0.3], 'lighten', ['adherence' => 0.3, 'efforts' => []], 'stay'];
        yield 'the goal' => [['goalDays' => 14], 'finish', ['goalDays' => 13], 'step-up'];
        yield 'enough practice' => [['adherence' => 0.8], 'step-up', ['adherence' => 0.799], 'stay'];
        yield 'nothing due' => [['adherence' => 1.0], 'step-up', ['adherence' => null], 'stay'];
        yield 'smooth enough' => [['smooth' => array_fill(0, 8, true)], 'step-up', ['smooth' => array_fill(0, 7, true)], 'stay'];
        yield 'easy enough' => [['efforts' => [3, 3, 3, 3, 3]], 'step-up', ['efforts' => [3, 3, 4, 4, 4]], 'stay'];
        yield 'symptom no worse' => [['ratings' => [[5, 5], [5, 5], [5, 5], [5, 5], [5, 5], [5, 5], [5, 5], [5, 6], [5, 6], [5, 6]]], 'step-up', ['ratings' => [[5, 5], [5, 5], [5, 6], [5, 6]]], 'stay'];
        yield 'symptom rated in half' => [['ratings' => array_fill(0, 5, [5, 4])], 'step-up', ['ratings' => array_fill(0, 4, [5, 4])], 'stay'];
        yield 'effort rated in half' => [['efforts' => array_fill(0, 5, 2)], 'step-up', ['efforts' => array_fill(0, 4, 2)], 'stay'];
        yield 'no symptom is rated' => [['ratings' => [], 'ratesSymptom' => false], 'step-up', ['ratings' => [], 'ratesSymptom' => true], 'stay'];
        yield 'slight symptoms' => [['slight' => 4], 'step-up', ['slight' => 5], 'stay'];
        yield 'used as needed more often' => [['neededLately' => 5, 'neededBefore' => 3], 'step-up', ['neededLately' => 6, 'neededBefore' => 3], 'stay'];
        yield 'half as many again' => [['neededLately' => 11, 'neededBefore' => 8], 'step-up', ['neededLately' => 12, 'neededBefore' => 8], 'stay'];
        yield 'the goal, and a stop' => [['goalDays' => 14, 'daysSinceStop' => 14], 'finish', ['goalDays' => 14, 'daysSinceStop' => 13], 'step-up'];
        yield 'an old limit' => [['heldBackBy' => 'the comfortable exhale of 5 s', 'measuredDaysAgo' => 15], 'measure-again', ['heldBackBy' => 'the comfortable exhale of 5 s', 'measuredDaysAgo' => 14], 'stay'];
        yield 'a ceiling from home only' => [['heldBackBy' => 'the comfort ceiling of 5 s', 'measuredDaysAgo' => null], 'measure-again', ['heldBackBy' => 'the comfort ceiling of 5 s', 'measuredDaysAgo' => 0], 'stay'];
        yield 'a limit and little practice' => [['heldBackBy' => '', 'isAtCap' => false], 'step-up', ['heldBackBy' => 'the comfortable exhale of 5 s', 'measuredDaysAgo' => 30, 'adherence' => 0.7], 'stay'];
        yield 'a rung that asks for calm, after a stop' => [['calmDays' => 14, 'daysSinceStop' => 14], 'step-up', ['calmDays' => 14, 'daysSinceStop' => 13], 'stay'];
        yield 'a rung that asks for calm, after a pause' => [['calmDays' => 14, 'daysSincePause' => 14], 'step-up', ['calmDays' => 14, 'daysSincePause' => 13], 'stay'];
        yield 'a rung that asks for calm, while it is paused' => [['calmDays' => 14], 'step-up', ['calmDays' => 14, 'daysSincePause' => 0], 'stay'];
        yield 'the gate of the technique' => [['days' => 28, 'gateDays' => 28], 'step-up', ['days' => 27, 'gateDays' => 28], 'stay'];
        yield 'the cap' => [['isAtCap' => false], 'step-up', ['isAtCap' => true], 'stay'];
    }

    /**
     * @param  array<string, mixed>  $at
     * @param  array<string, mixed>  $beside
     */
    #[DataProvider('edges')]
    public function test_at_the_edge_of_each_threshold(array $at, string $kind, array $beside, string $otherwise): void
    {
        self::assertSame([$kind, $otherwise], [$this->propose($at)->kind->value, $this->propose($beside)->kind->value]);
    }

    public function test_missing_ratings_never_count_as_good(): void
    {
        self::assertSame(ProposalKind::Stay, $this->propose(['efforts' => [], 'smooth' => [], 'ratings' => []])->kind);
        self::assertStringContainsString('Smooth in 0 % of all practices, below 80 %; effort rated in 0 of 10 practices only; symptom rated before and after 0 of 10 practices only.', $this->propose(['efforts' => [], 'smooth' => [], 'ratings' => []])->because);
        self::assertSame(ProposalKind::TooEarly, Proposal::for(new ProposalFacts)->kind, 'a patient with no data');
    }

    public function test_a_share_just_below_its_mark_is_not_rounded_up_to_it(): void
    {
        self::assertStringContainsString('79.9 % practised, below 80 %', $this->propose(['adherence' => 0.7999])->because);
        self::assertStringContainsString('97 % practised', $this->propose(['adherence' => 0.968])->because);
    }

    public function test_a_clinic_sets_its_own_thresholds_and_contradictions_are_refused(): void
    {
        self::assertSame(ProposalKind::Stay, Proposal::for(new ProposalFacts(...['adherence' => Fraction::near(0.8)] + self::GOOD), new Thresholds(highAdherence: 0.9))->kind);
        foreach ([['easyEffort' => 7.0], ['lowAdherence' => 0.8], ['lowSmooth' => 0.9], ['lightEffort' => 8.0], ['hardEffort' => 11.0], ['leastDays' => 0], ['notWorse' => NAN]] as $wrong) {
            try {
                new Thresholds(...$wrong);
                self::fail('taken: '.json_encode(array_keys($wrong)));
            } catch (InvalidValue $problem) {
                self::assertMatchesRegularExpression('/outside|less than/', $problem->getMessage());
            }
        }
    }

    public function test_a_decision_follows_a_proposal_or_not(): void
    {
        self::assertTrue(Decision::StepUp->follows(ProposalKind::StepUp));
        self::assertFalse(Decision::StepUp->follows(ProposalKind::Stay));
        self::assertTrue(Decision::GoOn->follows(ProposalKind::TooEarly));
        self::assertNull(Decision::Pause->follows(ProposalKind::Look));
        foreach (ProposalKind::cases() as $kind) {
            $following = array_filter(Decision::cases(), fn (Decision $decision) => $decision->follows($kind) === true);
            self::assertSame(in_array($kind, [ProposalKind::Look, ProposalKind::MeasureAgain], true) ? 0 : 1, min(1, count($following)), $kind->value);
        }
    }

    public function test_a_rating_is_reliably_worse_by_its_medians_and_its_trend(): void
    {
        $rising = array_map(fn (int $day) => 3 + $day / 7, range(0, 20));
        self::assertSame(['then' => 3 + 3 / 7, 'now' => 3 + 17 / 7, 'over' => WorseOver::Weeks], ReliablyWorse::of($rising));
        self::assertNull(ReliablyWorse::of(array_reverse($rising)));
        self::assertNull(ReliablyWorse::of(array_map(fn (int $day) => 3 + $day / 12, range(0, 20))), 'less than two points');
        self::assertNull(ReliablyWorse::of(array_fill(0, 13, 7)), 'too few days');
        // Two points higher at the end, but up and down in between: the interval holds 0.
        self::assertNull(ReliablyWorse::of([3, 3, 3, 3, 3, 3, 3, 9, 0, 9, 0, 9, 0, 9, 0, 5, 5, 5, 5, 0, 0]));
    }

    public function test_a_rating_may_get_worse_within_days(): void
    {
        // The median of the last three rated days against the fourteen days before, five of them rated.
        self::assertSame(['then' => 3.0, 'now' => 6.0, 'over' => WorseOver::Days], ReliablyWorse::of([0 => 3, 2 => 3, 4 => 3, 6 => 3, 8 => 3, 10 => 6, 12 => 6, 14 => 6]));
        self::assertNull(ReliablyWorse::of([0 => 3, 2 => 3, 4 => 3, 6 => 3, 8 => 3, 10 => 5, 12 => 5, 14 => 6]), 'two points');
        self::assertNull(ReliablyWorse::of([2 => 3, 4 => 3, 6 => 3, 8 => 3, 10 => 6, 12 => 6, 14 => 6]), 'four days before');
        self::assertNull(ReliablyWorse::of([0 => 3, 2 => 3, 4 => 3, 6 => 3, 8 => 3, 18 => 6, 19 => 6, 20 => 6]), 'four of them within fourteen days');
        self::assertNotNull(ReliablyWorse::of([0 => 3, 2 => 3, 4 => 3, 6 => 3, 8 => 3, 14 => 6, 15 => 6, 16 => 6]), 'fourteen days');
    }

    public function test_very_high_on_two_days_running_is_worse(): void
    {
        self::assertSame(['then' => 5.0, 'now' => 8.0, 'over' => WorseOver::TwoDays], ReliablyWorse::of([0 => 5, 1 => 5, 3 => 8, 4 => 8]));
        self::assertNull(ReliablyWorse::of([0 => 5, 1 => 5, 3 => 8, 5 => 8]), 'a day between');
        self::assertNull(ReliablyWorse::of([0 => 5, 1 => 5, 3 => 8, 4 => 7]));
        self::assertNull(ReliablyWorse::of([0 => 7, 1 => 7, 2 => 7, 3 => 8, 4 => 8]), 'it was so from the beginning');
        self::assertNull(ReliablyWorse::of([4 => 9]));
    }

    public function test_of_sleep_less_is_worse(): void
    {
        self::assertSame(['then' => 6.0, 'now' => 2.0, 'over' => WorseOver::TwoDays], ReliablyWorse::of([0 => 6, 1 => 6, 2 => 6, 3 => 2, 4 => 2], lessIsWorse: true));
        self::assertNull(ReliablyWorse::of([0 => 6, 1 => 6, 2 => 6, 3 => 9, 4 => 9], lessIsWorse: true));
        self::assertSame(['then' => 7.0, 'now' => 3.0, 'over' => WorseOver::Days], ReliablyWorse::of([0 => 7, 2 => 7, 4 => 7, 6 => 7, 8 => 7, 10 => 3, 12 => 3, 14 => 3], lessIsWorse: true));
    }

    public function test_a_worsening_says_over_what_time(): void
    {
        self::assertSame('Sleep is suddenly worse: 7 in the two weeks before, 3 on the last three rated days', Worsening::rating('sleep', 7, 3, WorseOver::Days)->sentence());
        self::assertSame('Tension is reliably worse: 3 in the first rated week, 6 in the last', Worsening::rating('tension', 3, 6)->sentence());
        self::assertSame('5 to 8', Worsening::rating('tension', 5, 8, WorseOver::TwoDays)->number());
    }

    public function test_shares_are_exact_whatever_they_are_added_up_from(): void
    {
        // Ten practices that were done to eight tenths: as floats their sum is a little under 8.
        $eight = array_reduce(array_fill(0, 10, Fraction::of(8, 10)), fn (Fraction $sum, Fraction $each) => $sum->plus($each), Fraction::zero());
        self::assertLessThan(8.0, array_sum(array_fill(0, 10, 0.8)));
        $facts = ['adherence' => $eight->over(10)] + self::GOOD;
        self::assertSame(ProposalKind::StepUp, Proposal::for(new ProposalFacts(...$facts))->kind);
        for ($of = 1; $of <= 60; $of++) {
            for ($n = 0; $n <= $of; $n++) {
                $smooth = [...array_fill(0, $n, true), ...array_fill(0, $of - $n, false)];
                $proposal = Proposal::for(new ProposalFacts(...['practices' => $of, 'days' => 30, 'smooth' => $smooth, 'efforts' => array_fill(0, $of, 2), 'ratings' => array_fill(0, $of, [5, 4]), 'adherence' => Fraction::of(1)] + self::GOOD));
                $expected = match (true) {
                    $of >= 4 && 2 * $n < $of => 'step-back', $of < 6 => 'too-early', 10 * $n >= 8 * $of => 'step-up', default => 'stay',
                };
                self::assertSame($expected, $proposal->kind->value, "$n of $of");
            }
        }
    }

    /** @param  array<string, mixed>  $with */
    private function propose(array $with): Proposal
    {
        $facts = $with + self::GOOD;
        $facts['adherence'] = $facts['adherence'] === null ? null : Fraction::near($facts['adherence']);

        /** @phpstan-ignore argument.type */
        return Proposal::for(new ProposalFacts(...$facts));
    }
}
