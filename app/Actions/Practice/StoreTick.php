<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Facts\Sent;
use App\Guard\Nodes\Turn;
use App\Models\Device;
use App\Models\HabitTick;
use App\Models\Patient;
use App\Models\ProgrammeVersion;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\Windows;

/** Stores a tick once, as long as the day has room for it. */
final class StoreTick
{
    /**
     * @param  array<string, mixed>  $tick  as validated
     *
     * @throws ValidationException
     */
    public function __invoke(Device $device, array $tick, Sent $sent): HabitTick
    {
        return DB::transaction(function () use ($device, $tick, $sent) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($device->patient_id);
            Turn::take($patient->id);
            $known = HabitTick::withStruck()->firstWhere('uuid', $tick['uuid']);
            if ($known !== null) {
                return $known->patient_id === $patient->id ? $known : $this->refuse('uuid', 'patient.log.someone-else');
            }
            $at = $sent->corrected((string) $tick['ticked_at']);
            if ($at > $sent->receivedAt->addMinutes(5) || $at < $sent->receivedAt->subDays(Windows::WAITS_AT_MOST_DAYS)) {
                $this->refuse('ticked_at', 'patient.tick.when');
            }
            $version = ProgrammeVersion::query()->with('items')
                ->whereHas('programme', fn ($programme) => $programme->where('patient_id', $patient->id))
                ->whereKey($tick['version_id'])->first();
            $item = $version?->items->firstWhere('lineage', $tick['lineage'])?->item();
            if ($version === null || $item === null || ! $item->isTicked()) {
                $this->refuse('version_id', 'patient.log.not-yours');
            }
            $day = $patient->dayOf($at);
            if ($day->isBefore(PatientDay::of($version->in_force_from->format('Y-m-d')))) {
                $this->refuse('ticked_at', 'patient.tick.when');
            }
            $already = $patient->ticks()->where('lineage', $tick['lineage'])
                ->where('ticked_at', '>=', $patient->clock()->startsAt($day))
                ->where('ticked_at', '<', $patient->clock()->endsAt($day))->count();
            if ($already >= ($item->asNeeded?->room() ?? 0)) {
                $this->refuse('ticked_at', 'patient.tick.many');
            }

            return HabitTick::query()->create([
                'uuid' => $tick['uuid'], 'patient_id' => $patient->id, 'programme_version_id' => $tick['version_id'],
                'device_id' => $device->id, 'lineage' => $tick['lineage'], 'ticked_at' => $at, 'received_at' => $sent->receivedAt,
            ]);
        });
    }

    private function refuse(string $field, string $why): never
    {
        throw ValidationException::withMessages([$field => (string) __($why)]);
    }
}
