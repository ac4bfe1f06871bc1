<?php

declare(strict_types=1);

namespace App\Http\Controllers\Sensor;

use App\Actions\Recording\StoreSamples;
use App\Models\Sensor;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use IvoryPace\Signal\DeviceStream;
use IvoryPace\Signal\Reading\SamplesKept;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What a device of the room asks and sends. It learns nothing of whom it measures. */
final class SamplesController
{
    /** Whether something is being recorded with it, and since when. */
    public function now(#[CurrentUser('sensor')] Sensor $sensor, StoreSamples $store): JsonResponse
    {
        $now = CarbonImmutable::now();
        $recording = $store->openOf($sensor, $now)?->recording;

        return response()->json(['recording' => $recording === null ? null : [
            'uuid' => $recording->uuid, 'began_ms_ago' => (int) round($recording->started_at->diffInMilliseconds($now)),
        ]]);
    }

    public function part(
        Request $request,
        string $uuid,
        string $number,
        #[CurrentUser('sensor')] Sensor $sensor,
        StoreSamples $store,
    ): JsonResponse {
        if ((int) $request->header('Content-Length', '0') > DeviceStream::LARGEST) {
            throw new HttpException(413, 'These samples were not taken: at most '.DeviceStream::LARGEST.' bytes come at once.');
        }

        return response()->json($store->part($sensor, $uuid, (int) $number, (string) $request->getContent(), CarbonImmutable::now()));
    }

    /** It has sent all that it has. */
    public function done(
        Request $request,
        string $uuid,
        #[CurrentUser('sensor')] Sensor $sensor,
        StoreSamples $store,
    ): JsonResponse {
        $request->validate(['parts' => ['required', 'integer', 'min:0', 'max:'.SamplesKept::MOST_PARTS]]);
        $store->done($sensor, $uuid, $request->integer('parts'), CarbonImmutable::now());

        return response()->json(['done' => true]);
    }
}
