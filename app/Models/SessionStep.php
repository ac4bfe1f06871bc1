<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What is typed in one step of a session, kept as it is typed.
 *
 * @property int $id
 * @property string $step
 * @property array<string, mixed> $content
 * @property int $revision
 * @property int $practitioner_id
 * @property CarbonImmutable $kept_at
 * @property Practitioner $practitioner
 */
final class SessionStep extends Row
{
    public $timestamps = false;

    protected $table = 'session_steps';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['content' => SealedList::class, 'kept_at' => 'immutable_datetime'];
    }
}
