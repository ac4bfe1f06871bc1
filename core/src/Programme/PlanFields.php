<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\Weekday;
use IvoryPace\InvalidValue;

/** A week's plan as plain fields, read and written. */
final class PlanFields
{
    /**
     * Reads the anchors. When there are not as many as practices a day, those that are there stay as far as they can, with
     * their windows and weekdays, and the usual ones are added.
     *
     * @param  mixed  $fields  list of anchor, from, to, days (ISO weekdays)
     * @param  int  $timesADay  1–9
     * @param  list<Anchor>  $usual  which come first
     *
     * @throws InvalidValue
     */
    public static function read(mixed $fields, int $timesADay, array $usual = []): WeekPlan
    {
        if (! is_array($fields)) {
            throw InvalidValue::because('Anchors are a list.');
        }
        $slots = [];
        foreach ($fields as $field) {
            $slots[] = self::slot(is_array($field) ? $field : []);
        }

        return new WeekPlan(count($slots) === $timesADay ? $slots : self::spread($slots, $timesADay, $usual));
    }

    /** @return list<array{anchor: string, label: string, name?: string, from: string, to: string, days: list<int>}> */
    public static function write(WeekPlan $plan): array
    {
        return array_map(fn (AnchorSlot $slot) => [
            'anchor' => $slot->anchor->value,
            'label' => $slot->label(),
            ...($slot->anchor === Anchor::Own ? ['name' => $slot->name] : []),
            'from' => $slot->from->toString(),
            'to' => $slot->to->toString(),
            'days' => array_map(fn (Weekday $day) => $day->value, $slot->weekdays),
        ], $plan->slots);
    }

    /** @param  array<mixed>  $field */
    private static function slot(array $field): AnchorSlot
    {
        $text = fn (string $name): string => is_string($field[$name] ?? null) ? $field[$name] : '';
        $anchor = Anchor::tryFrom($text('anchor')) ?? throw InvalidValue::because('Choose an anchor from the list.');
        $days = [];
        foreach (is_array($field['days'] ?? null) ? $field['days'] : [] as $day) {
            $weekday = is_numeric($day) ? Weekday::tryFrom((int) $day) : null;
            $days[$weekday->value ?? 0] = $weekday ?? throw InvalidValue::because('Weekdays are numbered 1 to 7.');
        }
        ksort($days);

        return new AnchorSlot(
            $anchor, ClockTime::parse($text('from')), ClockTime::parse($text('to')), array_values($days),
            $anchor === Anchor::Own ? trim($text('name')) : '',
        );
    }

    /**
     * @param  list<AnchorSlot>  $present
     * @param  list<Anchor>  $usual
     * @return list<AnchorSlot>
     */
    private static function spread(array $present, int $timesADay, array $usual): array
    {
        $byAnchor = [];
        foreach ($present as $slot) {
            $byAnchor[$slot->anchor->value] = $slot;
        }
        $stay = array_map(fn (AnchorSlot $slot) => $slot->anchor, array_values($byAnchor));
        if (count($stay) > $timesADay) {
            // The least usual ones go first.
            $order = Anchor::byPriority($usual);
            usort($stay, fn (Anchor $a, Anchor $b) => array_search($a, $order, true) <=> array_search($b, $order, true));
        }
        $anchors = Anchor::spread($timesADay, [...$stay, ...$usual], in_array(Anchor::LightsOut, $usual, true));

        return array_map(function (Anchor $anchor) use ($byAnchor) {
            [$from, $to] = $anchor->usualWindow();

            return $byAnchor[$anchor->value]
                ?? new AnchorSlot($anchor, ClockTime::parse($from), ClockTime::parse($to), Weekday::cases());
        }, $anchors);
    }
}
