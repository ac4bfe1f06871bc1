<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Language\PatientLanguage;
use App\Mail\PatientMail;
use App\Models\Patient;
use Illuminate\Support\Facades\Mail;
use Illuminate\Validation\ValidationException;

/** Sends a link to the address that stands among the patient's contact. The code is not in it: one of the two is enough. */
final class SendAccessLink
{
    /**
     * @return string to where
     *
     * @throws ValidationException when no address is known
     */
    public function __invoke(Patient $patient, string $address): string
    {
        $to = $patient->email() ?? throw ValidationException::withMessages([
            'send' => 'There is no e-mail address under Contact. Enter it on the Record, under Details, then send the link.',
        ]);
        PatientLanguage::of(
            $patient, fn () => Mail::to($to)->queue(PatientMail::link($patient->clinic, $address, MakeAccessLink::DAYS)),
        );

        return $to;
    }
}
