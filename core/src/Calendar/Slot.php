<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use DateTimeImmutable;
use IvoryPace\InvalidValue;

/** A stretch of somebody's time, from an instant to another that no longer belongs to it. */
final readonly class Slot
{
    public const SHORTEST = 5;

    public const LONGEST = 480;

    private function __construct(public DateTimeImmutable $starts, public DateTimeImmutable $ends)
    {
    }

    /**
     * An appointment.
     *
     * @param  int  $minutes  5–480
     *
     * @throws InvalidValue
     */
    public static function of(DateTimeImmutable $starts, int $minutes): self
    {
        if ($minutes < self::SHORTEST || $minutes > self::LONGEST) {
            throw InvalidValue::because('An appointment takes '.self::SHORTEST.' to '.self::LONGEST." minutes, not {$minutes}.");
        }

        return new self($starts, $starts->modify("+{$minutes} minutes"));
    }

    /**
     * Any stretch, for example an absence of days.
     *
     * @throws InvalidValue when it ends before it begins
     */
    public static function between(DateTimeImmutable $starts, DateTimeImmutable $ends): self
    {
        if ($ends <= $starts) {
            throw InvalidValue::because('The end has to come after the beginning.');
        }

        return new self($starts, $ends);
    }

    /** Whether some moment belongs to both; one that begins when the other ends does not meet it. */
    public function meets(self $other): bool
    {
        return $this->starts < $other->ends && $other->starts < $this->ends;
    }
}
