<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A signed note: only amended, never changed; the database refuses.
 *
 * @property int $id
 * @property string $text
 * @property CarbonImmutable $signed_at
 * @property Practitioner $practitioner
 * @property CareSession $careSession
 * @property Collection<int, NoteAmendment> $amendments
 */
final class SessionNote extends Row
{
    public $timestamps = false;

    protected $table = 'session_notes';

    /** @return BelongsTo<CareSession, $this> */
    public function careSession(): BelongsTo
    {
        return $this->belongsTo(CareSession::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return HasMany<NoteAmendment, $this> */
    public function amendments(): HasMany
    {
        return $this->hasMany(NoteAmendment::class)->orderBy('id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['text' => Sealed::class, 'signed_at' => 'immutable_datetime'];
    }
}
