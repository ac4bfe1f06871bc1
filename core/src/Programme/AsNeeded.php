<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\InvalidValue;

/** An exercise that is used on a symptom or before a trigger, not on a schedule. Counted, never in adherence. */
final readonly class AsNeeded
{
    public const MAX_LENGTH = 80;

    public const MAX_A_DAY = 30;

    /**
     * @param  string  $useWhen  for the patient, in the prescriber's words
     * @param  int  $dailyMost  1–30 practices a day
     *
     * @throws InvalidValue
     */
    public function __construct(public string $useWhen, public int $dailyMost)
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
}
