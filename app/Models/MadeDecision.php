<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
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
 * @property int|null $programme_version_id by which it was done
 */
final class MadeDecision extends Row
{
    public $timestamps = false;

    protected $table = 'decisions';

    /** @return Builder<self> without those that were done by a version that was withdrawn */
    public static function standing(): Builder
    {
        return self::query()->where(fn (Builder $decision) => $decision->whereNull('programme_version_id')->orWhereExists(
            fn (QueryBuilder $versions) => $versions->selectRaw('1')->from('programme_versions')->whereNull('withdrawn_at')
                ->whereColumn('programme_versions.id', 'decisions.programme_version_id'),
        ));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'proposed' => ProposalKind::class, 'decided' => Decision::class, 'agrees' => 'boolean', 'decided_at' => 'immutable_datetime',
            'reason' => Sealed::class,
        ];
    }
}
