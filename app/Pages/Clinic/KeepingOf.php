<?php

declare(strict_types=1);

namespace App\Pages\Clinic;

use App\Models\Clinic;
use App\Models\Erasure;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use IvoryPace\Calendar\Keeping;
use IvoryPace\Calendar\PatientDay;

/** How long a clinic keeps records, which have been kept long enough, and what was forgotten. */
final class KeepingOf
{
    private const MOST = 100;

    private const MOST_PAST = 20;

    /** @return array<string, mixed> */
    public static function clinic(Clinic $clinic, CarbonImmutable $now): array
    {
        return [
            'years' => (string) ($clinic->keep_years ?? ''), 'minors_until' => (string) ($clinic->keep_minors_until ?? ''),
            'due' => self::due($clinic, $now), 'past' => self::past($clinic),
        ];
    }

    /** @return list<array{id: string, name: string, born: string, archived: string, since: string}> those that may go, longest first */
    public static function due(Clinic $clinic, CarbonImmutable $now): array
    {
        $keeping = $clinic->keeping();
        if ($keeping === null) {
            return [];
        }
        $due = [];
        $today = PatientDay::at($now->setTimezone($clinic->time_zone));
        $waiting = Erasure::waiting()->where('clinic_id', $clinic->id)->select('patient_id');
        $putAway = $now->subYears($keeping->years)->addDay();
        // Nearly all of these may go, so that few are read for nothing; the day itself is the core's to say.
        $archived = Patient::query()->where('clinic_id', $clinic->id)->where('archived_at', '<=', $putAway)->whereNotIn('id', $waiting)
            ->where(fn ($query) => $query->whereRaw('archived_at >= date_add(birth_date, interval ? year)', [Keeping::ADULT])
                ->orWhereRaw('date_add(birth_date, interval ? year) <= ?', [$keeping->untilAge, $today->date]))
            ->orderBy('archived_at')->orderBy('id')->limit(self::MOST)->get();
        foreach ($archived as $patient) {
            $away = PatientDay::at(($patient->archived_at ?? $now)->setTimezone($clinic->time_zone));
            $on = $keeping->dueOn(PatientDay::of($patient->birth_date->format('Y-m-d')), $away);
            if (! $on->isAfter($today)) {
                $due[] = [
                    'id' => $patient->id, 'name' => $patient->name, 'born' => $patient->birth_date->format('j M Y'),
                    'archived' => CarbonImmutable::parse($away->date)->format('j M Y'),
                    'since' => CarbonImmutable::parse($on->date)->format('j M Y'),
                ];
            }
        }

        return $due;
    }

    /** @return list<string> "1 Dec 2026, by Nora Ashgrove, on request" */
    private static function past(Clinic $clinic): array
    {
        $all = Erasure::query()->where('clinic_id', $clinic->id)->where('outcome', Erasure::ERASED)->whereNotNull('done_at')
            ->with('practitioner')->orderByDesc('id')->limit(self::MOST_PAST)->get();

        return array_values($all->map(fn (Erasure $erasure) => implode(', ', array_filter([
            $erasure->done_at?->setTimezone($clinic->time_zone)->format('j M Y'),
            $erasure->practitioner === null ? null : "by {$erasure->practitioner->name}",
            match ($erasure->why) {
                Erasure::REQUEST => 'on request', Erasure::KEEPING => 'kept long enough', default => 'again, after a restore',
            },
        ])))->all());
    }
}
