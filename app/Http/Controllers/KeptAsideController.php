<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Device\Outbox\SettleKeptAside;
use App\Models\KeptAside;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What a signed-out device sent is accepted or refused. */
final class KeptAsideController
{
    public function __invoke(
        Request $request,
        Patient $patient,
        KeptAside $kept,
        #[CurrentUser] Practitioner $practitioner,
        SettleKeptAside $settle,
    ): RedirectResponse {
        abort_unless($kept->patient_id === $patient->id, 404);
        $settle($kept, $practitioner, $request->boolean('accept'));

        return redirect("/patients/{$patient->id}/access")->with(
            'flash', $request->boolean('accept') ? 'Taken into the record.' : 'Refused; it stays out of the record.',
        );
    }
}
