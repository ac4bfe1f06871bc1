<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

/** A pause that a stop brings about, in force until a practitioner has looked. */
final readonly class PauseDecision
{
    public function __construct(public string $rule, public bool $everyExercise)
    {
    }
}
