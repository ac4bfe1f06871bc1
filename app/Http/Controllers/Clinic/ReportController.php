<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Models\Practitioner;
use App\Reports\QuarterReport;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A clinic's report by quarter, to be given away. */
final class ReportController
{
    public function pdf(Request $request, #[CurrentUser] Practitioner $practitioner): Response
    {
        return self::file(self::asked($request, $practitioner)->pdf(), 'application/pdf', 'report.pdf');
    }

    public function csv(Request $request, #[CurrentUser] Practitioner $practitioner): Response
    {
        $csv = self::asked($request, $practitioner)->csv($request->boolean('byte_mark'));

        return self::file($csv, 'text/csv; charset=UTF-8', 'report.csv');
    }

    private static function asked(Request $request, Practitioner $practitioner): QuarterReport
    {
        $quarter = $request->query('quarter');

        return QuarterReport::of($practitioner->clinic, is_string($quarter) ? $quarter : null, CarbonImmutable::now());
    }

    private static function file(string $bytes, string $type, string $name): Response
    {
        return response($bytes, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }
}
