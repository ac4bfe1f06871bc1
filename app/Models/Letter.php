<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use IvoryPace\Letter\LetterKind;

/**
 * A letter as it was signed. It is never changed: another takes its place. When and how it was sent is said once.
 *
 * @property int $id
 * @property string $patient_id
 * @property int $practitioner_id
 * @property LetterKind $kind
 * @property string|null $addressee
 * @property array<array-key, mixed> $parts text by part
 * @property string $text as it is read without its looks
 * @property string $pdf base64
 * @property int|null $replaces_id
 * @property CarbonImmutable $signed_at
 * @property CarbonImmutable|null $sent_at
 * @property string|null $sent_how
 * @property Practitioner $practitioner
 * @property Practitioner|null $sender
 * @property Letter|null $replacement
 */
final class Letter extends Row
{
    public $timestamps = false;

    protected $table = 'letters';

    protected $attributes = ['sent_at' => null, 'sent_by' => null, 'sent_how' => null];

    /** What is needed where the bytes are not. */
    public const LISTED = [
        'id', 'patient_id', 'practitioner_id', 'kind', 'addressee', 'replaces_id', 'signed_at', 'sent_at', 'sent_by', 'sent_how',
    ];

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function sender(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'sent_by');
    }

    /** @return HasOne<Letter, $this> that took its place */
    public function replacement(): HasOne
    {
        return $this->hasOne(self::class, 'replaces_id');
    }

    /** The very bytes that were signed; null where they cannot be read. */
    public function bytes(): ?string
    {
        $bytes = base64_decode($this->pdf, true);

        return $bytes === false || ! str_starts_with($bytes, '%PDF') ? null : $bytes;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => LetterKind::class, 'addressee' => Sealed::class, 'parts' => SealedList::class, 'text' => Sealed::class,
            'pdf' => Sealed::class, 'signed_at' => 'immutable_datetime', 'sent_at' => 'immutable_datetime',
            'sent_how' => Sealed::class,
        ];
    }
}
