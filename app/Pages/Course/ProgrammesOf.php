<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Models\Patient;
use App\Models\Programme;
use Illuminate\Support\Facades\DB;

/** The programmes that a patient has had, to go from one to another. */
final class ProgrammesOf
{
    private const MOST = 30;

    /** @return list<array{id: int, text: string, here: bool, running: bool}> latest first; none where there is only one */
    public static function patient(Patient $patient, Programme $here): array
    {
        $all = Programme::query()->where('patient_id', $patient->id)->whereHas('versions')->orderByDesc('id')->limit(self::MOST)
            ->addSelect(
                [
                    '*',
                    'first_day' => DB::table('programme_versions')->whereColumn('programme_id', 'programmes.id')->whereNull('withdrawn_at')
                        ->selectRaw('min(in_force_from)'),
                ],
            )
            ->withCasts(['first_day' => 'immutable_date'])->get();

        return $all->count() < 2 ? [] : array_values($all->map(fn (Programme $each) => [
            'id' => $each->id, 'here' => $each->id === $here->id, 'running' => $each->closed_on === null, 'text' => self::words($each),
        ])->all());
    }

    private static function words(Programme $programme): string
    {
        $from = (string) $programme->first_day?->format('j M Y');

        return ($programme->closed_on === null ? "since $from" : "$from to {$programme->closed_on->format('j M Y')}")
            .($programme->is_maintenance ? ', kept up' : '')
            .($programme->outcome === null ? '' : ": {$programme->outcome->label()}");
    }
}
