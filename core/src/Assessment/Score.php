<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

/** The score of a questionnaire. */
final readonly class Score
{
    /**
     * @param  float|null  $value  null when too many answers are missing
     * @param  int  $missing  answers that are missing; over 0, the value is scaled up and marked
     */
    public function __construct(public ?float $value, public int $missing, public string $band)
    {
    }
}
