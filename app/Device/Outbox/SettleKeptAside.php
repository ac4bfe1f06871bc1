<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Facts\Sent;
use App\Models\KeptAside;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A practitioner accepts what a signed-out device sent, as if it had arrived in time, or refuses it. */
final class SettleKeptAside
{
    /** @throws ValidationException when it is accepted and cannot be stored */
    public function __invoke(KeptAside $kept, Practitioner $by, bool $accept): void
    {
        DB::transaction(function () use ($kept, $by, $accept) {
            $kept = KeptAside::query()->lockForUpdate()->findOrFail($kept->id);
            if ($kept->settled_at !== null) {
                return;
            }
            if ($accept) {
                Kinds::store($kept->kind, $kept->device, $kept->body, new Sent($kept->sent_at, $kept->received_at));
            }
            $kept->update(['settled_at' => now(), 'settled_by' => $by->id, 'accepted' => $accept]);
        });
    }
}
