<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\TrailEntry;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Every look at a patient's record and every change of it leaves a line, after the answer has been sent. What only
 * computes leaves none.
 */
final class LeavesTrail
{
    /** Addresses under a patient that neither show nor change the record. */
    private const COMPUTES = [
        'bench/answer', 'bench/play', 'bench/taps', 'bench/fit', 'bench/compare', 'bench/changes', 'bench/import', 'measure/rate',
        'measure/ceiling',
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        return $next($request);
    }

    public function terminate(Request $request, Response $response): void
    {
        $patient = $request->route('patient');
        $who = $request->user('practitioner');
        if (
            $response->getStatusCode() >= 400 || ! $patient instanceof Patient || ! $who instanceof Practitioner
                || self::onlyComputes($request)
        ) {
            return;
        }
        TrailEntry::query()->insertOrIgnore([
            'clinic_id' => $patient->clinic_id, 'patient_id' => $patient->id, 'practitioner_id' => $who->id,
            'kind' => $request->isMethodSafe() ? 'read' : 'write', 'what' => self::what($request), 'at' => now()->startOfMinute(),
        ]);
    }

    public static function onlyComputes(Request $request): bool
    {
        return in_array(self::what($request), self::COMPUTES, true);
    }

    private static function what(Request $request): string
    {
        $path = (string) preg_replace('#^patients/\{patient\}/?#', '', $request->route()?->uri() ?? '');

        return mb_substr($path === '' ? 'course' : $path, 0, 80);
    }
}
