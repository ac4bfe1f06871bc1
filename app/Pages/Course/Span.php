<?php

declare(strict_types=1);

namespace App\Pages\Course;

use IvoryPace\Calendar\PatientDay;

/** How much of the Course is shown. */
enum Span: string
{
    case TwoWeeks = '2w';
    case ThreeMonths = '3m';
    case All = 'all';

    private const DAYS = ['2w' => 14, '3m' => 91];

    /** A day is drawn for itself up to here; beyond, weeks are. */
    private const MOST_SINGLE_DAYS = 120;

    public function label(): string
    {
        return match ($this) {
            self::TwoWeeks => '2 weeks', self::ThreeMonths => '3 months', self::All => 'all',
        };
    }

    /** Its first day: never before the programme's. */
    public function firstDay(PatientDay $first, PatientDay $today): PatientDay
    {
        $from = $this === self::All ? $first : $today->plusDays(1 - self::DAYS[$this->value]);

        return $from->isBefore($first) ? $first : $from;
    }

    /** The end of the axis: two weeks are shown at least. */
    public static function to(PatientDay $from, PatientDay $today): PatientDay
    {
        return $from->plusDays(max(14, $from->daysUntil($today) + 1) - 1);
    }

    public static function isByWeek(PatientDay $from, PatientDay $to): bool
    {
        return $from->daysUntil($to) >= self::MOST_SINGLE_DAYS;
    }
}
