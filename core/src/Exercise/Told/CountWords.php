<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Cycle;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Numbers;

/** The counts of a breath in words: "In 4, out 5, rest 1." Nothing where breaths are not counted, or where a tap ends them. */
final class CountWords
{
    /** @return list<Sentence> */
    public static function of(Prescription $prescription): array
    {
        $cycles = $prescription->cycles();
        if ($cycles === []) {
            return [];
        }
        $first = self::breath($cycles[0]->pattern, $prescription);
        $last = $cycles[count($cycles) - 1]->pattern;

        return [
            ...$first,
            ...(count($cycles) > 1
                ? [new Sentence(Part::Breath, 'told.counts.growing', ['most' => Numbers::print($last->inhale->toFloat())])] : []),
            ...self::retention($prescription, $cycles[0]),
        ];
    }

    /** @return list<Sentence> */
    private static function breath(BreathPattern $pattern, Prescription $prescription): array
    {
        $number = fn (float $counts): string => Numbers::print($counts);
        if ($prescription->hasOpenExhale()) {
            return [new Sentence(Part::Breath, 'told.counts.in', ['in' => $number($pattern->inhale->toFloat())])];
        }
        $values = [
            'in' => $number($pattern->inhale->toFloat()), 'sip' => $number($pattern->topUp->toFloat()),
            'hold' => $number($pattern->hold->toFloat()), 'out' => $number($pattern->exhale->toFloat()),
            'rest' => $number($pattern->rest->toFloat()),
        ];
        $parts = array_keys(array_filter([
            'in' => true, 'sip' => ! $pattern->topUp->isZero(), 'hold' => ! $pattern->hold->isZero(), 'out' => true,
            'rest' => ! $pattern->rest->isZero(),
        ]));
        $soft = max($pattern->softHold, $pattern->softRest);

        return [
            new Sentence(Part::Breath, 'told.counts.'.implode('-', $parts), array_intersect_key($values, array_flip($parts))),
            ...($soft > 0 ? [new Sentence(Part::Breath, 'told.counts.soft', ['s' => $number($soft)])] : []),
        ];
    }

    /** @return list<Sentence> */
    private static function retention(Prescription $prescription, Cycle $cycle): array
    {
        $seconds = $prescription->retentionSeconds();

        return $seconds <= 0 ? [] : [
            new Sentence(Part::Breath, 'told.retention.before'),
            new Sentence(
                Part::Breath,
                ($prescription->parameters['retention-ends'] ?? 1.0) > 1.0 ? 'told.retention.at-most' : 'told.retention.counted',
                ['s' => Numbers::print($seconds)],
            ),
        ];
    }
}
