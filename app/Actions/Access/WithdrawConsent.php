<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Language\ConsentText;
use App\Models\Consent;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;

/** A patient no longer agrees: recorded for every device, and from then on none of them is listened to. */
final class WithdrawConsent
{
    /** @return int how many devices were signed out */
    public function __invoke(Patient $patient, Practitioner $by): int
    {
        return DB::transaction(function () use ($patient, $by) {
            $devices = $patient->devices()->whereNull('revoked_at')->lockForUpdate()->get();
            foreach ($devices as $device) {
                Consent::query()->create([
                    'patient_id' => $patient->id, 'device_id' => $device->id, 'practitioner_id' => $by->id, 'kind' => 'withdrawn',
                    'version' => ConsentText::VERSION, 'text_hash' => ConsentText::hash($patient->clinic), 'given_at' => now(),
                ]);
                $device->update(['revoked_at' => now()]);
            }
            $patient->accessLinks()->whereNull('used_at')->where('expires_at', '>', now())->update(['expires_at' => now()]);

            return $devices->count();
        });
    }
}
