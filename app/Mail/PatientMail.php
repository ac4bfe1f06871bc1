<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Clinic;

/** The way to their own pages, for a patient who gave an address: nothing of what is practised or why. */
final class PatientMail extends PlainMail
{
    /** In the language that is spoken while it is made. */
    public static function link(Clinic $clinic, string $address, int $days): self
    {
        $intro = (string) __('patient.mail.intro', ['clinic' => $clinic->name, 'days' => $days]);

        return new self($clinic, (string) __('patient.mail.title'), [$intro, $address, (string) __('patient.mail.not-you')]);
    }
}
