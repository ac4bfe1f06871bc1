<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Actions\Recording\ForgetSamples;
use App\Actions\Recording\SayOfTraces;
use App\Language\ConsentText;
use App\Models\Consent;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Signals\TracesAgreed;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** A patient no longer agrees: recorded for every device, and from then on none of them is listened to. */
final class WithdrawConsent
{
    private const MOST = 500;

    public function __construct(private readonly SayOfTraces $sayOfTraces, private readonly ForgetSamples $forget)
    {
    }

    /** @return int how many devices were signed out */
    public function __invoke(Patient $patient, Practitioner $by): int
    {
        return DB::transaction(function () use ($patient, $by) {
            // Also of devices that were signed out before: what waits on them is not taken any more.
            $all = $patient->devices()->orderByDesc('id')->limit(self::MOST)->lockForUpdate()->get();
            $devices = $all->whereNull('revoked_at');
            foreach ($all as $device) {
                if ($device->revoked_at !== null && ! ConsentText::isInForceFor($patient->id, $device->id)) {
                    continue;
                }
                Consent::query()->create([
                    'patient_id' => $patient->id, 'device_id' => $device->id, 'practitioner_id' => $by->id, 'kind' => 'withdrawn',
                    'version' => ConsentText::VERSION, 'text_hash' => ConsentText::hash($patient->clinic), 'given_at' => now(),
                ]);
                $device->revoked_at ?? $device->update(['revoked_at' => now()]);
            }
            if (TracesAgreed::by($patient) === true) {
                ($this->sayOfTraces)($patient, false, CarbonImmutable::now(), by: $by);
            }
            ($this->forget)->ofPatient($patient, CarbonImmutable::now());
            $patient->update(['mails_practice' => false]);
            $patient->accessLinks()->whereNull('used_at')->where('expires_at', '>', now())->update(['expires_at' => now()]);

            return $devices->count();
        });
    }
}
