<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\Proposal\ProposalKind;

/**
 * What was decided for an exercise in a session, beside what had been proposed. The last word of the session counts.
 *
 * @property int $id
 * @property string|null $care_session_id null where it was made on the Course
 * @property string $patient_id
 * @property int $practitioner_id
 * @property string|null $reason why a proposal was declined
 * @property int $clinic_id
 * @property string $lineage
 * @property ProposalKind|null $proposed
 * @property Decision $decided
 * @property bool|null $agrees null where nothing was proposed that could be followed
 * @property CarbonImmutable $decided_at
 */
final class MadeDecision extends Row
{
    public $timestamps = false;

    protected $table = 'decisions';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'proposed' => ProposalKind::class, 'decided' => Decision::class, 'agrees' => 'boolean', 'decided_at' => 'immutable_datetime',
            'reason' => Sealed::class,
        ];
    }
}
