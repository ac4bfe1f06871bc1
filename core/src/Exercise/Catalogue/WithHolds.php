<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Catalogue;

use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Ladder\Climb;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Exercise\Recipe;
use IvoryPace\Exercise\Recipes\AlternateNostril;
use IvoryPace\Exercise\Recipes\CountedSet;
use IvoryPace\Exercise\Recipes\Walking;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Teaching;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\StopSymptom;

/**
 * Counted breathing with holds, top-ups, sides or steps. Defaults, criteria and ladders are common practice unless a
 * source is named.
 */
final class WithHolds
{
    private const ANY = [
        Position::Seated, Position::Standing, Position::Reclined, Position::Supine, Position::SupineKneesBent, Position::SideLying,
    ];

    private const STOPS = [StopSymptom::Dizziness, StopSymptom::Tingling, StopSymptom::Breathlessness, StopSymptom::Panic];

    /** @return list<Technique> */
    public static function techniques(): array
    {
        return [
            self::make(
                'in-hold-out', 'Inhale, hold, exhale', 'After slow shoulder rolls; the hold is soft.', '4:5:5', 5, 2,
                [
                    Position::Standing, Position::Seated, Position::Reclined, Position::Supine, Position::SupineKneesBent,
                    Position::SideLying,
                ], [Route::Nose, Route::Mouth],
                Teaching::of(
                    'in-hold-out', [Purpose::Pressure, Purpose::Attention], ['breaks'], ['soft-hold'], ['locking'],
                    ['warmth', 'light-at-first'], self::STOPS,
                ),
                new CountedSet(
                    [Phase::Hold->value => 'cue.how.softly'],
                    prelude: ['cue.move.shoulders-back', 'cue.move.shoulders-forward', 'cue.move.arms-hang'],
                ),
                [Climb::growing(8, Phase::Inhale, Phase::Hold, Phase::Exhale), Climb::repeats(4, 5, 6)],
                demands: [Demand::RollsShoulders],
                parameters: [
                    Parameter::choice('prelude', 'before the first breath', [1 => 'shoulder rolls first', 2 => 'no shoulder rolls']),
                ],
            ),
            self::make(
                'three-part', 'Three, three, six', 'In three, hold three, out six, lying with hands on chest and belly.', '3:3:6', 8, 1,
                [Position::Supine, Position::SupineKneesBent, Position::SideLying, Position::Reclined, Position::Seated],
                [Route::Nose, Route::Mouth],
                Teaching::of(
                    'three-part', [Purpose::Sleep, Purpose::Settling], ['lights-out'], ['heavier'], ['counting-hard'], ['heavy', 'yawning'],
                    self::STOPS,
                ),
                new CountedSet([Phase::Exhale->value => 'cue.how.let-sink']), [Climb::scaled(3, 4), Climb::repeats(8, 10, 12)],
                hands: Hands::ChestAndBelly,
            ),
            self::fourSevenEight(),
            self::make(
                'square', 'Square breathing', 'Four equal sides, spine long.', '4:4:4:4', 5, 2,
                self::ANY, [Route::Nose, Route::Mouth],
                Teaching::of(
                    'square', [Purpose::Pressure, Purpose::Attention], ['breaks', 'when-needed'], ['equal'], ['last-side'], ['warmth'],
                    self::STOPS,
                ),
                new CountedSet([Phase::Rest->value => 'cue.how.fourth-side']), [Climb::scaled(3, 4, 5), Climb::repeats(5, 8, 10)],
                easier: ['ratio' => '3:3:3:3'],
            ),
            // Balban et al., Cell Reports Medicine 2023;4:100895, from memory, for five minutes a day.
            self::make(
                'double-inhale', 'Double inhale, long exhale', 'A catch, a small second inhale on top, then a long exhale by the mouth.',
                '2+1:6', 3, 1,
                self::ANY, [Route::Mouth, Route::PursedLips],
                Teaching::of(
                    'double-inhale', [Purpose::Pressure, Purpose::Settling], ['when-needed', 'anytime'], ['small-quick'], ['fast'],
                    ['sigh', 'light-at-first'], self::STOPS,
                ),
                // 7, 13, 20, 26 and 33 breaths of 9 s are the most that fit into 1 to 5 minutes: arithmetic.
                new CountedSet(catch: 0.5), [Climb::repeats(7, 13, 20, 26, 33)],
            ),
            self::make(
                'alternate-nostril', 'Alternate nostril', 'A round: in left, out right, in right, out left.', '5:8', 5, 1,
                [Position::Seated, Position::Kneeling], [Route::Nose],
                Teaching::of(
                    'alternate-nostril', [Purpose::Settling, Purpose::Attention], ['waking', 'evening'], ['longer-out'], ['order'],
                    ['heavy', 'one-side-narrower'], self::STOPS,
                ),
                new AlternateNostril, [Climb::repeats(5, 10, 15, 20), Climb::growing(10, Phase::Inhale, Phase::Exhale)],
                length: Length::Rounds, demands: [Demand::ClosesNostril], hands: Hands::FoldTwoFingers, hasOwnOrder: true,
            ),
            self::make(
                'walking', 'Breathing paced by steps', 'A count is a step; able to talk all the time.', '3:4', 40, 1,
                [Position::Walking], [Route::PursedLips, Route::Nose],
                Teaching::of(
                    'walking', [Purpose::Moving, Purpose::Breathlessness], ['anytime'], ['able-to-talk'], ['hurrying'],
                    ['warmth', 'deeper-breath'], self::STOPS,
                ),
                new Walking, [Climb::repeats(40, 60, 80, 120), Climb::growing(6, Phase::Exhale)], count: 0.6, hands: Hands::Swing,
                hasOwnOrder: true,
                easier: ['ratio' => '2:3'],
            ),
        ];
    }

    private static function fourSevenEight(): Technique
    {
        return self::make(
            'four-seven-eight', '4:7:8',
            'Empty first; tongue tip behind the upper front teeth; the proportions matter more than the seconds.', '4:7:8', 4, 3,
            self::ANY, [Route::Mouth, Route::PursedLips],
            Teaching::of(
                'four-seven-eight', [Purpose::Sleep, Purpose::Pressure], ['lights-out', 'anytime'], ['tongue', 'proportions'],
                ['tongue-drops', 'throat-locks'], ['light-at-first', 'heavy'], self::STOPS,
            ),
            new CountedSet([
                Phase::Inhale->value => 'cue.how.quietly', Phase::Hold->value => 'cue.how.tongue-up',
                Phase::Exhale->value => 'cue.how.with-a-sound',
            ]),
            // Four breaths for 28 days first, then one more a week while all is calm; the cap is 8, in another school 10.
            [Climb::repeats(4, 5, 6, 7, 8)->after(28, 7, calm: 14)],
            schoolClimbs: [School::RatioPractice->value => [
                Climb::repeats(4, 5, 6, 7, 8, 9, 10)->after(28, 7, calm: 14), Climb::counts(1.0, 1.05),
            ]],
            easier: ['ratio' => '4:6:5'], start: Start::Empty,
        );
    }

    /**
     * @param  list<Position>  $positions
     * @param  list<Route>  $routesOut
     * @param  list<Climb>  $climbs
     * @param  array<string, list<Climb>>  $schoolClimbs
     * @param  array<string, mixed>  $easier
     * @param  list<Demand>  $demands
     * @param  list<Parameter>  $parameters
     * @param  bool  $hasOwnOrder  it can only begin with the inhale
     */
    private static function make(
        string $key, string $name, string $about, string $ratio, int $breaths, int $timesADay, array $positions, array $routesOut,
        Teaching $teaching, Recipe $recipe, array $climbs, Length $length = Length::Breaths, float $count = 1.0, array $demands = [],
        Hands $hands = Hands::AsYouLike, array $schoolClimbs = [], array $easier = [], array $parameters = [],
        Start $start = Start::Inhale, bool $hasOwnOrder = false,
    ): Technique {
        $folds = $hands === Hands::FoldTwoFingers;

        return new Technique(
            key: $key, name: $name, about: $about, recipe: $recipe, length: $length, teaching: $teaching, positions: $positions,
            routesOut: $routesOut, hands: $hands, ratio: $ratio, breaths: $breaths, timesADay: $timesADay,
            props: $positions[0] === Position::Seated ? [Prop::ChairWithBack] : [], count: $count, climbs: $climbs,
            schoolClimbs: $schoolClimbs,
            short: ['breaths' => max(1, intdiv($breaths, 2))], easier: $easier, demands: $demands, parameters: $parameters,
            onlyHands: $folds ? [$hands] : [], hasOwnRoute: $folds, onlyIn: $folds ? [Route::Nose] : [], start: $start,
            starts: $hasOwnOrder ? [Start::Inhale] : Start::cases(),
        );
    }
}
