<?php

declare(strict_types=1);

namespace App\Feeds;

use DateTimeImmutable;
use DateTimeZone;
use IvoryPace\Calendar\ZoneChange;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/**
 * A calendar that other programs read (RFC 5545). Times stand in their own zone, whose changes are written out: strict readers
 * take them for floating otherwise. The same content is the same text.
 */
final class Calendar
{
    private const LOCAL = 'Ymd\THis';

    private const UTC = 'Ymd\THis\Z';

    /** By an hour, or by half an hour; seen from before and from after. */
    private const TURNED_BACK = [3600, -3600, 1800, -1800];

    private readonly VCalendar $calendar;

    private readonly string $host;

    /** @param  DateTimeImmutable  $now  in the zone of all times */
    public function __construct(string $name, private readonly DateTimeImmutable $now)
    {
        $this->host = (string) (parse_url(config()->string('app.url'), PHP_URL_HOST) ?: 'localhost');
        $this->calendar = new VCalendar(['PRODID' => '-//Ivory Pace//Calendar//EN', 'METHOD' => 'PUBLISH', 'X-WR-CALNAME' => $name]);
        $this->calendar->add('REFRESH-INTERVAL', 'PT1H', ['VALUE' => 'DURATION']);
        $this->calendar->add('X-PUBLISHED-TTL', 'PT1H');
        $this->addZone($now->getTimezone());
    }

    /**
     * @param  string  $id  what stays the same when the event changes
     * @param  DateTimeImmutable  $changed  when it became what it is
     * @param  string|null  $wall  its time by the clock, like 01:30, where it repeats: also where the clock skips it the first time
     */
    public function event(
        string $id,
        string $summary,
        DateTimeImmutable $starts,
        int $minutes,
        DateTimeImmutable $changed,
        int $revision = 0,
        ?string $wall = null,
    ): VEvent {
        $here = $starts->setTimezone($this->now->getTimezone());
        $event = $this->calendar->add('VEVENT', [
            'UID' => "{$id}@{$this->host}", 'DTSTAMP' => self::utc($changed),
            'SEQUENCE' => (string) $revision, 'SUMMARY' => $summary,
        ]);
        assert($event instanceof VEvent);
        if ($wall === null && self::comesTwice($here)) {
            $event->add('DTSTART', self::utc($here));
        } else {
            $this->addLocal($event, 'DTSTART', $here->format('Y-m-d').' '.($wall ?? $here->format('H:i')));
        }
        $event->add('DURATION', "PT{$minutes}M");

        return $event;
    }

    /** @param  int  $minutes  after the beginning; below zero before it */
    public static function remind(VEvent $event, int $minutes, string $words): void
    {
        $alarm = $event->add('VALARM', ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $words]);
        assert($alarm instanceof \Sabre\VObject\Component);
        $alarm->add('TRIGGER', ($minutes < 0 ? '-' : '').'PT'.abs($minutes).'M');
    }

    /**
     * What repeats takes place at another moment than readers would take it for.
     *
     * @param  string  $wall  date and time by the clock, like "2026-10-25 01:30"
     */
    public function instead(VEvent $event, string $wall, DateTimeImmutable $at): void
    {
        $this->addLocal($event, 'EXDATE', $wall);
        $event->add('RDATE', self::utc($at));
    }

    /** A moment, without a zone. */
    public static function utc(DateTimeImmutable $at): string
    {
        return $at->setTimezone(new DateTimeZone('UTC'))->format(self::UTC);
    }

    private function addLocal(VEvent $event, string $name, string $wall): void
    {
        $zone = $this->now->getTimezone()->getName();
        $text = (new DateTimeImmutable("{$wall}:00 UTC"))->format(self::LOCAL);
        $event->add($name, $zone === 'UTC' ? "{$text}Z" : $text, $zone === 'UTC' ? [] : ['TZID' => $zone]);
    }

    /** In the night on which the clocks go back: readers do not agree on which of the two is meant. */
    private static function comesTwice(DateTimeImmutable $here): bool
    {
        foreach (self::TURNED_BACK as $seconds) {
            $other = (new DateTimeImmutable('@'.($here->getTimestamp() + $seconds)))->setTimezone($here->getTimezone());
            if ($other->format('Y-m-d H:i') === $here->format('Y-m-d H:i')) {
                return true;
            }
        }

        return false;
    }

    public function text(): string
    {
        return $this->calendar->serialize();
    }

    /** Two years either way are enough for what is written into a calendar, and the text changes with the year only. */
    private function addZone(DateTimeZone $zone): void
    {
        if ($zone->getName() === 'UTC') {
            return;
        }
        $year = (int) $this->now->format('Y');
        $component = $this->calendar->createComponent('VTIMEZONE', ['TZID' => $zone->getName()]);
        foreach (ZoneChange::of($zone, self::newYear($year - 2), self::newYear($year + 3)) as $change) {
            // By the clock that was changed.
            $wall = $change->at->modify("{$change->from} seconds")->setTimezone(new DateTimeZone('UTC'));
            $component->add($this->calendar->createComponent($change->isSummer ? 'DAYLIGHT' : 'STANDARD', [
                'DTSTART' => $wall->format(self::LOCAL), 'TZOFFSETFROM' => self::offset($change->from),
                'TZOFFSETTO' => self::offset($change->to),
                'TZNAME' => $change->name,
            ]));
        }
        $this->calendar->add($component);
    }

    private static function newYear(int $year): DateTimeImmutable
    {
        return new DateTimeImmutable("{$year}-01-01 00:00:00 UTC");
    }

    private static function offset(int $seconds): string
    {
        return sprintf('%s%02d%02d', $seconds < 0 ? '-' : '+', intdiv(abs($seconds), 3600), intdiv(abs($seconds) % 3600, 60));
    }
}
