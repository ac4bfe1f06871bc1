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
        if ($item->isTicked()) {
            return self::when($item); // it is not led: it neither lasts nor ends
        }

        return [self::length($item), ...self::when($item), ...self::least($item), ...self::end($item)];
    }

    /** "12 breaths", "5 rounds", "about 3 min". */
    public static function much(Prescription $prescription, Part $part, string $kind): Sentence
    {
        $length = $prescription->technique->length;
        $rounds = (int) ($prescription->parameters['rounds'] ?? 1);
        if ($length === Length::Minutes) {
            return new Sentence($part, "told.$kind.minutes", ['minutes' => Numbers::print((float) $prescription->minutes)]);
        }

        return match (true) {
            ! $prescription->technique->countsRepeats() => new Sentence(
                $part, "told.$kind.minutes", ['minutes' => self::minutes($prescription->exerciseSeconds())],
            ),
            $rounds > 1 => new Sentence(
                $part, "told.$kind.rounds-of".((int) $prescription->breaths === 1 ? '-one' : ''),
                ['count' => $rounds, 'breaths' => (int) $prescription->breaths],
            ),
            // A set that grows has its number at each length.
            $length === Length::Breaths && $prescription->technique->recipe instanceof GrowingEven => new Sentence(
                $part, "told.$kind.breaths", ['count' => array_sum(self::breathsAtEach($prescription))],
            ),
            default => new Sentence($part, "told.$kind.{$length->value}", ['count' => (int) $prescription->breaths]),
        };
    }

    private static function length(Item $item): Sentence
    {
        $prescription = $item->prescription;
        if ($item->isOpen()) {
            return new Sentence(Part::Length, 'told.length.open', ['minutes' => self::minutes($item->seconds())]);
        }
        if ($item->routine === null && $prescription->technique->recipe instanceof GrowingEven) {
            return self::eachLength($prescription);
        }
        if ($item->routine !== null || $prescription->technique->length === Length::Derived || count($prescription->cycles()) > 1) {
            return new Sentence(Part::Length, $prescription->technique->isRecovery ? 'told.length.until-back' : 'told.length.minutes', [
                'minutes' => self::minutes($item->seconds()),
            ]);
        }

        return self::much($prescription, Part::Length, 'length');
    }

    /** Breaths at each length of a set that grows. */
    private static function eachLength(Prescription $prescription): Sentence
    {
        $breaths = self::breathsAtEach($prescription);

        return match (true) {
            count($breaths) === 1 => new Sentence(Part::Length, 'told.length.breaths', ['count' => $breaths[0]]),
            count(array_unique($breaths)) === 1 => new Sentence(Part::Length, 'told.length.each', ['count' => $breaths[0]]),
            default => new Sentence(Part::Length, 'told.length.list', ['list' => implode(', ', $breaths)]),
        };
    }

    /** @return list<int> */
    private static function breathsAtEach(Prescription $prescription): array
    {
        return array_map(fn (int $length) => GrowingEven::breathsAt($prescription, $length), array_keys($prescription->cycles()));
    }

    /** @return list<Sentence> */
    private static function when(Item $item): array
    {
        if ($item->asNeeded !== null) {
            return [
                new Sentence(Part::When, $item->isTicked() ? 'told.when.habit' : 'told.when.needed', ['when' => $item->asNeeded->useWhen]),
                new Sentence(Part::When, $item->isTicked() ? 'told.when.ticks' : 'told.when.most', ['count' => $item->asNeeded->dailyMost]),
            ];
        }
        $slots = $item->plan->slots ?? [];

        return [
            new Sentence(Part::When, 'told.when.times', ['count' => count($slots)]),
            ...array_map(self::slot(...), $slots),
        ];
    }

    /** "On waking, between 05:30 and 09:00, on Mon Wed." */
    private static function slot(AnchorSlot $slot): Sentence
    {
        $isDaily = count($slot->weekdays) === 7;

        return new Sentence(Part::When, $isDaily ? 'told.when.slot' : 'told.when.slot-on', [
            'anchor' => $slot->name !== '' ? $slot->name : ['key' => "anchor.{$slot->anchor->value}"],
            'from' => $slot->from->toString(), 'to' => $slot->to->toString(),
            ...($isDaily ? [] : ['days' => implode(',', array_map(fn (Weekday $day) => $day->value, $slot->weekdays))]),
        ]);
    }

    /** @return list<Sentence> */
    private static function least(Item $item): array
    {
        $short = $item->isOpen() ? null : $item->shortTimeline();
        if ($short === null) {
            return [];
        }
        $one = $item->shortVersion();

        return [
            $one !== null ? self::much($one, Part::Least, 'least')
                : new Sentence(Part::Least, 'told.least.minutes', ['minutes' => self::minutes($short->exerciseMs() / 1000)]),
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
        if ($last->ending === Ending::Quiet && ! $isQuiet) {
            return $said('quiet');
        }
        if ($isQuiet && $item->nightEnding() === null) {
            return [...($last->hasWeight() ? $said('weight') : []), ...$said('quiet', 'asleep')];
        }

        return [
            ...($last->ending === Ending::Slow ? $said(self::slow($last)) : []),
            ...($last->hasWeight() ? $said('weight') : []),
            ...($last->position->isLying() ? $said('roll', 'sit-up') : []),
            ...($last->bellsLast === 0 ? $said('no-bell') : []),
            ...($isQuiet ? $said($last->bellsLast === 0 ? 'asleep-at-night' : 'quiet-at-night') : []),
        ];
    }

    private static function slow(Prescription $last): string
    {
        return match (true) {
            $last->mayCloseEyes() => $last->position->isLying() ? 'slow-lying' : 'slow',
            default => $last->position->isLying() ? 'slow-eyes-open-lying' : 'slow-eyes-open',
        };
    }

    /** What nobody has prescribed in minutes, in halves up to 3 minutes and then whole. */
    private static function minutes(float $seconds): string
    {
        $minutes = $seconds / 60;

        return Numbers::print($minutes < 3 ? max(0.5, round($minutes * 2) / 2) : round($minutes));
    }
}
