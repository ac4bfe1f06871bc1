<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use IvoryPace\InvalidValue;

/** The same breaths at another pace. Soft pauses keep their length; everything else keeps its proportion. */
final class Retiming
{
    public const MOST_JOINING = 20;

    /** Seconds under which joining leads no breath (common practice). */
    public const LEAST_JOINING = 2.0;

    /**
     * A set as it goes on after the tempo was changed during one of its breaths: that breath is finished as it was,
     * the later ones follow at the new tempo.
     *
     * @param  Segment  $set  as prescribed
     * @param  int  $during  number of the breath in which it was changed; 0 before the first
     * @param  float  $factor  on the prescribed lengths, more than 0
     *
     * @throws InvalidValue when the factor is not positive
     */
    public static function tempo(Segment $set, int $during, float $factor): Segment
    {
        if (! ($factor > 0) || ! is_finite($factor)) {
            throw InvalidValue::because('A tempo is more than 0.');
        }

        return self::by($set, fn (int $breath) => $breath > $during ? $factor : 1.0);
    }

    /**
     * A set that begins at the patient's own pace and eases to the prescribed one: each of the first breaths is the
     * same share nearer to it.
     *
     * @param  Segment  $set  equal breaths, as prescribed
     * @param  float  $seconds  length of the patient's own breath, 1–30 s
     * @param  int  $over  breaths until the prescribed pace is reached, 1–20
     * @param  float  $slowest  no breath gets longer than so many times the prescribed one, 1 or more
     * @param  float  $least  no breath gets shorter than so many seconds, unless it is prescribed so: {@see self::LEAST_JOINING}
     *
     * @throws InvalidValue
     */
    public static function joining(
        Segment $set,
        float $seconds,
        int $over,
        float $slowest = INF,
        float $least = self::LEAST_JOINING,
    ): Segment {
        if (! ($seconds >= 1 && $seconds <= 30)) {
            throw InvalidValue::because("A breath of $seconds s is outside 1 to 30 s.");
        }
        if ($over < 1 || $over > self::MOST_JOINING) {
            throw InvalidValue::because("Joining over $over breaths is outside 1 to ".self::MOST_JOINING.'.');
        }
        $first = array_filter($set->cues, fn (Cue $cue) => $cue->place->breath === $set->cues[0]->place->breath);
        $soft = array_sum(array_map(fn (Cue $cue) => $cue->isSoft ? $cue->durationMs : 0, $first));
        $moving = array_sum(array_map(fn (Cue $cue) => $cue->durationMs, $first)) - $soft;
        $least = min($least * 1000, $moving + $soft);
        $own = max(min($seconds * 1000, $slowest * ($moving + $soft)), $least) - $soft;
        $own = max($own, 0.1 * $moving);
        $before = $set->cues[0]->place->breath;

        return self::by($set, fn (int $breath) => ($own / $moving) ** max(0, 1 - ($breath - $before) / $over));
    }

    /** @param  callable(int): float  $factorOf  breath number to factor */
    private static function by(Segment $set, callable $factorOf): Segment
    {
        $cues = [];
        $at = 0.0;
        foreach ($set->cues as $cue) {
            $start = (int) round($at);
            $at += $cue->durationMs * ($cue->isSoft ? 1.0 : $factorOf($cue->place->breath));
            $cues[] = $cue->timed($start, max(1, (int) round($at) - $start));
        }

        return new Segment($set->role, $cues, $set->canBeEnough);
    }
}
