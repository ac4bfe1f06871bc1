<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Calendar\ZoneChange;
use IvoryPace\Programme\Anchor;

/** A time at which one practises week after week, by the clock on the wall: what a calendar repeats. */
final readonly class PracticeTime
{
    /**
     * @param  int  $version  number of the version that asks for it
     * @param  string  $name  of a habit of the patient's own, else empty
     * @param  DateTimeImmutable  $first  when the window opens for the first time, in the patient's zone
     * @param  DateTimeImmutable  $last  and for the last time
     * @param  ClockTime  $opens  by the clock; on a night on which it skips this time, the window opens later
     * @param  int  $minutes  from there to where the window closes
     * @param  non-empty-list<Weekday>  $weekdays  of the calendar, on which it opens
     */
    public function __construct(
        public int $version,
        public Anchor $anchor,
        public string $name,
        public DateTimeImmutable $first,
        public DateTimeImmutable $last,
        public ClockTime $opens,
        public int $minutes,
        public array $weekdays,
    ) {
    }

    /** @return int minutes after the window has opened */
    public function reminderAfter(): int
    {
        return self::half($this->minutes);
    }

    /** How long after a window has opened one is reminded, of how many minutes it has. */
    public static function half(int $minutes): int
    {
        return intdiv($minutes, 2);
    }

    /**
     * Nights on which the clock skips this time or shows it twice: programs that read calendars do not agree on these.
     *
     * @return array<string, DateTimeImmutable> when the window really opens, by the calendar's date, as it is reckoned here
     */
    public function oddNights(): array
    {
        $zone = $this->first->getTimezone();
        $odd = [];
        foreach (ZoneChange::of($zone, $this->first->modify('-1 day'), $this->last->modify('+1 day')) as $change) {
            foreach (['-1 day', '+0 days', '+1 day'] as $beside) {
                $date = $change->at->setTimezone($zone)->modify($beside)->format('Y-m-d');
                $at = new DateTimeImmutable("{$date} {$this->opens->toString()}:00", $zone);
                if ($this->isOn($date) && self::isOdd($at, $this->opens, abs($change->to - $change->from))) {
                    $odd[$date] = $at;
                }
            }
        }

        return $odd;
    }

    private function isOn(string $date): bool
    {
        return $date >= $this->first->format('Y-m-d') && $date <= $this->last->format('Y-m-d')
            && in_array(Weekday::from((int) (new DateTimeImmutable($date))->format('N')), $this->weekdays, true);
    }

    private static function isOdd(DateTimeImmutable $at, ClockTime $opens, int $changeSeconds): bool
    {
        $moment = fn (int $later) => new DateTimeImmutable('@'.($at->getTimestamp() + $later));
        $wall = fn (int $later) => $moment($later)->setTimezone($at->getTimezone())->format('H:i');

        return $wall(0) !== $opens->toString()
            || ($changeSeconds > 0 && in_array($wall(0), [$wall($changeSeconds), $wall(-$changeSeconds)], true));
    }
}
