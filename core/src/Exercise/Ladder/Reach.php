<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Ladder;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Prescription;

/** How far a patient may be led: measured comfortable limits, the comfort ceiling, and the longest breath for anyone. */
final readonly class Reach
{
    /**
     * @param  ComfortableLimits  $limits  s
     * @param  float|null  $ceiling  comfort ceiling: the longest even inhale and exhale that is still easy, s; the lower of
     *                               the measured one and what was enough at home
     */
    public function __construct(public ComfortableLimits $limits = new ComfortableLimits, public ?float $ceiling = null)
    {
    }

    /**
     * Which of the measured values a prescription would pass, each phase at the slowest pace. The ceiling binds the
     * inhale, and the exhale where it is no longer than the inhale or nothing else was measured of it.
     *
     * @return list<string> of "inhale", "hold", "exhale", "ceiling"
     */
    public function passed(Prescription $prescription): array
    {
        $passed = [];
        foreach ($prescription->cycles() as $each) {
            $cycle = Cycle::of($each->pattern, $prescription->countLength->at($prescription->guidance->tempo->slowest));
            $inhale = $cycle->inhaleSeconds();
            $exhale = $prescription->hasOpenExhale() ? 0.0 : $cycle->phaseSeconds(Phase::Exhale);
            $ceilingOnExhale = $this->limits->exhale === null || $exhale <= $inhale + 1e-9 ? $exhale : 0.0;
            $passed = [
                ...$passed,
                ...(self::isOver($inhale, $this->limits->inhale) ? ['inhale'] : []),
                ...(
                    self::isOver(max($cycle->phaseSeconds(Phase::Hold), $cycle->phaseSeconds(Phase::Rest)), $this->limits->hold)
                        ? ['hold']
                        : []
                ),
                ...(self::isOver($exhale, $this->limits->exhale) ? ['exhale'] : []),
                ...(self::isOver(max($inhale, $ceilingOnExhale), $this->ceiling) ? ['ceiling'] : []),
            ];
        }

        return array_values(array_unique($passed));
    }

    /** True when a breath would last longer than any ladder leads, at the slowest pace. */
    public static function isTooLong(Prescription $prescription): bool
    {
        $longest = $prescription->hasOpenExhale() ? null : $prescription->longestCycle();

        return $longest !== null && $longest->seconds() > Prescription::LONGEST_BREATH + 1e-9;
    }

    private static function isOver(float $seconds, ?float $limit): bool
    {
        return $limit !== null && $seconds > $limit + 1e-9;
    }
}
