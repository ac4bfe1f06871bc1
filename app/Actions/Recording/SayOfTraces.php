<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Models\Consent;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Signals\TracesAgreed;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** A patient agrees that samples stay for a while, or no longer does: then those that are there go at once. */
final class SayOfTraces
{
    public function __construct(private readonly ForgetSamples $forget)
    {
    }

    public function __invoke(
        Patient $patient,
        bool $agrees,
        CarbonImmutable $now,
        ?Device $device = null,
        ?Practitioner $by = null,
    ): void {
        DB::transaction(function () use ($patient, $agrees, $now, $device, $by) {
            Patient::query()->whereKey($patient->id)->lockForUpdate()->value('id');
            if (TracesAgreed::by($patient) !== $agrees) {
                Consent::query()->create([
                    'patient_id' => $patient->id, 'device_id' => $device?->id, 'practitioner_id' => $by?->id,
                    'about' => TracesAgreed::ABOUT,
                    'kind' => $agrees ? 'accepted' : 'withdrawn', 'version' => TracesAgreed::VERSION,
                    'text_hash' => TracesAgreed::hash($patient), 'given_at' => $now,
                ]);
            }
            if (! $agrees) {
                $this->forget->ofPatient($patient, $now);
            }
        });
    }
}
