<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $text
 * @property string $reason
 * @property CarbonImmutable $signed_at
 * @property Practitioner $practitioner
 * @property SessionNote $note
 */
final class NoteAmendment extends Row
{
    public $timestamps = false;

    protected $table = 'note_amendments';

    /** @return BelongsTo<SessionNote, $this> */
    public function note(): BelongsTo
    {
        return $this->belongsTo(SessionNote::class, 'session_note_id');
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['text' => Sealed::class, 'reason' => Sealed::class, 'signed_at' => 'immutable_datetime'];
    }
}
