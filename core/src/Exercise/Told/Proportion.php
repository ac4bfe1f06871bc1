<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Exercise\Prescription;

/** What is said of a breath's proportions only while it has them: a breath made easier is no longer "four, seven, eight". */
final class Proportion
{
    /** Ends of criteria that speak of proportions. */
    private const CLAIMS = ['proportions' => [4, 7, 8, 0], 'equal' => [1, 1, 1, 1]];

    /**
     * Criteria, each in the wording that holds.
     *
     * @param  list<string>  $keys
     * @return list<string>
     */
    public static function claimsOf(Prescription $prescription, array $keys): array
    {
        return array_map(
            fn (string $key) => self::holds($prescription, substr($key, (int) strrpos($key, '.') + 1)) ? $key : "$key-otherwise", $keys,
        );
    }

    /** True when the phases are as these numbers, whatever the length. */
    public static function is(?BreathPattern $pattern, int $in, int $hold, int $out, int $rest): bool
    {
        if ($pattern === null || ! $pattern->topUp->isZero() || $pattern->softHold + $pattern->softRest > 0) {
            return false;
        }
        $inhale = $pattern->inhale->hundredths;

        return $pattern->hold->hundredths * $in === $inhale * $hold && $pattern->exhale->hundredths * $in === $inhale * $out
            && $pattern->rest->hundredths * $in === $inhale * $rest;
    }

    private static function holds(Prescription $prescription, string $claim): bool
    {
        if ($claim === 'longer-out') {
            $pattern = $prescription->cycle()?->pattern;

            return $prescription->hasOpenExhale() || ($pattern !== null && $pattern->exhale->hundredths > $pattern->inhale->hundredths);
        }

        return ! isset(self::CLAIMS[$claim]) || self::is($prescription->pattern, ...self::CLAIMS[$claim]);
    }
}
