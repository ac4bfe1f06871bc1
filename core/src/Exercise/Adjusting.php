<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** What to offer when an exercise is too hard or too easy, in the way of a school. Common practice. */
final class Adjusting
{
    /** Share by which the same ratio is played faster or slower. */
    private const PACE = 0.15;

    private const SHORTEST_COUNT = 0.6;

    /**
     * @param  bool  $neverFlatter  the patient breathes worse the flatter they lie
     * @return list<Change> that lead to an exercise which can be prescribed; the school's own way first
     */
    public static function tooHard(Prescription $now, School $school, bool $neverFlatter = false): array
    {
        $ways = match ($school) {
            School::GentleControl => [
                self::knownEasier($now), self::smallerCount($now), ...array_slice(self::easierPositions($now, $neverFlatter), 0, 1),
            ],
            School::RatioPractice => [self::pace($now, 1 - self::PACE)],
            School::RibMechanics => [self::fewer($now)],
            School::Contemplative => [self::fewerSteps($now), self::withoutCount($now)],
        };
        $offered = self::possible($now, $ways);

        return $offered !== [] ? $offered : self::anyEasier($now, $neverFlatter);
    }

    /** @return list<Change> every way in which it may become easier, whatever the school: what is hardest first */
    public static function anyEasier(Prescription $now, bool $neverFlatter = false): array
    {
        return self::possible($now, [
            self::shorterRetention($now), self::withoutHold($now), self::knownEasier($now), self::smallerCount($now),
            self::shorterHum($now), self::fewer($now), self::shorter($now),
            self::fewerSteps($now), ...self::easierPositions($now, $neverFlatter),
        ]);
    }

    /** @return list<Change> that lead to an exercise which can be prescribed */
    public static function tooEasy(Prescription $now, School $school): array
    {
        $rung = Ladder::generate($now, $school)->next();
        $next = $rung === null ? null : new Change("next rung: {$rung->prescription->summary()}", $rung->set);

        return self::possible($now, [$next, $school === School::RatioPractice ? self::pace($now, 1 + self::PACE) : null]);
    }

    /**
     * @param  list<Change|null>  $ways
     * @return list<Change>
     */
    private static function possible(Prescription $now, array $ways): array
    {
        return array_values(array_filter(array_filter($ways), function (Change $change) use ($now) {
            try {
                PrescriptionReader::changed($now, $change->set);

                return true;
            } catch (InvalidValue) {
                return false;
            }
        }));
    }

    /** The same ratio, faster or slower. */
    private static function pace(Prescription $now, float $factor): ?Change
    {
        $count = round($now->countLength->seconds * $factor, 2);
        if ($now->cycle() === null || $count < self::SHORTEST_COUNT || $count > CountLength::MAX) {
            return null;
        }

        return new Change(
            ($factor < 1 ? 'faster' : 'slower').' at the same ratio: '.Numbers::print($count).' s a count', ['count_length' => $count],
        );
    }

    private static function knownEasier(Prescription $now): ?Change
    {
        $easier = $now->technique->easier;
        $isThere = $easier !== [] && ($now->pattern?->toString() === $now->technique->ratio);

        return $isThere
            ? new Change('shorter phases: '.implode(', ', array_map(strval(...), array_filter($easier, is_scalar(...)))), $easier)
            : null;
    }

    /** A count less on hold and exhale; the exhale stays at least as long as the inhale. */
    private static function smallerCount(Prescription $now): ?Change
    {
        $pattern = $now->pattern;
        if ($pattern === null) {
            return null;
        }
        $less = fn (Phase $phase, int $least) => Counts::ofHundredths(
            max(min($least, $pattern->counts($phase)->hundredths), $pattern->counts($phase)->hundredths - 100),
        );
        $shorter = $pattern->with(
            Phase::Exhale, $less(Phase::Exhale, $pattern->inhale->hundredths + $pattern->topUp->hundredths),
        )->with(Phase::Hold, $less(Phase::Hold, 0));
        if ($shorter->equals($pattern)) {
            $all = $pattern->with(Phase::Inhale, $less(Phase::Inhale, 200));
            $shorter = $all->with(Phase::Exhale, $less(Phase::Exhale, 200));
        }

        return $shorter->equals($pattern) ? null : new Change('smaller count: '.$shorter->toString(), ['ratio' => $shorter->toString()]);
    }

    /** @return list<Change> the nearest first */
    private static function easierPositions(Prescription $now, bool $neverFlatter): array
    {
        $there = array_values(
            array_filter(
                $now->position->easier($neverFlatter), fn (Position $position) => in_array($position, $now->technique->positions, true),
            ),
        );

        return array_map(
            fn (Position $position) => new Change('easier position: '.$position->label(), ['position' => $position->value]), $there,
        );
    }

    private static function shorterRetention(Prescription $now): ?Change
    {
        $parameter = $now->technique->parameters['retention'] ?? null;
        $shorter = $parameter === null
            ? 0.0
            : max($parameter->min, floor($now->retentionSeconds() / 2 / $parameter->step) * $parameter->step);

        return $parameter === null || $shorter >= $now->retentionSeconds()
            ? null
            : new Change('shorter: '.$parameter->print($shorter), ['parameters' => ['retention' => $shorter] + $now->parameters]);
    }

    /** Hold and rest go, and the exhale stays as it is. */
    private static function withoutHold(Prescription $now): ?Change
    {
        $pattern = $now->pattern;
        if ($pattern === null || ($pattern->hold->isZero() && $pattern->rest->isZero())) {
            return null;
        }
        $without = $pattern->with(Phase::Hold, Counts::zero())->with(Phase::Rest, Counts::zero());

        return new Change('without a hold: '.$without->toString(), ['ratio' => $without->toString()]);
    }

    private static function shorterHum(Prescription $now): ?Change
    {
        $parameter = $now->technique->parameters['inhale'] ?? null;
        $shorter = $parameter === null ? 0.0 : $now->parameter('inhale') - 1;

        return $parameter === null || $shorter < $parameter->min
            ? null
            : new Change('shorter: '.$parameter->print($shorter), ['parameters' => ['inhale' => $shorter] + $now->parameters]);
    }

    private static function fewer(Prescription $now): ?Change
    {
        $fewer = $now->breaths === null ? 0 : max(1, intdiv($now->breaths * 2, 3));

        return $now->breaths === null || $fewer === $now->breaths
            ? null
            : new Change("fewer: $fewer {$now->technique->length->value}", ['breaths' => $fewer]);
    }

    private static function shorter(Prescription $now): ?Change
    {
        $minutes = $now->minutes === null ? 0.0 : max(Prescription::MIN_MINUTES, floor($now->minutes * 2 * 2 / 3) / 2);

        return $now->minutes === null || $minutes >= $now->minutes
            ? null
            : new Change('shorter: '.Numbers::print($minutes).' min', ['minutes' => $minutes]);
    }

    private static function fewerSteps(Prescription $now): ?Change
    {
        foreach (['steps', 'top', 'rounds', 'groups'] as $name) {
            $parameter = $now->technique->parameters[$name] ?? null;
            $value = ($now->parameters[$name] ?? 0.0) - 1;
            if ($parameter !== null && $value >= $parameter->min) {
                return new Change('fewer: '.$parameter->print($value), ['parameters' => [$name => $value] + $now->parameters]);
            }
        }

        return null;
    }

    private static function withoutCount(Prescription $now): ?Change
    {
        if ($now->cycle() === null || $now->guidance->counting(Phase::Inhale) === Counting::Silent) {
            return null;
        }

        return new Change(
            'nothing counted aloud', ['counting' => array_fill_keys(['inhale', 'hold', 'exhale', 'rest'], Counting::Silent->value)],
        );
    }
}
