<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Catalogue;

use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Ladder\Climb;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Exercise\Recipes\CompleteExhale;
use IvoryPace\Exercise\Recipes\OpenHum;
use IvoryPace\Exercise\Recipes\PassiveThenHum;
use IvoryPace\Exercise\Recipes\Uncounted;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Teaching;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\StopSymptom;

/** Breathing with sound, against a weight, the floor or the hands. Defaults, criteria and ladders are common practice. */
final class WeightAndShape
{
    private const STOPS = [StopSymptom::Dizziness, StopSymptom::Breathlessness];

    /** @return list<Technique> */
    public static function techniques(): array
    {
        return [
            self::humming(),
            self::uncounted(
                'weight-on-belly', 'Weight on the belly', 'A block or thick book on the belly, watched as it rises and sinks.', 4.0,
                [Position::Supine, Position::SupineKneesBent], Hands::BesideYou,
                Teaching::of(
                    'weight-on-belly', [Purpose::Learning, Purpose::Sleep], ['waking', 'evening'], ['rises-and-sinks', 'slows'],
                    ['pushed-up'], ['heavy', 'warmth'], self::STOPS, ['watch', 'sinks', 'by-itself'],
                ),
                [Climb::minutes(3, 4, 5), Climb::parameter('weight', 0.5, 1, 1.5, 2)],
                [new Parameter('weight', 'kg on the belly', 1, 0.5, 2, 0.05)],
            ),
            self::uncounted(
                'prone', 'Prone breathing', 'Face down, forehead on the hands; the belly meets the floor, the low back rises.', 2.5,
                [Position::Prone], Hands::UnderForehead,
                Teaching::of(
                    'prone', [Purpose::Trunk, Purpose::Learning], ['anytime'], ['trunk-widens'], ['neck-twisted'], ['warmth', 'stretch'],
                    self::STOPS, ['belly-floor', 'low-back', 'sides'],
                ),
                [Climb::minutes(2, 2.5, 3, 4)],
            ),
            self::ribRelease(),
            self::fullExhale(),
            self::uncounted(
                'ribs-down', 'Ribs down, supine',
                'The lower ribs stay heavy while the breath goes low; the natural curve of the low back stays.', 3.0,
                [Position::SupineKneesBent], Hands::LowerRibs,
                Teaching::of(
                    'ribs-down', [Purpose::Trunk], ['anytime'], ['pelvis-still', 'curve-stays'], ['back-pressed'], ['heavy'], self::STOPS,
                    ['ribs-heavy', 'thin-gap', 'low'],
                ),
                [Climb::minutes(3, 4, 5)],
            ),
        ];
    }

    private static function humming(): Technique
    {
        return new Technique(
            key: 'humming',
            name: 'Humming exhale',
            about: 'In by the nose, then a hum as long as is comfortable, lips together, teeth apart. Its length is measured.',
            recipe: new OpenHum,
            length: Length::Breaths,
            teaching: Teaching::of(
                'humming', [Purpose::Settling, Purpose::Sleep], ['evening', 'lights-out'], ['vibration', 'longer-out'], ['to-the-last'],
                ['buzzing', 'heavy'], self::STOPS,
            ),
            positions: [Position::SupineKneesBent, Position::Supine, Position::FoldedForward, Position::Reclined, Position::Seated],
            routesOut: [Route::Hum],
            hasOwnRoute: true,
            moreHands: [Hands::EarsClosed],
            starts: Start::cases(),
            hands: Hands::ChestAndBelly,
            breaths: 5,
            timesADay: 2,
            props: [Prop::PillowUnderKnees],
            parameters: [
                new Parameter('inhale', 'counts in', 4, 2, 8), new Parameter('hum', 'counts of hum; 0 as long as comfortable', 0, 0, 20),
            ],
            climbs: [Climb::repeats(5, 6, 8, 10)],
            short: ['breaths' => 3],
            openExhale: true,
        );
    }

    private static function ribRelease(): Technique
    {
        return new Technique(
            key: 'rib-release',
            name: 'Passive exhale, then hum out the remainder',
            about: 'In into the hands on the lower ribs; a passive exhale by the nose to the resting level; then hum out what is left.',
            recipe: new PassiveThenHum,
            length: Length::Breaths,
            teaching: Teaching::of(
                'rib-release', [Purpose::Trunk], ['anytime'], ['widen-and-return'], ['shoulders-rise', 'passive-pushed'],
                ['buzzing', 'stretch'], self::STOPS,
            ),
            positions: [Position::Seated, Position::Standing],
            routesOut: [Route::Hum],
            hands: Hands::PressLowerRibs,
            breaths: 4,
            timesADay: 2,
            props: [Prop::ChairWithBack],
            parameters: [
                new Parameter('inhale', 'counts in', 4, 2, 6), new Parameter('hum', 'counts of hum; 0 as long as comfortable', 0, 0, 12),
            ],
            // What is hummed out lies below the resting level: without that it would be another exercise.
            effort: Effort::Complete,
            efforts: [Effort::Complete, Effort::Active],
            climbs: [Climb::repeats(4, 5, 6, 7, 8)],
            short: ['breaths' => 2],
            openExhale: true,
            onlyHands: [Hands::PressLowerRibs, Hands::LeadingRibs, Hands::RoundTheRibs, Hands::LowerRibs],
            hasOwnRoute: true,
        );
    }

    private static function fullExhale(): Technique
    {
        return new Technique(
            key: 'full-exhale',
            name: 'Wide inhale, complete exhale',
            about: 'Hands round the ribs; they widen on all sides and close at the end. Three breaths before each meal.',
            recipe: new CompleteExhale,
            length: Length::Breaths,
            teaching: Teaching::of(
                'full-exhale', [Purpose::Trunk], ['meals'], ['ribs-close'], ['straining', 'coughing'], ['stretch', 'warmth'], self::STOPS,
            ),
            positions: [Position::Seated, Position::Standing],
            routesOut: [Route::PursedLips, Route::Mouth, Route::Nose],
            hands: Hands::RoundTheRibs,
            ratio: '4:8',
            breaths: 3,
            timesADay: 3,
            props: [Prop::ChairWithBack],
            parameters: [Parameter::choice('open', 'how the exhale ends', [
                1 => 'counted', 2 => 'on a tap, as long as is comfortable',
            ])],
            effort: Effort::Complete,
            short: ['breaths' => 1],
            onlyHands: [Hands::RoundTheRibs, Hands::LowerRibs, Hands::Sides, Hands::BellyAndRibs],
            starts: Start::cases(),
        );
    }

    /**
     * @param  list<Position>  $positions
     * @param  list<Climb>  $climbs
     * @param  list<Parameter>  $parameters
     */
    private static function uncounted(
        string $key, string $name, string $about, float $minutes, array $positions, Hands $hands, Teaching $teaching, array $climbs,
        array $parameters = [],
    ): Technique {
        return new Technique(
            key: $key, name: $name, about: $about, recipe: new Uncounted, length: Length::Minutes, teaching: $teaching,
            positions: $positions,
            routesOut: [Route::Nose, Route::PursedLips], hands: $hands, minutes: $minutes, parameters: $parameters, climbs: $climbs,
            short: ['minutes' => 1.0], demands: [Demand::LooksInward], bells: 1,
            // A hand under the weight would carry it.
            onlyHands: $key === 'weight-on-belly' ? [Hands::BesideYou, Hands::AsYouLike] : [],
        );
    }
}
