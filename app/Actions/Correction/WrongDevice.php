<?php

declare(strict_types=1);

namespace App\Actions\Correction;

use App\Actions\Programme\RecheckProgramme;
use App\Actions\Recording\ForgetSamples;
use App\Guard\Trail;
use App\Models\Device;
use App\Models\DiaryEntry;
use App\Models\HabitTick;
use App\Models\HomeCheck;
use App\Models\KeptAside;
use App\Models\Practice;
use App\Models\Practitioner;
use App\Models\PutOffPractice;
use App\Models\Recording;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/**
 * A link was used by the wrong hands: the device is signed out, and all that it sent is moved aside. It stays readable with the
 * reason and counts nowhere; the right hands can write the days of the diary anew. What it opened, a red flag or a pause,
 * stays until somebody has looked.
 */
final readonly class WrongDevice
{
    public function __construct(private Trail $trail, private RecheckProgramme $recheck, private ForgetSamples $forget)
    {
    }

    /** @return int how many things were moved aside */
    public function __invoke(Device $device, Practitioner $by, string $reason): int
    {
        return DB::transaction(function () use ($device, $by, $reason) {
            $device->revoked_at ?? $device->update(['revoked_at' => now()]);
            $struck = ['struck_at' => now(), 'struck_by' => $by->id, 'struck_reason' => Crypt::encryptString($reason)];
            $moved = 0;
            foreach ([Practice::class, HabitTick::class, HomeCheck::class, DiaryEntry::class] as $kind) {
                $moved += $kind::query()->where('device_id', $device->id)->toBase()->update($struck);
            }
            $moved += $this->recordings($device);
            $moved += PutOffPractice::query()->where('device_id', $device->id)->delete();
            KeptAside::query()->where('device_id', $device->id)->whereNull('settled_at')
                ->update(['settled_at' => now(), 'settled_by' => $by->id, 'accepted' => false]);
            $this->trail->changed("device {$device->label}", "$moved entries", "moved aside: $reason");
            ($this->recheck)($device->patient);

            return $moved;
        });
    }

    /** Of another body the samples go at once, and its numbers count nowhere. */
    private function recordings(Device $device): int
    {
        $of = fn () => Recording::query()->where('device_id', $device->id);
        ($this->forget)->all($of()->whereNotNull('samples_until'), CarbonImmutable::now());

        return $of()->whereNull('set_aside_at')->update(['set_aside_at' => now()]);
    }
}
