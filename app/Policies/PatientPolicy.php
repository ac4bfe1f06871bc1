<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Auth\Access\Response;

/** A patient belongs to one clinic. Others are told that there is no such patient. */
final class PatientPolicy
{
    public function view(Practitioner $practitioner, Patient $patient): Response
    {
        return $practitioner->clinic_id === $patient->clinic_id ? Response::allow() : Response::denyAsNotFound();
    }

    public function update(Practitioner $practitioner, Patient $patient): Response
    {
        return $this->view($practitioner, $patient);
    }
}
