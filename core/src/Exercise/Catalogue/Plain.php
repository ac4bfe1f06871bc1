<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Catalogue;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Ladder\Climb;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Exercise\Recipes\CountedSet;
use IvoryPace\Exercise\Recipes\GrowingEven;
use IvoryPace\Exercise\Recipes\SteppedSoft;
use IvoryPace\Exercise\Recipes\Uncounted;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Teaching;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\StopSymptom;

/** Low and even breathing. Defaults, criteria and ladders are common practice. */
final class Plain
{
    private const MOST_LENGTHS = 7;

    /** @return list<Technique> */
    public static function techniques(): array
    {
        return [self::diaphragmatic(), self::even(), self::steppedEven(), self::own()];
    }

    private static function diaphragmatic(): Technique
    {
        return new Technique(
            key: 'diaphragmatic',
            name: 'Diaphragmatic breathing',
            about: 'Uncounted, low and small, with a hand on the belly and one on the upper chest.',
            recipe: new Uncounted,
            length: Length::Minutes,
            teaching: Teaching::of(
                'diaphragmatic', [Purpose::Learning, Purpose::Settling, Purpose::Breathlessness], ['waking', 'breaks', 'lights-out'],
                ['belly-first', 'chest-quiet', 'shoulders-low'], ['big-breaths', 'lifted-shoulders', 'pushing-out'],
                ['heavy', 'yawning', 'odd-at-first'], [StopSymptom::Dizziness, StopSymptom::Panic],
                ['belly-hand', 'chest-hand', 'shoulders', 'size'],
            ),
            positions: [
                Position::SupineKneesBent, Position::Supine, Position::Reclined, Position::SideLying, Position::Seated,
                Position::Kneeling, Position::Standing, Position::HandsAndKnees, Position::ChildsPose, Position::Walking,
            ],
            routesOut: [Route::Nose, Route::PursedLips, Route::SoftOpenMouth],
            hands: Hands::ChestAndBelly,
            minutes: 3.0,
            timesADay: 2,
            demands: [Demand::LooksInward],
            bells: 1,
            props: [Prop::PillowUnderHead],
            climbs: [
                Climb::positions(Position::SupineKneesBent, Position::Reclined, Position::Seated, Position::Standing, Position::Walking),
                Climb::minutes(3, 4, 5),
            ],
            short: ['minutes' => 1.0],
        );
    }

    private static function even(): Technique
    {
        return new Technique(
            key: 'even',
            name: 'Even counted breathing',
            about: 'In and out equally long, up on the way in and down on the way out; then a count more, to where it stays smooth.',
            recipe: new GrowingEven,
            length: Length::Breaths,
            teaching: Teaching::of(
                'even', [Purpose::Learning, Purpose::Settling, Purpose::Attention], ['anytime'], ['smooth'], ['chasing'],
                ['heavy', 'yawning'], [StopSymptom::Dizziness, StopSymptom::Breathlessness],
            ),
            positions: [
                Position::Seated, Position::Supine, Position::SupineKneesBent, Position::Reclined, Position::SideLying, Position::Standing,
            ],
            routesOut: [Route::Nose, Route::PursedLips],
            hands: Hands::AsYouLike,
            ratio: '4:4',
            breaths: 5,
            timesADay: 2,
            props: [Prop::ChairWithBack],
            starts: Start::cases(),
            parameters: [
                new Parameter('steps', 'lengths, each a count more', 2, 1, self::MOST_LENGTHS),
                ...array_map(
                    fn (int $length) => new Parameter("breaths-$length", "breaths at length $length; 0 as at the first", 0, 0, 30),
                    range(2, self::MOST_LENGTHS),
                ),
            ],
            climbs: [Climb::growing(10, Phase::Inhale, Phase::Exhale), Climb::repeats(5, 8, 10)],
            short: ['breaths' => 3, 'parameters' => ['steps' => 1]],
            easier: ['ratio' => '2:2'],
        );
    }

    private static function steppedEven(): Technique
    {
        return new Technique(
            key: 'stepped-even',
            name: 'Stepped even breathing',
            about: 'Even breaths that lengthen by steps, with soft pauses, between two bells.',
            recipe: new SteppedSoft,
            length: Length::Derived,
            teaching: Teaching::of(
                'stepped-even', [Purpose::Attention, Purpose::Settling], ['waking', 'evening'], ['noted'], ['trying'],
                ['heavy', 'restless'], [StopSymptom::Breathlessness, StopSymptom::Panic],
            ),
            positions: [Position::Seated, Position::Kneeling, Position::Supine, Position::Reclined],
            routesOut: [Route::Nose],
            hands: Hands::InTheLap,
            props: [Prop::ChairWithBack],
            parameters: [
                new Parameter('start', 'counts in the first step', 3, 2, 8),
                new Parameter('top', 'counts in the last step', 5, 2, 10),
                new Parameter('pause', 's soft pause', 2, 0, 5, 0.5),
            ],
            climbs: [Climb::parameter('top', 5, 6, 7, 8), Climb::parameter('start', 3, 4, 5)],
            short: ['parameters' => ['start' => 3, 'top' => 3]],
            countOut: Counting::Up,
            starts: Start::cases(),
            bells: 1,
        );
    }

    private static function own(): Technique
    {
        return new Technique(
            key: 'own',
            name: 'A counted breath of the clinic’s own',
            about: 'Any ratio, under a name and with a criterion that the clinic gives it.',
            recipe: new CountedSet,
            length: Length::Breaths,
            teaching: Teaching::of(
                'own', [Purpose::Settling], ['anytime'], ['as-agreed'], ['chasing'], ['heavy'],
                [StopSymptom::Dizziness, StopSymptom::Breathlessness, StopSymptom::Panic],
            ),
            positions: [
                Position::Seated, Position::SeatedForward, Position::Reclined, Position::Supine, Position::SupineKneesBent,
                Position::SideLying, Position::Standing, Position::StandingAtWall, Position::Kneeling,
            ],
            routesOut: [Route::Nose, Route::Mouth, Route::PursedLips, Route::SoftOpenMouth],
            hands: Hands::AsYouLike,
            ratio: '4:6',
            breaths: 8,
            timesADay: 2,
            climbs: [Climb::repeats(8, 10, 12), Climb::counts(1.0, 1.1, 1.2)],
            short: ['breaths' => 4],
            starts: Start::cases(),
            isOwn: true,
        );
    }
}
