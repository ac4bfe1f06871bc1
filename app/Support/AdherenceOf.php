<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Programme;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Practice\Adherence;
use IvoryPace\Practice\PracticeRecord;

/** The core's adherence of a patient's programme, from rows. */
final class AdherenceOf
{
    /**
     * @param  list<PracticeRecord>  $practices
     * @param  Collection<int, Pause>  $pauses
     * @param  Collection<int, PutOffPractice>  $putOffs
     */
    public static function programme(Programme $programme, Patient $patient, array $practices, Collection $pauses, Collection $putOffs, CarbonImmutable $now): Adherence
    {
        return new Adherence(
            $programme->history(),
            $patient->clock(),
            $practices,
            array_values($pauses->map(fn (Pause $pause) => $pause->forAdherence())->all()),
            $now,
            array_values($putOffs->map(fn (PutOffPractice $said) => $said->forAdherence())->all()),
        );
    }
}
