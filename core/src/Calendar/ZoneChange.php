<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use DateTimeImmutable;
use DateTimeZone;

/** A moment from which on the clocks of a zone show another time. */
final readonly class ZoneChange
{
    /**
     * @param  int  $from  seconds east of UTC before it
     * @param  int  $to  and from it on
     */
    private function __construct(
        public DateTimeImmutable $at,
        public int $from,
        public int $to,
        public bool $isSummer,
        public string $name,
    ) {
    }

    /**
     * @return non-empty-list<self> the one in whose time $since lies (as a change from the same to the same), and all until $until
     */
    public static function of(DateTimeZone $zone, DateTimeImmutable $since, DateTimeImmutable $until): array
    {
        $all = $zone->getTransitions($since->getTimestamp(), $until->getTimestamp());
        $before = $all[0]['offset'] ?? $zone->getOffset($since);
        $changes = [];
        foreach ($all as $each) {
            $changes[] = new self(
                new DateTimeImmutable("@{$each['ts']}"), $before, $each['offset'], $each['isdst'], $each['abbr'],
            );
            $before = $each['offset'];
        }

        return $changes === [] ? [new self($since, $before, $before, false, $zone->getName())] : $changes;
    }
}
