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
use IvoryPace\Exercise\Recipe;
use IvoryPace\Exercise\Recipes\CountedSet;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Teaching;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\StopSymptom;

/** Counted breathing with the exhale longer than the inhale. Defaults, criteria and ladders are common practice. */
final class LongerExhale
{
    private const LYING_FIRST = [
        Position::Supine, Position::SupineKneesBent, Position::Reclined, Position::SideLying, Position::Seated,
        Position::SeatedForward, Position::Standing, Position::StandingAtWall, Position::Kneeling,
    ];

    private const SITTING_FIRST = [
        Position::Seated, Position::SeatedForward, Position::Reclined, Position::Supine, Position::SupineKneesBent,
        Position::SideLying, Position::Standing,
    ];

    private const STOPS = [StopSymptom::Dizziness, StopSymptom::Breathlessness, StopSymptom::Panic];

    /** @return list<Technique> */
    public static function techniques(): array
    {
        $upright = Climb::positions(Position::Supine, Position::Reclined, Position::Seated, Position::Standing);

        return [
            self::make(
                'extended-exhale', 'Extended exhale', 'A small inhale and an unhurried, longer exhale, counted.',
                '4:0:5:1', 12, self::LYING_FIRST, [Route::Nose, Route::PursedLips, Route::SoftOpenMouth],
                Teaching::of(
                    'extended-exhale', [Purpose::Settling, Purpose::Learning, Purpose::Sleep], ['waking', 'breaks', 'lights-out'],
                    ['chest-quiet', 'unhurried'], ['squeezing'], ['heavy', 'yawning'], self::STOPS,
                ),
                [Climb::growing(8, Phase::Exhale), $upright, Climb::repeats(12, 15, 18)],
            ),
            self::make(
                'double-exhale', 'Exhale twice the inhale', 'Out by the mouth for twice as long as in, at the patient’s own speed.',
                '2:4', 6, self::SITTING_FIRST, [Route::Mouth, Route::PursedLips, Route::Nose],
                Teaching::of(
                    'double-exhale', [Purpose::Settling, Purpose::Pressure, Purpose::Breathlessness], ['anytime'], ['own-speed'],
                    ['copying'], ['heavy'], self::STOPS,
                ),
                [Climb::scaled(2, 3, 4), Climb::repeats(6, 8, 10)],
            ),
            self::make(
                'long-exhale', 'Long exhale, seated',
                'Silent, by the nose, both counted down; then two minutes of hand check without a count.',
                '5:8', 6, [Position::Seated, Position::SeatedForward, Position::Reclined], [Route::Nose],
                Teaching::of(
                    'long-exhale', [Purpose::Settling, Purpose::Attention], ['evening'], ['silent'], ['throat'], ['heavy', 'warmth'],
                    self::STOPS, ['hands', 'which-moves'],
                ),
                [Climb::repeats(6, 8, 10, 12), Climb::growing(10, Phase::Exhale)],
                countIn: Counting::Down, demands: [Demand::LooksInward],
                parameters: [new Parameter('free', 'min of hand check without a count, after it', 2, 0, 10, 0.5)],
            ),
            self::make(
                'pursed-exhale', 'Pursed-lip exhale', 'In by the nose, a short pause, out through pursed lips.',
                '2:1:4', 10,
                [Position::Supine, Position::Reclined, Position::SideLying, Position::Seated, Position::SeatedForward, Position::Standing],
                [Route::PursedLips],
                Teaching::of(
                    'pursed-exhale', [Purpose::Breathlessness, Purpose::Moving], ['anytime', 'when-needed'], ['top-hand-quiet'],
                    ['puffed-cheeks'], ['cough'], self::STOPS,
                ),
                [Climb::growing(6, Phase::Inhale, Phase::Exhale, Phase::Exhale), $upright],
                recipe: new CountedSet([Phase::Hold->value => 'cue.how.purse']), hasOwnRoute: true,
            ),
            self::make(
                'soft-exhale', 'Soft-stream exhale', 'Out through a softly open mouth, in a thin even stream.',
                '4:6', 8, self::SITTING_FIRST, [Route::SoftOpenMouth],
                Teaching::of(
                    'soft-exhale', [Purpose::Settling, Purpose::Pressure], ['anytime'], ['stream-even'], ['blowing'], ['dry-lips'],
                    self::STOPS,
                ),
                [Climb::growing(9, Phase::Exhale), Climb::repeats(8, 10, 12)],
                recipe: new CountedSet([Phase::Exhale->value => 'cue.how.stream']), hasOwnRoute: true,
            ),
        ];
    }

    /**
     * @param  list<Position>  $positions
     * @param  list<Route>  $routesOut
     * @param  list<Climb>  $climbs
     * @param  list<Demand>  $demands
     * @param  list<Parameter>  $parameters
     */
    private static function make(
        string $key, string $name, string $about, string $ratio, int $breaths, array $positions, array $routesOut,
        Teaching $teaching, array $climbs, Recipe $recipe = new CountedSet, Counting $countIn = Counting::Up, array $demands = [],
        array $parameters = [], bool $hasOwnRoute = false,
    ): Technique {
        return new Technique(
            key: $key, name: $name, about: $about, recipe: $recipe, length: Length::Breaths, teaching: $teaching, positions: $positions,
            routesOut: $routesOut, hands: Hands::ChestAndBelly, ratio: $ratio, breaths: $breaths, timesADay: 3,
            props: [$positions[0]->isLying() ? Prop::PillowUnderHead : Prop::ChairWithBack],
            climbs: $climbs, short: ['breaths' => max(3, intdiv($breaths, 2))], countIn: $countIn, demands: $demands,
            parameters: $parameters, hasOwnRoute: $hasOwnRoute, starts: Start::cases(),
        );
    }
}
