<?php

declare(strict_types=1);

namespace IvoryPace\Programme\Told;

use IvoryPace\Calendar\Weekday;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipes\GrowingEven;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\Sentence;
use IvoryPace\Numbers;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\Item;

/** What was agreed around an exercise: how much, when, the least that counts, and how it ends. */
final class AgreedWords
{
    /** @return list<Sentence> */
    public static function of(Item $item): array
    {
        return [self::length($item), ...self::when($item), ...self::least($item), ...self::end($item)];
    }

    /** "12 breaths", "5 rounds", "about 3 min". */
    public static function much(Prescription $prescription, Part $part, string $kind): Sentence
    {
        return $prescription->technique->countsRepeats()
            ? new Sentence($part, "told.$kind.{$prescription->technique->length->value}", ['count' => (int) $prescription->breaths])
            : new Sentence($part, "told.$kind.minutes", ['minutes' => self::minutes($prescription->exerciseSeconds() / 60)]);
    }

    private static function length(Item $item): Sentence
    {
        $prescription = $item->prescription;
        if ($item->routine === null && $prescription->technique->recipe instanceof GrowingEven) {
            return self::eachLength($prescription);
        }
        if ($item->routine !== null || $prescription->technique->length === Length::Derived || count($prescription->cycles()) > 1) {
            return new Sentence(Part::Length, $prescription->technique->isRecovery ? 'told.length.until-back' : 'told.length.minutes', [
                'minutes' => self::minutes($item->seconds() / 60),
            ]);
        }

        return self::much($prescription, Part::Length, 'length');
    }

    /** Breaths at each length of a set that grows. */
    private static function eachLength(Prescription $prescription): Sentence
    {
        $breaths = array_map(fn (int $length) => GrowingEven::breathsAt($prescription, $length), array_keys($prescription->cycles()));

        return match (true) {
            count($breaths) === 1 => new Sentence(Part::Length, 'told.length.breaths', ['count' => $breaths[0]]),
            count(array_unique($breaths)) === 1 => new Sentence(Part::Length, 'told.length.each', ['count' => $breaths[0]]),
            default => new Sentence(Part::Length, 'told.length.list', ['list' => implode(', ', $breaths)]),
        };
    }

    /** @return list<Sentence> */
    private static function when(Item $item): array
    {
        if ($item->asNeeded !== null) {
            return [
                new Sentence(Part::When, 'told.when.needed', ['when' => $item->asNeeded->useWhen]),
                new Sentence(Part::When, 'told.when.most', ['count' => $item->asNeeded->dailyMost]),
            ];
        }
        $slots = $item->plan->slots ?? [];

        return [
            new Sentence(Part::When, 'told.when.times', ['count' => count($slots)]),
            ...array_map(fn (AnchorSlot $slot) => new Sentence(Part::When, count($slot->weekdays) === 7 ? 'told.when.slot' : 'told.when.slot-on', [
                'anchor' => $slot->name !== '' ? $slot->name : ['key' => "anchor.{$slot->anchor->value}"], 'from' => $slot->from->toString(), 'to' => $slot->to->toString(),
                ...(count($slot->weekdays) === 7 ? [] : ['days' => implode(',', array_map(fn (Weekday $day) => $day->value, $slot->weekdays))]),
            ]), $slots),
        ];
    }

    /** @return list<Sentence> */
    private static function least(Item $item): array
    {
        $short = $item->shortTimeline();
        if ($short === null) {
            return [];
        }
        $one = $item->shortVersion();

        return [
            $one !== null ? self::much($one, Part::Least, 'least')
                : new Sentence(Part::Least, 'told.least.minutes', ['minutes' => self::minutes($short->exerciseMs() / 60_000)]),
            new Sentence(Part::Least, 'told.least.counts'),
        ];
    }

    /** @return list<Sentence> */
    private static function end(Item $item): array
    {
        $exercises = $item->exercises();
        $last = $exercises[count($exercises) - 1];
        $isQuiet = $item->endsInSleep();
        $said = fn (string ...$keys): array => array_map(fn (string $key) => new Sentence(Part::End, "told.end.$key"), array_values($keys));
        if ($isQuiet && $item->nightEnding() === null) {
            return $said('quiet', 'asleep');
        }

        return [
            ...($last->ending === Ending::Slow ? $said('slow') : []),
            ...($last->position->isLying() ? $said('roll', 'sit-up') : []),
            ...($last->bellsLast === 0 ? $said('no-bell') : []),
            ...($isQuiet ? $said('quiet-at-night') : []),
        ];
    }

    private static function minutes(float $minutes): string
    {
        return Numbers::print(max(0.1, $minutes), 1);
    }
}
