<?php

declare(strict_types=1);

namespace App\Fhir;

use App\Models\Measurement;
use App\Models\Patient;
use IvoryPace\Assessment\Measure;
use IvoryPace\Exchange\MeasureCode;

/** What was measured, each value with how it was taken; struck ones are marked as such. */
final class Measures
{
    private const MOST = 50000;

    public static function add(Bundle $bundle, Patient $patient): void
    {
        $all = Measurement::withStruck()->where('patient_id', $patient->id)->with('symptom')->orderBy('id')->limit(self::MOST)->get();
        foreach ($all as $each) {
            $code = MeasureCode::of($each->measure);
            $bundle->add('Observation', "measure {$each->id}", [
                'status' => $each->struck_at === null ? 'final' : 'entered-in-error',
                'category' => [Said::term('observation-category', match (true) {
                    $code->loinc !== [] => 'vital-signs',
                    $each->measure === Measure::Symptom => 'survey',
                    default => 'exam',
                })],
                'code' => Said::concept($each->symptom === null ? $each->measure->label() : ucfirst($each->symptom->name), $code),
                'subject' => $bundle->to('Patient', 0),
                'effectiveDateTime' => Said::instant($each->measured_at),
                'performer' => [$bundle->to('Practitioner', $each->practitioner_id)],
                'valueQuantity' => Said::quantity($each->value, $each->measure->unit(), $code->ucum),
                'note' => [...Said::note(self::words($each)), ...Said::note($each->struck_reason)],
                'method' => Said::concept(implode(', ', array_filter([$each->method, $each->position->label()]))),
            ]);
        }
    }

    private static function words(Measurement $each): ?string
    {
        $words = $each->details['words'] ?? null;

        return is_string($words) ? $words : null;
    }
}
