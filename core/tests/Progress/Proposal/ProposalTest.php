<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress\Proposal;

use IvoryPace\InvalidValue;
use IvoryPace\Progress\Proposal\Proposal;
use IvoryPace\Progress\Proposal\ProposalFacts;
use IvoryPace\Progress\Proposal\ProposalKind;
use IvoryPace\Progress\Proposal\ReliablyWorse;
use IvoryPace\Progress\Proposal\Thresholds;
use IvoryPace\Session\Decision;
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
        yield 'easy enough' => [['efforts' => [3, 3, 3, 3]], 'step-up', ['efforts' => [3, 3, 4, 4]], 'stay'];
        yield 'symptom no worse' => [['ratings' => [[5, 5], [5, 5], [5, 5], [5, 5], [5, 5], [5, 5], [5, 5], [5, 6], [5, 6], [5, 6]]], 'step-up', ['ratings' => [[5, 5], [5, 5], [5, 6], [5, 6]]], 'stay'];
        yield 'symptom rated too rarely' => [['ratings' => [[5, 4], [5, 4], [5, 4], [5, 4]]], 'step-up', ['ratings' => [[5, 4], [5, 4], [5, 4]]], 'stay'];
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
        self::assertStringContainsString('Smooth in 0 % of all practices, below 80 %; effort rated 0 times only; symptom rated before and after 0 times only.', $this->propose(['efforts' => [], 'smooth' => [], 'ratings' => []])->because);
        self::assertSame(ProposalKind::TooEarly, Proposal::for(new ProposalFacts)->kind, 'a patient with no data');
    }

    public function test_a_share_just_below_its_mark_is_not_rounded_up_to_it(): void
    {
        self::assertStringContainsString('79 % practised, below 80 %', $this->propose(['adherence' => 0.7999])->because);
        self::assertStringContainsString('97 % practised', $this->propose(['adherence' => 0.968])->because);
    }

    public function test_a_clinic_sets_its_own_thresholds_and_contradictions_are_refused(): void
    {
        self::assertSame(ProposalKind::Stay, Proposal::for(new ProposalFacts(...self::GOOD), new Thresholds(highAdherence: 0.9))->kind);
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
            self::assertSame($kind === ProposalKind::Look ? 0 : 1, min(1, count($following)), $kind->value);
        }
    }

    public function test_a_rating_is_reliably_worse_by_its_medians_and_its_trend(): void
    {
        $rising = array_map(fn (int $day) => 3 + $day / 7, range(0, 20));
        self::assertSame(['then' => 3 + 3 / 7, 'now' => 3 + 17 / 7], ReliablyWorse::of($rising));
        self::assertNull(ReliablyWorse::of(array_reverse($rising)));
        self::assertNull(ReliablyWorse::of(array_map(fn (int $day) => 3 + $day / 12, range(0, 20))), 'less than two points');
        self::assertNull(ReliablyWorse::of(array_fill(0, 13, 9)), 'too few days');
        // Two points higher at the end, but up and down in between: the interval holds 0.
        self::assertNull(ReliablyWorse::of([3, 3, 3, 3, 3, 3, 3, 9, 0, 9, 0, 9, 0, 9, 0, 5, 5, 5, 5, 0, 0]));
    }

    /** @param  array<string, mixed>  $with */
    private function propose(array $with): Proposal
    {
        /** @phpstan-ignore argument.type */
        return Proposal::for(new ProposalFacts(...($with + self::GOOD)));
    }
}
