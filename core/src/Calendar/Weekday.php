<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

/** Days of the week by their ISO 8601 number. */
enum Weekday: int
{
    case Monday = 1;
    case Tuesday = 2;
    case Wednesday = 3;
    case Thursday = 4;
    case Friday = 5;
    case Saturday = 6;
    case Sunday = 7;
}
