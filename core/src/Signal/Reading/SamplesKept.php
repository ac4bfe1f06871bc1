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

    /** Minutes that a recording in the room may last; what nobody ended ends then. */
    public const LONGEST_MINUTES = 30;

    /** Batches of one device for one recording: half a second each. */
    public const MOST_PARTS = 4000;

    /** Recordings of one patient within a day: nobody practises more often. */
    public const MOST_A_DAY = 60;
}
