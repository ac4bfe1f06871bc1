<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * Everything was put away, for all clinics of the server.
 *
 * @property int $id
 * @property CarbonImmutable $made_at
 * @property int $bytes of the archive
 */
final class Backup extends Row
{
    public $timestamps = false;

    protected $table = 'backups';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'immutable_datetime'];
    }
}
