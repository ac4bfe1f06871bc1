<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/**
 * Of several paces the one at which the heart rate swings most with the breath. The procedure: Lehrer, Vaschillo and Vaschillo,
 * Appl Psychophysiol Biofeedback 2000;25:177–191, and Lehrer and Gevirtz, Front Psychol 2014 (from memory). How sure it is goes
 * by the notch of a box plot, median ± 1.57 × the quartiles' distance ÷ √n (McGill, Tukey and Larsen, Am Stat 1978;32:12–16).
 */
final readonly class BestPace
{
    /** Breaths a minute, in the order in which they are tried. */
    public const PACES = [6.5, 6.0, 5.5, 5.0, 4.5];

    /** s at each. */
    public const EACH_S = 180;

    private const NOTCH = 1.57;

    private const LEAST_BREATHS = 5;

    /**
     * @param  non-empty-list<array{pace: float, swing: float, from: float, to: float, breaths: int}>  $paces  as tried; in beats/min
     * @param  float  $best  breaths a minute
     * @param  list<float>  $asGood  others that are not clearly different
     */
    private function __construct(public array $paces, public float $best, public array $asGood)
    {
    }

    /**
     * @param  list<array{float, list<float>}>  $tried  pace, and the swing of each breath at it
     *
     * @throws InvalidValue when at fewer than two paces enough can be seen
     */
    public static function of(array $tried): self
    {
        $paces = [];
        foreach ($tried as [$pace, $swings]) {
            if (count($swings) < self::LEAST_BREATHS) {
                continue;
            }
            sort($swings);
            $at = fn (float $part) => self::quantile($swings, $part);
            $notch = self::NOTCH * ($at(0.75) - $at(0.25)) / sqrt(count($swings));
            $swing = Median::of($swings);
            $paces[] = [
                'pace' => $pace, 'swing' => $swing, 'from' => $swing - $notch, 'to' => $swing + $notch, 'breaths' => count($swings),
            ];
        }
        if (count($paces) < 2) {
            throw InvalidValue::because('At fewer than two paces the heartbeats can be seen well enough to compare them.');
        }
        $best = $paces[0];
        foreach ($paces as $each) {
            $best = $each['swing'] > $best['swing'] ? $each : $best;
        }
        $asGood = array_filter($paces, fn (array $each) => $each['pace'] !== $best['pace'] && $each['to'] >= $best['from']);

        return new self($paces, $best['pace'], array_column($asGood, 'pace'));
    }

    /** @param  non-empty-list<float>  $sorted */
    private static function quantile(array $sorted, float $part): float
    {
        $place = $part * (count($sorted) - 1);
        $whole = (int) $place;
        $next = min($whole + 1, count($sorted) - 1);

        return $sorted[$whole] + ($sorted[$next] - $sorted[$whole]) * ($place - $whole);
    }
}
