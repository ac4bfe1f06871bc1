<?php

declare(strict_types=1);

namespace IvoryPace\Programme\Need;

use IvoryPace\InvalidValue;

/**
 * An exercise that is used on a symptom or before a trigger, or a habit that is ticked through the day: not on a schedule.
 * Counted, never in adherence.
 */
final readonly class AsNeeded
{
    public const MAX_LENGTH = 80;

    public const MAX_A_DAY = 30;

    /** So many times what was agreed has a day room for: the rest are fingers that slipped. */
    private const ROOM = 2;

    /**
     * @param  string  $useWhen  for the patient, in the prescriber's words
     * @param  int  $dailyMost  1–30 practices a day; of a habit, how often it is to be ticked
     *
     * @throws InvalidValue
     */
    public function __construct(public string $useWhen, public int $dailyMost, public Way $way = Way::Led)
    {
        if (trim($useWhen) === '') {
            throw InvalidValue::because('Say when it is to be used.');
        }
        if (mb_strlen($useWhen) > self::MAX_LENGTH) {
            throw InvalidValue::because('When it is used fits in '.self::MAX_LENGTH.' letters.');
        }
        if ($dailyMost < 1 || $dailyMost > self::MAX_A_DAY) {
            throw InvalidValue::because("At most $dailyMost a day is outside 1 to ".self::MAX_A_DAY.'.');
        }
    }

    /** Ticks of a habit that a day has room for. */
    public function room(): int
    {
        return self::ROOM * $this->dailyMost;
    }

    /** For the prescriber: "when worry comes, at most 3 a day". */
    public function summary(): string
    {
        return match ($this->way) {
            Way::Led => "when {$this->useWhen}, at most {$this->dailyMost} a day",
            Way::Open => "when {$this->useWhen}, as long as it helps, at most {$this->dailyMost} a day",
            Way::Ticked => "{$this->useWhen}, ticked {$this->dailyMost} a day",
        };
    }
}
