<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\Technique;

/** On which habits an exercise is usually hung: before meals means three meals. Common practice. */
final class UsualAnchors
{
    private const OF_A_TIME = [
        'waking' => [Anchor::Waking],
        'breaks' => [Anchor::MidMorning, Anchor::Afternoon],
        'meals' => [Anchor::BeforeBreakfast, Anchor::Lunch, Anchor::EveningMeal],
        'evening' => [Anchor::Evening],
        'lights-out' => [Anchor::LightsOut],
    ];

    /** @return list<Anchor> the first of each of its times, then the further ones */
    public static function of(Technique $technique): array
    {
        $times = array_map(
            fn (string $key) => self::OF_A_TIME[substr($key, (int) strrpos($key, '.') + 1)] ?? [], $technique->teaching->times,
        );
        $anchors = [];
        for ($nth = 0; $nth < max([0, ...array_map(count(...), $times)]); $nth++) {
            foreach ($times as $ofTime) {
                array_push($anchors, ...array_slice($ofTime, $nth, 1));
            }
        }

        return $anchors;
    }

    /** True where it may end the day. */
    public static function isForBed(Technique $technique): bool
    {
        return in_array(Anchor::LightsOut, self::of($technique), true);
    }
}
