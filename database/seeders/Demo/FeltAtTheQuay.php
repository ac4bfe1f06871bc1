<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Recording\StorePhoneTrace;
use App\Facts\Sent;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practice;
use Carbon\CarbonImmutable;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\PhoneParts;

/** One patient holds the phone to the chest now and then: nearly every breath goes with the one that is led. */
final class FeltAtTheQuay
{
    private const EVERY = 4;

    private const MOST = 8;

    /** s: the breath that is led, and a little before it. */
    private const BREATH = [3.0, 0.0, 5.0, 1.0];

    private const FIRST_MS = 3000;

    public static function seed(): void
    {
        $patient = Patient::query()->where('name', Promises::patient('step-up-with-recovery'))->sole();
        $device = Device::query()->where('patient_id', $patient->id)->latest('id')->firstOrFail();
        $length = (int) (1000 * array_sum(self::BREATH));
        $practices = Practice::query()->where('patient_id', $patient->id)->whereNull('stop_class')->where('breaths_done', 12)
            ->where('is_short', false)->where('breaths_prescribed', 12)->with('version')->latest('started_at')
            ->limit(self::EVERY * self::MOST)->get();
        foreach ($practices->values() as $n => $practice) {
            if ($n % self::EVERY === 0 && $practice->version->number === 2) {
                // Once in a while a breath is left out, and he begins a little late.
                $made = new MadeUpBreathing(
                    self::BREATH, 12, seed: $n + 1, noiseDb: 18, irregular: 0.01, held: $n % 8 === 0 ? [6, array_sum(self::BREATH)] : null,
                );
                self::sent($device, $practice, $made, array_map(
                    fn (int $breath) => [self::FIRST_MS - 400 + $breath * $length, 3000, 5000, $length], range(0, 11),
                ));
            }
        }
    }

    /** @param  list<array{int, int, int, int}>  $played */
    private static function sent(Device $device, Practice $practice, MadeUpBreathing $made, array $played): void
    {
        $at = CarbonImmutable::instance($practice->ended_at)->addSeconds(20);
        AtMoment::do($at, function () use ($device, $practice, $made, $played, $at) {
            $store = app(StorePhoneTrace::class);
            $sent = new Sent($at, $at);
            $parts = PhoneParts::of($made);
            foreach ($parts as $part) {
                $store->part($device, ['uuid' => $practice->uuid, ...$part], $sent);
            }
            $store->head($device, [
                'uuid' => $practice->uuid, 'started_at' => $practice->started_at->format('Y-m-d\TH:i:s.v\Z'), 'parts' => count($parts),
                'inhale_ms' => self::FIRST_MS, 'played' => $played,
            ], $sent);
        });
    }
}
