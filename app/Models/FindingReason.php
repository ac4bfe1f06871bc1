<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Safety\Cause;

/**
 * @property string $rule
 * @property string $message
 * @property string $reason
 * @property string $lineage
 * @property array<mixed>|null $cause the flags and numbers that it was given for
 * @property CarbonImmutable $given_at
 * @property Practitioner $practitioner
 */
final class FindingReason extends Row
{
    public $timestamps = false;

    protected $table = 'finding_reasons';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** What it was given for; of an old one that is not known, and it covers nothing. */
    public function covers(): Cause
    {
        return Cause::read($this->cause);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['given_at' => 'immutable_datetime', 'message' => Sealed::class, 'reason' => Sealed::class, 'cause' => 'array'];
    }
}
