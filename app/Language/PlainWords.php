<?php

declare(strict_types=1);

namespace App\Language;

use Carbon\CarbonImmutable;
use IvoryPace\Breath\Cycle;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\PlainName;
use IvoryPace\Numbers;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemPart;
use IvoryPace\Programme\Told\AgreedWords;

/** Parts of a prescription in words of the language that is spoken now. */
final class PlainWords
{
    private const A_MONDAY = '2024-01-01';

    public static function name(Item $item): string
    {
        return $item->routine->name ?? self::exercise($item->prescription);
    }

    public static function exercise(Prescription $prescription): string
    {
        return $prescription->own->name ?? (string) __(PlainName::of($prescription));
    }

    /** As colleagues say it: "Extended exhale 4:0:6:1, lying on the back: waking 06:00–09:00; bedtime 21:00–23:00". */
    public static function prescribed(Item $item): string
    {
        $when = array_map(self::anchor(...), $item->plan->slots ?? []);
        $name = $item->name();
        $summary = $item->summary();

        return (str_starts_with($summary, $name) ? $summary : "$name, $summary").match (true) {
            $when !== [] => ': '.implode('; ', $when),
            $item->asNeeded !== null => ': when it is needed',
            default => '',
        };
    }

    /**
     * Everything that is needed, each once.
     *
     * @param  list<Item>  $items
     * @return list<string>
     */
    public static function needs(array $items): array
    {
        $needs = [];
        foreach ($items as $item) {
            foreach ($item->exercises() as $exercise) {
                array_push($needs, ...self::props($exercise));
            }
        }

        return array_values(array_unique($needs));
    }

    /** @return list<string> "a low pillow", "a book or block of 0.8 kg" */
    private static function props(Prescription $prescription): array
    {
        return [
            ...array_map(fn (Prop $prop) => (string) __("prop.{$prop->value}"), $prescription->props),
            ...($prescription->hasWeight()
                ? [(string) __('prop.weight', ['kg' => Numbers::print($prescription->parameter('weight'))])] : []),
            ...($prescription->ownProp === '' ? [] : [$prescription->ownProp]),
        ];
    }

    /** "6 breaths", "3 rounds of 20 breaths", "3 min". */
    public static function length(Prescription $prescription): string
    {
        return $prescription->technique->countsRepeats()
            ? Told::say(AgreedWords::much($prescription, Part::Length, 'amount'))
            : self::minutes($prescription->exerciseSeconds() / 60);
    }

    public static function minutes(float $minutes): string
    {
        return (string) __('sheet.minutes', ['minutes' => Numbers::print($minutes, 1)]);
    }

    public static function position(Prescription $prescription): string
    {
        return (string) __("sheet.position.{$prescription->position->value}");
    }

    /** "Extended exhale, 4:0:6:1, sitting, 6 breaths". */
    public static function step(Prescription $step): string
    {
        $ratios = array_values(array_unique(array_map(fn (Cycle $cycle) => $cycle->pattern->toDisplayString(), $step->cycles())));

        return implode(', ', array_filter([self::exercise($step), $ratios[0] ?? '', self::position($step), self::length($step)]));
    }

    /** "waking 06:00–09:00, Mon Thu"; every day needs no word. */
    public static function anchor(AnchorSlot $slot): string
    {
        $days = count($slot->weekdays) === 7 ? '' : ', '.implode(' ', array_map(self::weekday(...), $slot->weekdays));

        $name = $slot->name !== '' ? $slot->name : (string) __("anchor.{$slot->anchor->value}");

        return $name." {$slot->from->toString()}–{$slot->to->toString()}$days";
    }

    /** One part of an item; empty where it has none. */
    public static function part(ItemPart $part, Item $item): string
    {
        $short = $item->shortVersion();
        $timeline = $item->shortTimeline();

        return match ($part) {
            ItemPart::Ratio => (string) $item->prescription->pattern?->toString(),
            ItemPart::Length => self::length($item->prescription),
            ItemPart::Position => self::position($item->prescription),
            ItemPart::PracticesADay => $item->plan === null ? (string) __('sheet.needed') : (string) count($item->plan->slots),
            ItemPart::When => $item->asNeeded === null
                ? implode('; ', array_map(self::anchor(...), $item->plan->slots ?? []))
                : (string) __(
                    $item->isTicked() ? 'patient.today.habit' : 'patient.today.use-when',
                    ['when' => $item->asNeeded->useWhen, 'most' => $item->asNeeded->dailyMost],
                ),
            ItemPart::Props => implode(', ', self::props($item->prescription)),
            ItemPart::Steps => implode('; ', $item->routine === null ? [] : array_map(self::step(...), $item->exercises())),
            ItemPart::ShortVersion => match (true) {
                $short !== null => self::length($short),
                $timeline !== null => self::minutes($timeline->exerciseMs() / 60_000),
                default => '',
            },
            default => '',
        };
    }

    private static function weekday(Weekday $day): string
    {
        return CarbonImmutable::parse(self::A_MONDAY)->addDays($day->value - 1)->isoFormat('ddd');
    }
}
