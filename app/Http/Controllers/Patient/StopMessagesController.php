<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Guard\StopLink;
use App\Language\PatientLanguage;
use App\Models\Patient;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** No more messages: asked for by the address that stands in each of them. Opening it changes nothing, one tap does. */
final class StopMessagesController
{
    public function show(Request $request, string $token): Response
    {
        return self::page(StopLink::patient($token), $request, 'ask');
    }

    public function stop(Request $request, string $token): Response
    {
        $patient = StopLink::patient($token);
        $patient?->update(['mails_appointments' => false, 'mails_practice' => false]);

        return self::page($patient, $request, 'done');
    }

    private static function page(?Patient $patient, Request $request, string $state): Response
    {
        PatientLanguage::speak($patient->locale ?? PatientLanguage::wished($request));

        $shown = ['state' => $patient === null ? 'old' : $state, 'clinic' => $patient->clinic->name ?? ''];

        return response()->view('messages', $shown, $patient === null ? 404 : 200);
    }
}
