<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Models\Device;
use App\Models\HomeCheck;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\Windows;

/** A minute of taps at home becomes a rate. It stands beside the measured ones and never takes their place. */
final class StoreHomeCheck
{
    /**
     * @param  list<mixed>  $taps  ms
     *
     * @throws ValidationException when no rate can be told from them
     */
    public function __invoke(Device $device, string $uuid, array $taps, CarbonImmutable $takenAt): HomeCheck
    {
        $known = HomeCheck::withStruck()->firstWhere('uuid', $uuid);
        if ($known !== null) {
            return $known->patient_id === $device->patient_id ? $known : $this->refuse((string) __('patient.log.someone-else'));
        }
        if ($takenAt > now()->addMinutes(5) || $takenAt < now()->subDays(Windows::WAITS_AT_MOST_DAYS)) {
            $this->refuse((string) __('patient.check.when'));
        }
        try {
            $rate = TappedRate::of($taps);
        } catch (InvalidValue) {
            $this->refuse((string) __('patient.check.too-few'));
        }

        return HomeCheck::query()->create([
            'uuid' => $uuid, 'patient_id' => $device->patient_id, 'device_id' => $device->id, 'taken_at' => $takenAt,
            'taps' => $rate->taps, 'rate' => min(999.99, round($rate->rate, 2)), 'doubtful' => min(255, count($rate->doubtful)),
        ]);
    }

    private function refuse(string $message): never
    {
        throw ValidationException::withMessages(['taps' => $message]);
    }
}
