<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\DiaryEntry;
use Illuminate\Validation\ValidationException;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\DiaryDay;
use IvoryPace\Practice\PatientDay;

/** Keeps what a patient writes about a day; writing again on it replaces it, while the day may still be written. */
final class WriteDiary
{
    /**
     * @param  array<array-key, int|null>  $ratings  by id of a chosen symptom
     *
     * @throws ValidationException
     */
    public function __invoke(Device $device, string $day, array $ratings, ?int $sleep, ?string $text): DiaryEntry
    {
        $patient = $device->patient;
        try {
            $written = DiaryDay::written(PatientDay::of($day), $patient->dayOf(now()));
        } catch (InvalidValue) {
            throw ValidationException::withMessages(['day' => __('patient.diary.not-now', ['days' => DiaryDay::LATE_DAYS])]);
        }
        $chosen = $patient->symptoms()->limit(ChosenSymptom::MOST)->pluck('id')->all();
        $kept = array_filter($ratings, fn (?int $rating, int|string $symptom) => $rating !== null && in_array((int) $symptom, $chosen, true), ARRAY_FILTER_USE_BOTH);
        if ($kept === [] && $sleep === null && $text === null) {
            throw ValidationException::withMessages(['text' => __('patient.diary.empty')]);
        }

        return DiaryEntry::query()->updateOrCreate(['patient_id' => $patient->id, 'day' => $written->day->date], [
            'device_id' => $device->id, 'content' => ['ratings' => $kept, 'sleep' => $sleep, 'text' => $text], 'is_late' => $written->isLate, 'written_at' => now(),
        ]);
    }
}
