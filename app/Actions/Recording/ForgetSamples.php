<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Models\Patient;
use App\Models\Recording;
use App\Models\RecordingPart;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;

/** Removes the samples of recordings; what they said stays. */
final class ForgetSamples
{
    private const AT_ONCE = 200;

    private const MOST = 20_000;

    /** @param  list<int>  $ids */
    public function __invoke(array $ids, CarbonImmutable $now): void
    {
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            RecordingPart::query()->whereIn('recording_id', $some)->delete();
            Recording::query()->whereIn('id', $some)->update(['samples_until' => null, 'samples_gone_at' => $now]);
        }
    }

    /** Every one of a patient's that is there. */
    public function ofPatient(Patient $patient, CarbonImmutable $now): void
    {
        $this->all(Recording::query()->where('patient_id', $patient->id)->whereNotNull('samples_until'), $now);
    }

    /** @param  Builder<Recording>  $which */
    public function all(Builder $which, CarbonImmutable $now): void
    {
        /** @var list<int> $ids */
        $ids = $which->orderBy('started_at')->limit(self::MOST)->pluck('id')->all();
        $this($ids, $now);
    }

    /** Those whose time has come. */
    public function due(CarbonImmutable $now): int
    {
        $done = 0;
        do {
            /** @var list<int> $ids */
            $ids = Recording::query()->where('samples_until', '<=', $now)->orderBy('samples_until')->limit(self::AT_ONCE)
                ->pluck('id')->all();
            $this($ids, $now);
            $done += count($ids);
        } while ($ids !== []);

        return $done;
    }
}
