<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Guard\Nodes\Turn;
use App\Guard\Trail;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\TrailKind;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * Every look at a record and every change leaves a line. A change and its line are one transaction: neither is there without
 * the other. What is refused changes nothing.
 */
final class LeavesTrail
{
    /** Addresses under a patient whose answer is computed and keeps nothing; they read the record all the same. */
    private const COMPUTES = [
        'bench/answer', 'bench/play', 'bench/taps', 'bench/fit', 'bench/compare', 'bench/changes', 'bench/check', 'bench/import',
        'measure/rate', 'measure/ceiling', 'signals/paces',
    ];

    /** Pages that show nothing of anyone. */
    private const OF_NOBODY = ['exercises', 'routines', 'voice', 'account'];

    /** Files that are taken out of the clinic. */
    private const FILES = [
        'sheet.pdf', 'programme.json', 'calendar.ics', 'letter.pdf', 'letter.txt', 'draft.pdf', 'record.zip', 'report.pdf', 'report.csv',
        'trace.edf', 'trace.csv',
    ];

    public function __construct(private readonly Trail $trail)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $this->trail->begin();
        $response = $request->isMethodSafe() || self::onlyComputes($request) ? $this->read($request, $next) : $this->write($request, $next);
        if ($response->getStatusCode() === 403 || self::isOfAnotherClinic($request)) {
            $this->leave($request, TrailKind::Refused);
        }

        return $response;
    }

    /** What is computed while one types is answered first. */
    public function terminate(Request $request, Response $response): void
    {
        if (self::onlyComputes($request) && ! self::isRefused($response) && ! self::isOfAnotherClinic($request)) {
            $this->leave($request, TrailKind::Read);
        }
    }

    /** @param  Closure(Request): Response  $next */
    private function read(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (! self::isRefused($response) && ! self::isOfNobody($request) && ! self::onlyComputes($request)) {
            $this->leave($request, self::isFile($request) ? TrailKind::Export : TrailKind::Read);
        }

        return $response;
    }

    /** @param  Closure(Request): Response  $next */
    private function write(Request $request, Closure $next): Response
    {
        DB::beginTransaction();
        try {
            self::waitForOthers($request);
            $response = $next($request);
            if (self::isRefused($response)) {
                DB::rollBack();
            } else {
                $this->leave($request, self::isFile($request) ? TrailKind::Export : TrailKind::Write);
                DB::commit();
            }

            return $response;
        } catch (Throwable $problem) {
            DB::rollBack();
            throw $problem;
        }
    }

    /**
     * Before anything is read: what a transaction reads is as it was when it first read, and what is decided here must be
     * decided by what another request has just written.
     */
    private static function waitForOthers(Request $request): void
    {
        $patient = $request->route('patient');
        if ($patient instanceof Patient) {
            Patient::query()->whereKey($patient->id)->lockForUpdate()->value('id');
            Turn::take($patient->id);
        }
    }

    public static function onlyComputes(Request $request): bool
    {
        return in_array(self::what($request), self::COMPUTES, true);
    }

    private function leave(Request $request, TrailKind $kind): void
    {
        $patient = $request->route('patient');
        $who = $request->user('practitioner');
        if ($who instanceof Practitioner) {
            $isOurs = $patient instanceof Patient && $patient->clinic_id === $who->clinic_id;
            $this->trail->practitioner($who, $kind, self::what($request), $isOurs ? $patient : null);
        }
    }

    private static function isOfAnotherClinic(Request $request): bool
    {
        $patient = $request->route('patient');

        return $patient instanceof Patient && $patient->clinic_id !== $request->user('practitioner')?->clinic_id;
    }

    /** A redirect back to a form with its problems is a refusal too. */
    private static function isRefused(Response $response): bool
    {
        return $response->getStatusCode() >= 400 || isset($response->exception);
    }

    private static function isFile(Request $request): bool
    {
        return in_array(basename($request->path()), self::FILES, true);
    }

    private static function isOfNobody(Request $request): bool
    {
        $first = explode('/', self::what($request))[0];

        return in_array($first, self::OF_NOBODY, true) || self::what($request) === 'patients/new';
    }

    private static function what(Request $request): string
    {
        $address = $request->route()?->uri() ?? '';
        $path = (string) preg_replace('#^patients/\{patient\}/?#', '', $address);

        return match (true) {
            $path !== '' && $path !== '/' => $path,
            str_starts_with($address, 'patients/') => 'course',
            default => 'caseload',
        };
    }
}
