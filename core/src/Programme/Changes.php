<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Calendar\Weekday;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Numbers;

/** What changes from one version of a programme to the next, item by item. */
final class Changes
{
    /**
     * @param  list<Item>  $before
     * @param  list<Item>  $after
     * @return list<ItemChange> changed and added ones in the new order, then removed ones; unchanged ones are left out
     */
    public static function between(array $before, array $after): array
    {
        $old = [];
        foreach ($before as $item) {
            $old[$item->lineage] = $item;
        }
        $changes = [];
        foreach ($after as $item) {
            $was = $old[$item->lineage] ?? null;
            unset($old[$item->lineage]);
            if ($was === null) {
                $changes[] = new ItemChange('added', $item, $item->name(), []);
            } elseif (($lines = self::lines($was, $item)) !== []) {
                $changes[] = new ItemChange('changed', $item, $item->name(), $lines, $was);
            }
        }

        return [...$changes, ...array_values(array_map(fn (Item $item) => new ItemChange('removed', $item, $item->name(), []), $old))];
    }

    /** @return list<ChangedPart> */
    private static function lines(Item $was, Item $is): array
    {
        $from = self::words($was);
        $to = self::words($is);
        $lines = [];
        foreach (array_keys($to + $from) as $what) {
            if (($from[$what] ?? '') !== ($to[$what] ?? '')) {
                $part = ItemPart::tryFrom($what);
                $lines[] = new ChangedPart($part, $part?->label() ?? $what, $from[$what] ?? '', $to[$what] ?? '');
            }
        }

        return $lines;
    }

    /** @return array<string, string> every part of an item in words, by what it is; a parameter by its label */
    private static function words(Item $item): array
    {
        return [
            ...($item->routine === null ? self::exercise($item->prescription) : [
                ItemPart::Routine->value => $item->routine->name,
                ItemPart::Steps->value => implode(
                    ', ',
                    array_map(
                        fn ($step) => trim($step->label().' '.($step->prescription?->summary() ?? Numbers::print($step->seconds).' s')),
                        $item->routine->steps,
                    ),
                ),
            ]),
            ItemPart::School->value => $item->school->label(),
            ItemPart::ShortVersion->value => self::short($item),
            ItemPart::Why->value => $item->why,
            'asked afterwards' => implode(', ', array_map(fn (SelfCheck $check) => $check->label(), $item->checks)),
            ItemPart::PracticesADay->value => $item->plan === null ? 'as needed' : (string) count($item->plan->slots),
            ItemPart::When->value => $item->asNeeded?->summary() ?? self::anchors($item->plan),
        ];
    }

    /** @return array<string, string> */
    private static function exercise(Prescription $prescription): array
    {
        $parameters = [];
        foreach ($prescription->technique->parameters as $name => $parameter) {
            $parameters[$parameter->label] = $parameter->print($prescription->parameter($name));
        }
        $guidance = $prescription->guidance;

        return [
            ItemPart::Ratio->value => (string) $prescription->pattern?->toString(),
            ItemPart::Count->value => Numbers::print($prescription->countLength->seconds).' s',
            ItemPart::Length->value => self::length($prescription),
            ...$parameters,
            ItemPart::Position->value => $prescription->position->label(),
            ItemPart::Props->value => implode(', ', array_map(fn (Prop $prop) => $prop->label(), $prescription->props)),
            ItemPart::RouteIn->value => $prescription->routeIn->label(),
            ItemPart::RouteOut->value => $prescription->routeOut->label(),
            ItemPart::Size->value => $prescription->effort->label(),
            ItemPart::Gaze->value => $prescription->gaze->label(),
            ItemPart::Counting->value => implode(
                ', ',
                array_map(
                    fn (string $phase, $counting) => "$phase {$counting->value}", array_keys($guidance->counting), $guidance->counting,
                ),
            )
                .($guidance->cueWord ? ', cue words' : ''),
            ItemPart::Fading->value => $guidance->fade->label(),
            ItemPart::OwnPace->value => $guidance->tempo->canChange()
                ? Numbers::print($guidance->tempo->fastest).' to '.Numbers::print($guidance->tempo->slowest).' times the length'
                : 'as prescribed',
        ];
    }

    private static function short(Item $item): string
    {
        $short = $item->shortVersion();
        $timeline = $item->shortTimeline();

        return match (true) {
            $short !== null => self::length($short),
            $timeline !== null => 'steps '.implode(', ', array_map(fn (int $step) => $step + 1, $item->shortSteps())),
            default => '',
        };
    }

    private static function length(Prescription $prescription): string
    {
        return match (true) {
            $prescription->technique->countsRepeats() => "{$prescription->breaths} {$prescription->technique->length->value}",
            $prescription->technique->length === Length::Minutes => Numbers::print((float) $prescription->minutes).' min',
            default => Numbers::print(round($prescription->exerciseSeconds() / 60, 1)).' min',
        };
    }

    private static function anchors(?WeekPlan $plan): string
    {
        return implode('; ', array_map(fn (AnchorSlot $slot) => $slot->label()." {$slot->from->toString()}–{$slot->to->toString()}"
            .(count($slot->weekdays) === 7 ? '' : ' on '.implode(', ', array_map(fn (Weekday $day) => $day->name, $slot->weekdays))),
            $plan->slots ?? []));
    }
}
