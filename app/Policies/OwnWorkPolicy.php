<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\OwnWork;
use App\Models\Practitioner;
use Illuminate\Auth\Access\Response;

/** What a clinic has made belongs to the clinic. Others are told that there is no such thing. */
final class OwnWorkPolicy
{
    public function change(Practitioner $practitioner, OwnWork $own): Response
    {
        return $practitioner->clinic_id === $own->clinic_id ? Response::allow() : Response::denyAsNotFound();
    }
}
