<?php

declare(strict_types=1);

namespace IvoryPace\Health;

/** Why a practice ended before its end. */
enum StopClass: string
{
    /** Interrupted or unwilling: no symptom. */
    case NoSymptom = 'no-symptom';
    /** A symptom that made the patient stop. */
    case MadeMeStop = 'made-me-stop';
    /** A symptom for which help is needed at once. */
    case GetHelp = 'get-help';

    public function isSymptom(): bool
    {
        return $this !== self::NoSymptom;
    }
}
