<?php

declare(strict_types=1);

namespace App\Guard;

use App\Models\Sensor;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The token with which a device of the room signs what it sends: long, random, hashed here, and ended by the clinic. */
final class SensorGuard
{
    /** Requests of one device in a minute: two batches and a question each second, and what waited. */
    private const A_MINUTE = 600;

    /** The same of one address: a room full of devices. */
    private const OF_ADDRESS = 6000;

    /** Pairings that one address may try in a minute. */
    private const PAIRINGS = 10;

    /** s; it is not written down more often that a device was heard of. */
    private const SEEN_EVERY = 3;

    /** @throws HttpException when there is no token, or it is not known, or was ended */
    public static function sensorOf(Request $request): Sensor
    {
        $token = $request->bearerToken();
        if ($token === null || $token === '') {
            throw new HttpException(401, 'A device sends its token: Authorization: Bearer … It gets one by pairing.');
        }
        $sensor = Sensor::query()->firstWhere('token_hash', self::hash($token));
        if ($sensor === null) {
            throw new HttpException(401, 'This token is not known here: nothing is taken from this device. Pair it again.');
        }
        if ($sensor->revoked_at !== null) {
            throw new HttpException(401, 'This device was ended in the clinic: nothing more is taken from it. Pair it again.');
        }
        if ($sensor->last_seen_at === null || $sensor->last_seen_at->addSeconds(self::SEEN_EVERY) <= now()) {
            $sensor->update(['last_seen_at' => now()]);
        }

        return $sensor;
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    /**
     * Uses up a code.
     *
     * @return array{Sensor, string}|null the device and its token, shown once; null when the code is used, too old or unknown
     */
    public static function pair(string $code, CarbonImmutable $now): ?array
    {
        return DB::transaction(function () use ($code, $now) {
            $sensor = Sensor::query()->where('code_hash', AccessCode::hash($code))->lockForUpdate()->first();
            if ($sensor === null || $sensor->revoked_at !== null || $sensor->code_until === null || $sensor->code_until <= $now) {
                return null;
            }
            $token = bin2hex(random_bytes(32));
            $sensor->update([
                'code_hash' => null, 'code_until' => null, 'token_hash' => self::hash($token), 'paired_at' => $now, 'last_seen_at' => $now,
            ]);

            return [$sensor, $token];
        });
    }

    /** @return list<Limit> whoever pairs is counted by address, whatever token comes along; so is who makes up tokens */
    public static function limits(Request $request): array
    {
        $address = 'sensor:'.Tries::addressOf($request->ip());
        $token = $request->bearerToken();

        return $token === null || $request->is('*/pair') ? [Limit::perMinute(self::PAIRINGS)->by("$address:pair")] : [
            Limit::perMinute(self::A_MINUTE)->by('sensor:'.self::hash($token)), Limit::perMinute(self::OF_ADDRESS)->by($address),
        ];
    }
}
