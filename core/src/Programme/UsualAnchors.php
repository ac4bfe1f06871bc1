<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Technique;

/** On which habits an exercise is usually hung: before meals means three meals. Common practice. */
final class UsualAnchors
{
    private const OF_A_TIME = [
        'waking' => [Anchor::Waking],
        'breaks' => [Anchor::Lunch, Anchor::MidMorning],
        'meals' => [Anchor::BeforeBreakfast, Anchor::Lunch, Anchor::EveningMeal],
        'evening' => [Anchor::Evening],
        'lights-out' => [Anchor::LightsOut],
    ];

    /** @return list<Anchor> the most usual first */
    public static function of(Technique $technique): array
    {
        $anchors = array_merge([], ...array_map(
            fn (string $key) => self::OF_A_TIME[substr($key, (int) strrpos($key, '.') + 1)] ?? [], $technique->teaching->times,
        ));

        return array_values(array_filter(Anchor::byPriority([]), fn (Anchor $anchor) => in_array($anchor, $anchors, true)));
    }

    /** @return list<Anchor> those of what it ends with; the day ends with it only where that lies */
    public static function ofRoutine(Routine $routine): array
    {
        $exercises = $routine->exercises();
        $last = $exercises[count($exercises) - 1];

        return array_values(array_filter(
            self::of($last->technique), fn (Anchor $anchor) => $anchor !== Anchor::LightsOut || $last->position->isLying(),
        ));
    }
}
