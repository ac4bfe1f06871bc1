<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use DateTimeImmutable;

/** A pause that a stop or an answer brings about, in force until a practitioner has looked. */
final readonly class PauseDecision
{
    /** @param  DateTimeImmutable  $from  when what brought it happened, not when it was heard of */
    public function __construct(public string $rule, public bool $everyExercise, public DateTimeImmutable $from)
    {
    }
}
