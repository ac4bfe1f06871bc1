<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\DiaryEntry;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\DiaryDay;
use IvoryPace\Practice\Windows;

/** Keeps what a patient writes about a day; writing again on it replaces it, while the day may still be written. */
final class WriteDiary
{
    /**
     * @param  array<array-key, int|null>  $ratings  by id of a chosen symptom
     * @param  CarbonImmutable  $writtenAt  it may have waited on the device since then
     *
     * @throws ValidationException
     */
    public function __invoke(
        Device $device,
        string $day,
        array $ratings,
        ?int $sleep,
        ?string $text,
        CarbonImmutable $writtenAt,
    ): DiaryEntry {
        $patient = $device->patient;
        $today = $patient->dayOf(now());
        try {
            // Neither is a day written ahead by a clock that is wrong, nor one of long ago by a word sent late.
            if (
                $patient->dayOf($writtenAt)->isAfter($today) || $patient->dayOf($writtenAt)->daysUntil($today) > Windows::WAITS_AT_MOST_DAYS
            ) {
                throw InvalidValue::because('That is not a time at which this can have been written.');
            }
            $written = DiaryDay::written(PatientDay::of($day), $patient->dayOf($writtenAt));
        } catch (InvalidValue) {
            throw ValidationException::withMessages(['day' => __('patient.diary.not-now', ['days' => DiaryDay::LATE_DAYS])]);
        }
        $chosen = $patient->symptoms()->limit(ChosenSymptom::MOST)->pluck('id')->all();
        $kept = array_filter(
            $ratings, fn (?int $rating, int|string $symptom) => $rating !== null && in_array((int) $symptom, $chosen, true),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($kept === [] && $sleep === null && $text === null) {
            throw ValidationException::withMessages(['text' => __('patient.diary.empty')]);
        }

        $known = DiaryEntry::query()->where('patient_id', $patient->id)->where('day', $written->day->date)->first();
        if ($known !== null && $known->written_at > $writtenAt) {
            return $known; // a later word is there already
        }

        return DiaryEntry::query()->updateOrCreate(['patient_id' => $patient->id, 'day' => $written->day->date], [
            'device_id' => $device->id, 'content' => ['ratings' => $kept, 'sleep' => $sleep, 'text' => $text],
            'is_late' => $written->isLate, 'written_at' => $writtenAt,
        ]);
    }
}
