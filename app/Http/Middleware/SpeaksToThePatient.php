<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Guard\DeviceGuard;
use App\Language\PatientLanguage;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Whatever a device is told, also why something was refused, is in the language of its patient. */
final class SpeaksToThePatient
{
    public function handle(Request $request, Closure $next): Response
    {
        $device = DeviceGuard::deviceOf($request, signedOutToo: true);
        PatientLanguage::speak($device?->patient->locale ?? PatientLanguage::wished($request));

        return $next($request);
    }
}
