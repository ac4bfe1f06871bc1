<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Facts\Caseload\CaseloadLines;
use App\Models\Clinic;
use App\Models\Patient;
use Carbon\CarbonImmutable;

/**
 * What the demo shows on whatever day it is played: which patient stands for which state. The list stands in promises.json,
 * where the tests in the browser and the pictures of the README read it too.
 *
 * @phpstan-type Promise array{patient: string, reason: string, says?: string, paused?: bool, as_needed?: list<int>, versions?: int}
 */
final class Promises
{
    private const MOST = 500;

    /** @return array<string, Promise> */
    public static function all(): array
    {
        /** @var array<string, Promise> */
        return json_decode((string) file_get_contents(__DIR__.'/promises.json'), true, flags: JSON_THROW_ON_ERROR);
    }

    public static function patient(string $state): string
    {
        return self::all()[$state]['patient'];
    }

    /** @return array<string, string> what is not as promised, by state; of the whole demo, as it stands now */
    public static function broken(CarbonImmutable $now): array
    {
        $lines = [];
        foreach (Clinic::query()->orderBy('id')->limit(self::MOST)->get() as $clinic) {
            foreach (CaseloadLines::of($clinic, $now) as $line) {
                $lines[(string) $line['name']] = $line;
            }
        }
        $broken = [];
        foreach (self::all() as $state => $promise) {
            $problem = self::problem($promise, $lines[$promise['patient']] ?? null);
            if ($problem !== null) {
                $broken[$state] = "{$promise['patient']}: $problem";
            }
        }

        return $broken;
    }

    /**
     * @param  Promise  $promise
     * @param  array<string, mixed>|null  $line
     */
    private static function problem(array $promise, ?array $line): ?string
    {
        if ($line === null) {
            return 'is not in the caseload';
        }
        $said = "{$line['number']} {$line['sentence']}";
        $patient = Patient::query()->with('activeProgramme.versions.items')->whereKey($line['id'])->firstOrFail();
        $says = $promise['says'] ?? '';
        $isPaused = $patient->pauses()->goingOn()->exists();
        $recovered = $patient->practices()->whereNotNull('recovered_after_s')->orderBy('ended_at')->limit(self::MOST)
            ->pluck('recovered_after_s')->map(fn (mixed $seconds) => is_numeric($seconds) ? (int) $seconds : 0)->all();

        return match (true) {
            $line['reason'] !== $promise['reason'] => "stands under {$line['reason']}, not {$promise['reason']}: $said",
            ! str_contains($said, $says) => "says “{$said}”, not “{$says}”",
            $isPaused !== ($promise['paused'] ?? false) => $isPaused ? 'is paused' : 'is not paused',
            $recovered !== ($promise['as_needed'] ?? []) => 'recovered '.implode(', ', $recovered),
            isset($promise['versions'])
                && $patient->activeProgramme?->versions->count() !== $promise['versions'] => 'has another number of versions',
            default => null,
        };
    }
}
