<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;

/**
 * A message as it would have been sent: it is read here while no mail server is configured.
 *
 * @property int $id
 * @property int|null $clinic_id
 * @property string $to
 * @property string $subject
 * @property string $text
 * @property CarbonImmutable $at
 */
final class OutgoingMail extends Row
{
    public $timestamps = false;

    protected $table = 'outgoing_mails';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['to' => Sealed::class, 'subject' => Sealed::class, 'text' => Sealed::class, 'at' => 'immutable_datetime'];
    }
}
