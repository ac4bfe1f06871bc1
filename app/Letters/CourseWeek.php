<?php

declare(strict_types=1);

namespace App\Letters;

use Carbon\CarbonImmutable;
use IvoryPace\Calendar\PatientDay;

/** Seven days of the Course. */
final readonly class CourseWeek
{
    private const MOST = 60;

    /**
     * @param  string  $from  its first day, printed
     * @param  list<int>  $versions  that came into force in it
     * @param  float|null  $share  0–1 of what was due; null when nothing was
     * @param  int  $stops  practices that were stopped for a symptom
     * @param  float|null  $before  median rating before practice, 0–10
     * @param  float|null  $after  and after it
     */
    public function __construct(
        public string $from,
        public array $versions,
        public ?float $share,
        public int $stops,
        public ?float $before,
        public ?float $after,
    ) {
    }

    /** @return list<self> from the programme's first day on, the latest 60 of them; none without a programme that has begun */
    public static function all(LetterFactsOf $of): array
    {
        $programme = $of->programme;
        $evidence = $of->evidence;
        if ($programme === null || $evidence === null) {
            return [];
        }
        $first = $programme->history()->firstDay();
        $last = $programme->closed_on === null ? $of->patient->dayOf($of->now) : PatientDay::of($programme->closed_on->format('Y-m-d'));
        $count = $last->isBefore($first) ? 0 : intdiv($first->daysUntil($last), 7) + 1;
        $weeks = [];
        for ($number = max(0, $count - self::MOST); $number < $count; $number++) {
            $from = $first->plusDays(7 * $number);
            $to = $from->plusDays(6);
            $to = $to->isAfter($last) ? $last : $to;
            $week = $evidence->from($from, $to);
            $began = [];
            foreach ($programme->versions as $version) {
                $day = $version->in_force_from->format('Y-m-d');
                if ($day >= $from->date && $day <= $to->date) {
                    $began[] = $version->number;
                }
            }
            $weeks[] = new self(
                CarbonImmutable::parse($from->date)->format('j M'), $began, $week->adherence(),
                $week->stops, $week->before, $week->after,
            );
        }

        return $weeks;
    }
}
