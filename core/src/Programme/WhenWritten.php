<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Breath\CountLength;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Numbers;

/**
 * What is refused when something is written, on the Bench, from a file or as a template. What was stored before reads and
 * plays as it always did; it is settled with the next version.
 */
final class WhenWritten
{
    /** @return array<string, string> problems by field */
    public static function problems(Item $item): array
    {
        if ($item->routine === null) {
            $overreaching = $item->ladder?->overreaching();

            return [...self::pace($item->prescription), ...($overreaching === null ? [] : ['ladder' => $overreaching])];
        }
        $problems = [];
        foreach ($item->routine->steps as $index => $step) {
            foreach ($step->prescription === null ? [] : self::pace($step->prescription) as $field => $problem) {
                $problems["steps.$index.$field"] = $problem;
            }
        }

        return $problems;
    }

    /**
     * A count stays within its range at the slowest and at the fastest pace too.
     *
     * @return array<string, string>
     */
    public static function pace(Prescription $prescription): array
    {
        $count = $prescription->countLength->seconds;
        $tempo = $prescription->guidance->tempo;
        $problems = [];
        if ($count * $tempo->slowest > CountLength::MAX + 1e-6) {
            $problems['slowest'] = self::sentence(
                $count, $tempo->slowest, 'at most '.Numbers::print(floor(CountLength::MAX / $count * 100 + 1e-9) / 100),
            );
        }
        if ($count * $tempo->fastest < CountLength::MIN - 1e-6) {
            $problems['fastest'] = self::sentence(
                $count, $tempo->fastest, 'at least '.Numbers::print(ceil(CountLength::MIN / $count * 100 - 1e-9) / 100),
            );
        }

        return $problems;
    }

    private static function sentence(float $count, float $factor, string $range): string
    {
        return sprintf(
            'Counts of %s s at %s times the length would last %s s; a count lasts %s to %s s. Here: %s times.',
            Numbers::print($count), Numbers::print($factor), Numbers::print($count * $factor), Numbers::print(CountLength::MIN),
            Numbers::print(CountLength::MAX), $range,
        );
    }
}
