<?php

declare(strict_types=1);

namespace App\Guard;

use App\Models\Patient;

/** The address in each message by which a patient asks for no more of them. It opens nothing else, and nothing can be read by it. */
final class StopLink
{
    private const LENGTH = 32;

    public static function of(Patient $patient): string
    {
        return rtrim(config()->string('app.url'), '/')."/messages/{$patient->id}-".self::proof($patient->id);
    }

    /** Whose it is; null where it is not one of ours. A record that was joined into another leads on. */
    public static function patient(string $token): ?Patient
    {
        [$id, $proof] = [...explode('-', $token, 2), ''];

        return hash_equals(self::proof($id), $proof) ? (new Patient)->resolveRouteBinding($id) : null;
    }

    private static function proof(string $id): string
    {
        return substr(hash_hmac('sha256', "no more messages to {$id}", config()->string('app.mark_key')), 0, self::LENGTH);
    }
}
