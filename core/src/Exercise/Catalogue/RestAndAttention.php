<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Catalogue;

use IvoryPace\Breath\CueKind;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Ladder\Climb;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Exercise\Recipe;
use IvoryPace\Exercise\Recipes\BodyScan;
use IvoryPace\Exercise\Recipes\ForwardLean;
use IvoryPace\Exercise\Recipes\ReverseCount;
use IvoryPace\Exercise\Recipes\RoundsWithRetention;
use IvoryPace\Exercise\Recipes\TenseAndLetGo;
use IvoryPace\Exercise\Recipes\Uncounted;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Teaching;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\StopSymptom;

/** Rounds, rest and attention. Defaults, criteria and ladders are common practice. */
final class RestAndAttention
{
    private const ANYWHERE = [
        Position::Supine, Position::SupineKneesBent, Position::Reclined, Position::SideLying, Position::Seated,
    ];

    private const SEATED = [
        Position::Seated, Position::Reclined, Position::Standing, Position::Supine, Position::SupineKneesBent, Position::SideLying,
    ];

    private const STOPS = [StopSymptom::Unreal, StopSymptom::Panic];

    /** @return list<Technique> */
    public static function techniques(): array
    {
        return [
            self::roundsRetention(),
            self::free(
                'tense-release', 'Tense and let go', 'Muscle groups tensed for three counts and let go; gentle breathing between.',
                new TenseAndLetGo, Length::Derived, null, 1,
                self::ANYWHERE, [Prop::PillowUnderHead], Hands::BesideYou,
                Teaching::of(
                    'tense-release', [Purpose::Sleep, Purpose::Settling], ['lights-out', 'waking'], ['difference'],
                    ['too-hard', 'holding-breath'], ['heavy', 'warmth'], [StopSymptom::Cramp, StopSymptom::Dizziness],
                ),
                [Climb::parameter('groups', 3, 4, 5, 6)],
                [
                    new Parameter('groups', 'muscle groups', 3, 1, 6), new Parameter('times', 'times each', 3, 1, 5),
                    new Parameter('tense', 'counts tense', 3, 2, 6),
                    ...array_map(
                        fn (int $group) => new Parameter("times-$group", "times group $group; 0 as the first", 0, 0, 5), range(2, 6),
                    ),
                ],
                ['parameters' => ['groups' => 2, 'times' => 2]], [Demand::Tenses],
            ),
            self::free(
                'body-scan', 'Body scan', 'The attention goes through the body, region by region.', new BodyScan, Length::Derived, null, 1,
                self::ANYWHERE, [Prop::PillowUnderHead, Prop::Blanket], Hands::BesideYou,
                Teaching::of(
                    'body-scan', [Purpose::Sleep, Purpose::Attention], ['lights-out', 'evening'], ['moves-on'], ['forcing'],
                    ['heavy', 'drowsy', 'restless'], self::STOPS,
                ),
                [Climb::parameter('seconds', 3, 4, 5)],
                [
                    new Parameter('seconds', 's a part', 3, 2, 8, 0.5),
                    Parameter::choice('list', 'through the body', [
                        1 => 'groups, feet to head', 2 => 'ninety parts, crown to toes', 3 => 'ninety parts, crown to toes, in pairs',
                        4 => 'feet first, one leg before the other',
                    ]),
                    Parameter::choice('let-go', 'with each part', [1 => 'the part is named', 2 => 'named, with “let go”']),
                ],
                ['parameters' => ['list' => 1, 'seconds' => 2]], [Demand::ScansBody, Demand::LooksInward],
            ),
            self::free(
                'reverse-count', 'Counting down', 'One number a second down to 0; the breath goes its own way.', new ReverseCount,
                Length::Derived, null, 2,
                self::SEATED, [Prop::ChairWithBack], Hands::InTheLap,
                Teaching::of(
                    'reverse-count', [Purpose::Attention, Purpose::Pressure, Purpose::Sleep], ['breaks', 'lights-out'], ['one-by-one'],
                    ['speeding-up'], ['restless'], self::STOPS,
                ),
                [Climb::parameter('from', 30, 40, 50, 60, 120)], [new Parameter('from', 'to count down from', 30, 10, 120, 10)],
                ['parameters' => ['from' => 20]],
            ),
            self::free(
                'noticing', 'Noticing the breath', 'Watching without changing anything: pace, evenness, route, what moves.',
                new Uncounted(CueKind::Listen), Length::Minutes, 1.5, 1,
                self::SEATED, [Prop::ChairWithBack], Hands::AsYouLike,
                Teaching::of(
                    'noticing', [Purpose::Attention, Purpose::Learning], ['anytime'], ['nothing-changed'], ['steering'],
                    ['restless', 'odd-at-first'], self::STOPS, ['pace', 'evenness', 'route', 'what-moves'],
                ),
                [], [], ['minutes' => 0.5], [Demand::LooksInward],
            ),
            self::forwardLean(),
            self::free(
                'neck-release', 'Neck release', 'Slow head turns and small nods on a folded support; before breathing practice.',
                new Uncounted(CueKind::Move, 10_000), Length::Minutes, 2.0, 1,
                [Position::Supine, Position::SupineKneesBent, Position::Seated], [Prop::PillowUnderHead], Hands::BothOnBelly,
                Teaching::of(
                    'neck-release', [Purpose::Trunk, Purpose::Settling], ['anytime'], ['small-slow'], ['into-pain'], ['stretch'],
                    [StopSymptom::Dizziness, StopSymptom::Tingling], ['right', 'middle', 'left', 'middle', 'nod', 'long-neck'],
                ),
                [], [], ['minutes' => 1.0], [Demand::TurnsHead],
            ),
            self::free(
                'shoulder-rolls', 'Shoulder rolls with the breath',
                'Up on the way in, back and down on the way out; before breathing practice.', new Uncounted(CueKind::Move, 5_000),
                Length::Minutes, 2.0, 1,
                [Position::Seated, Position::Standing], [Prop::ChairWithBack], Hands::Hang,
                Teaching::of(
                    'shoulder-rolls', [Purpose::Trunk, Purpose::Moving], ['breaks'], ['with-breath'], ['jerking'], ['warmth'],
                    [StopSymptom::Dizziness], ['up', 'down'],
                ),
                [], [], ['minutes' => 1.0], [Demand::RollsShoulders],
            ),
        ];
    }

    private static function roundsRetention(): Technique
    {
        return new Technique(
            key: 'rounds-retention',
            name: 'Rounds with a retention',
            about: 'A set, one more inhale, most of it out, then a retention that is counted down, and the release. Screened most '
                .'strictly.',
            recipe: new RoundsWithRetention,
            length: Length::Breaths,
            teaching: Teaching::of(
                'rounds-retention', [Purpose::Attention], ['waking'], ['no-strain', 'belly-then-chest'],
                ['pushing-retention', 'fast-breaths'], ['warmth', 'light-at-first'],
                [StopSymptom::Dizziness, StopSymptom::Tingling, StopSymptom::Breathlessness, StopSymptom::Panic],
            ),
            positions: [Position::Supine, Position::SupineKneesBent, Position::Reclined],
            routesOut: [Route::Nose, Route::SoftOpenMouth],
            hands: Hands::ChestAndBelly,
            ratio: '5:5',
            breaths: 20,
            props: [Prop::PillowUnderHead, Prop::PillowUnderKnees],
            parameters: [
                new Parameter('rounds', 'rounds', 2, 1, 5),
                new Parameter('retention', 's retention', 15, 5, 90, 5),
                Parameter::choice('retention-ends', 'how the retention ends', [
                    1 => 'counted down', 2 => 'on a tap, after that long at the latest',
                ]),
            ],
            effort: Effort::Full,
            efforts: [Effort::Full, Effort::Gentle],
            climbs: [Climb::repeats(20, 25, 30), Climb::parameter('rounds', 2, 3, 4, 5), Climb::parameter('retention', 15, 30, 45, 60)],
            short: ['breaths' => 10, 'parameters' => ['rounds' => 1, 'retention' => 15]],
            starts: Start::cases(),
        );
    }

    private static function forwardLean(): Technique
    {
        return new Technique(
            key: 'forward-lean',
            name: 'Forward-lean recovery',
            about: 'For sudden breathlessness: lean forward, out through the lips first, then a gentle inhale by the nose, until breath is '
                .'back.',
            recipe: new ForwardLean,
            length: Length::Derived,
            teaching: Teaching::of(
                'forward-lean', [Purpose::Breathlessness], ['when-needed'], ['out-first', 'shoulders-supported'], ['big-inhale'],
                ['slow-return'], [StopSymptom::Breathlessness, StopSymptom::Dizziness],
            ),
            positions: [Position::SeatedForward, Position::FacingWall, Position::StandingAtWall],
            routesOut: [Route::PursedLips],
            hasOwnRoute: true,
            onlyIn: [Route::Nose],
            hands: Hands::ElbowsOnKnees,
            timesADay: 10,
            efforts: [Effort::Gentle],
            openExhale: true,
            isRecovery: true,
        );
    }

    /**
     * @param  list<Position>  $positions
     * @param  list<Prop>  $props
     * @param  list<Climb>  $climbs
     * @param  list<Parameter>  $parameters
     * @param  array<string, mixed>  $short
     * @param  list<Demand>  $demands
     */
    private static function free(
        string $key, string $name, string $about, Recipe $recipe, Length $length, ?float $minutes, int $timesADay, array $positions,
        array $props, Hands $hands,
        Teaching $teaching, array $climbs, array $parameters, array $short, array $demands = [],
    ): Technique {
        return new Technique(
            key: $key, name: $name, about: $about, recipe: $recipe, length: $length, teaching: $teaching, positions: $positions,
            routesOut: [Route::Nose, Route::PursedLips], hands: $hands, bells: 1, minutes: $minutes, timesADay: $timesADay,
            props: $props,
            parameters: $parameters, efforts: [Effort::Gentle], climbs: $climbs, short: $short, demands: $demands,
            // The shoulders move with the breath; all the others leave it alone.
            hasFreeBreath: ! in_array(Demand::RollsShoulders, $demands, true),
        );
    }
}
