<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Programme;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Practice\Adherence;
use IvoryPace\Practice\Pause as CorePause;
use IvoryPace\Practice\PracticeRecord;

/** The core's adherence of a patient's programme, from rows. */
final class AdherenceOf
{
    /**
     * @param  list<PracticeRecord>  $practices
     * @param  Collection<int, Pause>  $pauses
     * @param  Collection<int, PutOffPractice>  $putOffs
     */
    public static function programme(
        Programme $programme,
        Patient $patient,
        array $practices,
        Collection $pauses,
        Collection $putOffs,
        CarbonImmutable $now,
    ): Adherence {
        return new Adherence(
            $programme->history(),
            $patient->clock(),
            $practices,
            self::pauses($programme, $pauses),
            $now,
            array_values($putOffs->map(fn (PutOffPractice $said) => $said->forAdherence())->all()),
        );
    }

    /**
     * With the exercises of this programme that each of them holds: one may have begun in another programme.
     *
     * @param  Collection<int, Pause>  $pauses
     * @return list<CorePause>
     */
    private static function pauses(Programme $programme, Collection $pauses): array
    {
        // Asked for every patient of the caseload: what exercises are like is only looked at where one is paused.
        $likenesses = $pauses->every(fn (Pause $pause) => $pause->lineage === null) ? [] : $programme->likenesses();

        return array_values($pauses->map(fn (Pause $pause) => $pause->forAdherence($likenesses))->all());
    }
}
