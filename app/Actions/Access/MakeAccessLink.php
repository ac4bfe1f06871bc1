<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Guard\AccessCode;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;

/** Makes a one-time link and code for a patient's device; earlier unused ones end. */
final class MakeAccessLink
{
    public const DAYS = 7;

    /** @return array{token: string, code: string} shown once; only their hashes are kept */
    public function __invoke(Patient $patient, Practitioner $by): array
    {
        $token = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        $code = AccessCode::random();
        DB::transaction(function () use ($patient, $by, $token, $code) {
            $patient->accessLinks()->whereNull('used_at')->where('expires_at', '>', now())->update(['expires_at' => now()]);
            $patient->accessLinks()->create([
                'practitioner_id' => $by->id,
                'token_hash' => hash('sha256', $token),
                'code_hash' => AccessCode::hash($code),
                'expires_at' => now()->addDays(self::DAYS),
                'created_at' => now(),
            ]);
        });

        return ['token' => $token, 'code' => $code];
    }
}
