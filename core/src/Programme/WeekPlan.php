<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Calendar\Weekday;
use IvoryPace\InvalidValue;

/** When an exercise is practised in a week: anchor slots, at most one per anchor. */
final readonly class WeekPlan
{
    public const MAX_A_DAY = 9;

    /**
     * @param  list<AnchorSlot>  $slots  at least one
     *
     * @throws InvalidValue
     */
    public function __construct(public array $slots)
    {
        if ($slots === []) {
            throw InvalidValue::because('Choose at least one practice a week.');
        }
        if (count($slots) > self::MAX_A_DAY) {
            throw InvalidValue::because(count($slots).' practices a day is more than the '.self::MAX_A_DAY.' that a day has anchors for.');
        }
        $anchors = array_map(fn (AnchorSlot $slot) => $slot->anchor->value, $slots);
        if (count(array_unique($anchors)) !== count($anchors)) {
            throw InvalidValue::because('An anchor can carry only one practice of the same exercise a day.');
        }
    }

    /** @return list<AnchorSlot> */
    public function on(Weekday $weekday): array
    {
        return array_values(array_filter($this->slots, fn (AnchorSlot $slot) => $slot->isOn($weekday)));
    }

    /** @return non-empty-array<int, int> practices by ISO weekday, all seven */
    public function practicesByWeekday(): array
    {
        $practices = [];
        foreach (Weekday::cases() as $weekday) {
            $practices[$weekday->value] = count($this->on($weekday));
        }

        return $practices;
    }
}
