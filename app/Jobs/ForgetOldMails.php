<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\OutgoingMail;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Messages in the Outbox hold addresses that open accounts: they go after a month. */
final class ForgetOldMails implements ShouldQueue
{
    use Queueable;

    private const KEPT_DAYS = 30;

    public function handle(): void
    {
        OutgoingMail::query()->where('at', '<', now()->subDays(self::KEPT_DAYS))->delete();
    }
}
