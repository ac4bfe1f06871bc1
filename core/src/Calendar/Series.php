<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use DateTimeImmutable;
use DateTimeZone;
use IvoryPace\InvalidValue;

/** Appointments at the same time of the same weekday, by the clock on the wall: "every two weeks, six times". */
final readonly class Series
{
    public const MOST_WEEKS = 12;

    public const MOST_TIMES = 26;

    private function __construct(private PatientDay $day, private ClockTime $time, private int $everyWeeks, private int $times)
    {
    }

    /**
     * @param  PatientDay  $day  of the first, by the calendar
     * @param  int  $everyWeeks  1–12
     * @param  int  $times  1–26, the first included
     *
     * @throws InvalidValue
     */
    public static function of(PatientDay $day, ClockTime $time, int $everyWeeks = 1, int $times = 1): self
    {
        if ($everyWeeks < 1 || $everyWeeks > self::MOST_WEEKS) {
            throw InvalidValue::because('Every 1 to '.self::MOST_WEEKS." weeks, not every {$everyWeeks}.");
        }
        if ($times < 1 || $times > self::MOST_TIMES) {
            throw InvalidValue::because('1 to '.self::MOST_TIMES." times, not {$times}.");
        }

        return new self($day, $time, $everyWeeks, $times);
    }

    /** @return non-empty-list<DateTimeImmutable> when each begins; a time that the clock skips in spring is an hour later */
    public function starts(DateTimeZone $zone): array
    {
        return array_map(function (int $at) use ($zone) {
            $day = $this->day->plusDays(7 * $at * $this->everyWeeks);

            return new DateTimeImmutable("{$day->date} {$this->time->toString()}:00", $zone);
        }, range(0, $this->times - 1));
    }

    /**
     * Another appointment of a series follows one that was moved: as many days and minutes of the wall clock as that one.
     *
     * @param  DateTimeImmutable  $moved  where the one that was moved stood, $to where it stands now
     * @return DateTimeImmutable in the zone of $to
     */
    public static function follow(DateTimeImmutable $other, DateTimeImmutable $moved, DateTimeImmutable $to): DateTimeImmutable
    {
        $zone = $to->getTimezone();
        // Hands of the clock are reckoned with where no clock is ever changed.
        $wall = fn (DateTimeImmutable $at) => new DateTimeImmutable($at->setTimezone($zone)->format('Y-m-d H:i:s').' UTC');
        $seconds = $wall($to)->getTimestamp() - $wall($moved)->getTimestamp();

        return new DateTimeImmutable($wall($other)->modify("{$seconds} seconds")->format('Y-m-d H:i:s'), $zone);
    }
}
