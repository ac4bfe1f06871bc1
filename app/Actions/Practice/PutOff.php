<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Models\Device;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\DueSlot;
use IvoryPace\Practice\Windows;

/** A patient says that a practice is not for today. The last word about it counts. */
final class PutOff
{
    /**
     * @param  array<string, mixed>  $said  day, lineage, anchor, reason
     *
     * @throws ValidationException unless that practice was planned for that day
     */
    public function __invoke(Device $device, array $said, CarbonImmutable $at): PutOffPractice
    {
        $patient = $device->patient->load('activeProgramme.versions.items');
        $today = $patient->dayOf(now());
        try {
            $day = PatientDay::of((string) $said['day']);
        } catch (InvalidValue) {
            $this->refuse();
        }
        $programme = $patient->activeProgramme;
        $slots = $programme === null || $day->isAfter($today) || $day->daysUntil($today) > Windows::WAITS_AT_MOST_DAYS ? []
            : (new DuePractices($programme->history(), $patient->clock()))->ofItem($day, (string) $said['lineage']);
        if (array_filter($slots, fn (DueSlot $slot) => $slot->anchor->value === $said['anchor']) === []) {
            $this->refuse();
        }

        return PutOffPractice::query()->updateOrCreate(
            ['patient_id' => $patient->id, 'day' => $day->date, 'lineage' => $said['lineage'], 'anchor' => $said['anchor']],
            ['device_id' => $device->id, 'reason' => $said['reason'], 'said_at' => $at],
        );
    }

    private function refuse(): never
    {
        throw ValidationException::withMessages(['day' => (string) __('patient.put-off.not-planned')]);
    }
}
