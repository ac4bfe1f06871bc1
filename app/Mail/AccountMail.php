<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Clinic;

/** About the account of somebody who works in a clinic: never a word about a patient. */
final class AccountMail extends PlainMail
{
    public static function invitation(Clinic $clinic, string $from, string $address, int $days): self
    {
        return new self($clinic, "Join {$clinic->name}", [
            "$from invites you to {$clinic->name}. Open this address to choose a password; it works once, for $days days:", $address,
            'If you do not know why you get this, do nothing: without the address nobody gets in.',
        ]);
    }

    public static function forgottenPassword(Clinic $clinic, string $address, int $minutes): self
    {
        return new self($clinic, 'A new password', [
            "Somebody asked for a new password for this address. Open this to choose one; it works once, for $minutes minutes:", $address,
            'If it was not you, do nothing: your password stays as it is.',
        ]);
    }

    public static function changed(Clinic $clinic, string $what): self
    {
        return new self($clinic, 'Your account was changed', [
            "$what If it was you, there is nothing to do.",
            'If it was not, tell the lead of your clinic at once, and choose a new password (Sign in, “Forgotten?”).',
        ]);
    }

    /** How many, and of whom nothing. */
    public static function reviewsDue(Clinic $clinic, int $number, string $address): self
    {
        return new self($clinic, $number === 1 ? 'A review is due' : "$number reviews are due", [
            'The Caseload says whose:', $address, 'You can turn these messages off under Account.',
        ]);
    }
}
