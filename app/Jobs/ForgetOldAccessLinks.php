<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\AccessLink;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Links that ran out unused are worth nothing to anybody: they go after a month. */
final class ForgetOldAccessLinks implements ShouldQueue
{
    use Queueable;

    private const KEPT_DAYS = 30;

    public function handle(): void
    {
        AccessLink::query()->whereNull('used_at')->where('expires_at', '<', now()->subDays(self::KEPT_DAYS))->delete();
    }
}
