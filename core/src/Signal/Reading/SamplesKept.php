<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Reading;

/** How long the samples of a recording stay: what they said stays longer. Common practice. */
final class SamplesKept
{
    /** Days, where the patient has agreed; without that they go as soon as they are read. */
    public const DAYS = 90;

    /** Hours in which the rest of a recording may still come in. */
    public const LATE_HOURS = 48;

    /** Recordings of one patient within a day: nobody practises more often. */
    public const MOST_A_DAY = 60;
}
