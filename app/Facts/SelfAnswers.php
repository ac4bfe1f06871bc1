<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Practice;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use IvoryPace\Median;
use IvoryPace\Numbers;
use IvoryPace\Programme\SelfCheck;

/** What a patient answered about themselves after practices: their own word, beside what is measured in the room. */
final readonly class SelfAnswers
{
    /** A year of three practices a day. */
    private const MOST = 1200;

    /** @param  non-empty-list<string>  $answers  in order of time */
    private function __construct(public string $exercise, public SelfCheck $check, public array $answers)
    {
    }

    /** @return list<self> by exercise, then by what was asked */
    public static function since(Programme $programme, DateTimeImmutable $from, CarbonImmutable $now): array
    {
        $practices = Practice::query()->where('patient_id', $programme->patient_id)
            ->where('started_at', '>=', $from)->where('started_at', '<=', $now)
            ->whereIn('programme_version_id', $programme->versions->modelKeys())->whereNotNull('self_checks')
            ->orderByDesc('started_at')->limit(self::MOST)->get(['id', 'lineage', 'self_checks'])->reverse();
        $all = [];
        foreach ($practices->groupBy('lineage') as $lineage => $ofOne) {
            foreach (SelfCheck::cases() as $check) {
                $answers = array_values(array_filter($ofOne->map(
                    fn (Practice $practice) => $practice->self_checks[$check->value] ?? null,
                )->all(), is_string(...)));
                if ($answers !== []) {
                    $all[] = new self(self::name($programme, (string) $lineage), $check, $answers);
                }
            }
        }

        return $all;
    }

    /**
     * "belly 3, chest 2", the most frequent first; of a pace the medians, "13.5 to 9 a minute".
     *
     * @param  list<string>  $answers
     */
    public static function inWords(array $answers): string
    {
        $paces = array_values(array_filter(array_map(SelfCheck::paces(...), $answers)));
        if ($paces !== []) {
            $median = fn (int $at): string => Numbers::print(Median::of(array_column($paces, $at)), 1);

            return "{$median(0)} to {$median(1)} a minute";
        }
        $times = array_count_values($answers);
        arsort($times);

        return implode(', ', array_map(fn (string $answer, int $count) => "$answer $count", array_keys($times), $times));
    }

    private static function name(Programme $programme, string $lineage): string
    {
        return $programme->versions->reverse()
            ->map(fn (ProgrammeVersion $version) => $version->items->firstWhere('lineage', $lineage)?->item()->name())
            ->first(fn (?string $name) => $name !== null) ?? 'an exercise';
    }
}
