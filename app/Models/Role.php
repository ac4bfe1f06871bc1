<?php

declare(strict_types=1);

namespace App\Models;

/** What a person of the clinic may do beyond seeing patients. */
enum Role: string
{
    case Practitioner = 'practitioner';
    /** Sees who opened and changed what, and gives roles. */
    case Lead = 'lead';

    public function label(): string
    {
        return match ($this) {
            self::Practitioner => 'practitioner',
            self::Lead => 'clinic lead',
        };
    }
}
