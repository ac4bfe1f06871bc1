<?php

declare(strict_types=1);

namespace App\Pages\Week;

use App\Facts\Caseload\CaseloadFilter;
use App\Facts\Caseload\CaseloadLines;
use App\Models\Clinic;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use IvoryPace\Progress\CaseloadReason;

/** Patients whose name or date of birth begins as was typed. */
final class PatientsFound
{
    private const MOST = 8;

    /** @return list<array{id: string, name: string, born: string, came: bool}> came, or is to come, already */
    public static function of(Clinic $clinic, string $typed, CarbonImmutable $now): array
    {
        if (trim($typed) === '') {
            return [];
        }
        // Somebody may have been added a moment ago.
        CaseloadLines::refreshFor($clinic, $now);
        $lines = DB::table('caseload_lines')->where('clinic_id', $clinic->id)->where('reason', '!=', CaseloadReason::Archived->value);
        CaseloadFilter::named($lines, $typed);
        $ids = $lines->orderBy('names')->orderBy('patient_id')->limit(self::MOST)->pluck('patient_id')->all();

        $known = [
            ...DB::table('appointments')->whereIn('patient_id', $ids)->whereNull('cancelled_at')->distinct()->pluck('patient_id'),
            ...DB::table('care_sessions')->whereIn('patient_id', $ids)->distinct()->pluck('patient_id'),
        ];

        return array_values(Patient::query()->whereIn('id', $ids)->orderBy('name')->orderBy('id')->get()->map(fn (Patient $each) => [
            'id' => $each->id, 'name' => $each->name, 'born' => $each->birth_date->format('j M Y'),
            'came' => in_array($each->id, $known, true),
        ])->all());
    }
}
