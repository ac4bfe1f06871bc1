<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Letter\LetterPart;

/**
 * A letter that is being written: one of each kind at a time.
 *
 * @property int $id
 * @property string $patient_id
 * @property LetterKind $kind
 * @property string|null $addressee name and address, in lines
 * @property array<array-key, mixed> $parts text by part; none where they cannot be read
 * @property bool $with_course whether the Course goes with it as a drawing
 * @property int|null $replaces_id the signed letter in whose place it is to stand
 * @property int $revision counts up with each time it is kept
 * @property CarbonImmutable $updated_at
 * @property Practitioner $practitioner who wrote in it last
 */
final class LetterDraft extends Row
{
    protected $table = 'letter_drafts';

    protected $attributes = ['addressee' => null, 'with_course' => true, 'replaces_id' => null, 'revision' => 1];

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    public function textOf(LetterPart $part): string
    {
        $text = $this->parts[$part->value] ?? '';

        return is_string($text) ? $text : '';
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => LetterKind::class, 'addressee' => Sealed::class, 'parts' => SealedList::class, 'with_course' => 'boolean',
            'updated_at' => 'immutable_datetime',
        ];
    }
}
