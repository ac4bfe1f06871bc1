<?php

declare(strict_types=1);

namespace App\Device;

use App\Facts\AdherenceOf;
use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Numbers;
use IvoryPace\Practice\Adherence;
use IvoryPace\Progress\ThenNow;

/** How it has gone so far, for the patient: practice counted, what has changed, what comes next. Gaps are not shamed. */
final class ProgressOf
{
    private const WEEKS = 6;

    private const MOST = 3000;

    /** @return array<string, mixed> */
    public static function patient(Patient $patient, CarbonImmutable $now): array
    {
        $programme = $patient->activeProgramme?->load('versions.items');
        $today = $patient->dayOf($now);
        if ($programme === null) {
            return [
                'weeks' => [], 'days_practised' => 0, 'as_needed' => [], 'changes' => [], 'then_now' => [],
                'checks' => self::checks($patient), 'measured' => RecordingShown::latest($patient), 'next' => null,
            ];
        }
        $first = $programme->history()->firstDay();
        $practices = $patient->practices()->where('started_at', '>=', $patient->clock()->startsAt($first))->orderBy('started_at')
            ->limit(self::MOST)->get()->filter(fn (Practice $practice) => $practice->record()->isCredited())->values();
        $adherence = AdherenceOf::programme(
            $programme, $patient, array_values($practices->map(fn (Practice $practice) => $practice->record())->all()),
            $patient->pauses()->orderBy('from_at')->limit(500)->get(),
            $patient->putOffs()->where('day', '>=', $first->date)->limit(self::MOST)->get(), $now,
        );

        return [
            'weeks' => self::weeks($programme, $adherence, $first, $today),
            'days_practised' => $practices->map(fn (Practice $practice) => $patient->dayOf($practice->started_at)->date)->unique()->count(),
            'as_needed' => self::asNeeded($patient, $programme, $practices),
            'changes' => array_values($programme->versions->filter(
                fn (ProgrammeVersion $version) => $version->number > 1 && ($version->patient_note ?? '') !== '',
            )->reverse()->take(5)->map(fn (ProgrammeVersion $version) => [
                'on' => $version->in_force_from->isoFormat('D MMMM'), 'text' => $version->patient_note,
                'ahead' => PatientDay::of($version->in_force_from->format('Y-m-d'))->isAfter($today),
            ])->all()),
            'then_now' => self::thenNow($patient, $programme, $practices, $first),
            'checks' => self::checks($patient),
            'measured' => RecordingShown::latest($patient),
            'next' => $programme->latestVersion()?->review_on->isoFormat('dddd D MMMM'),
        ];
    }

    /** @return list<list<array{date: string, label: string, paused: bool, strokes: list<string>}|null>> Monday first, oldest week first */
    private static function weeks(Programme $programme, Adherence $adherence, PatientDay $first, PatientDay $today): array
    {
        $monday = $today->plusDays(1 - $today->weekday()->value);
        $from = $monday->plusDays(-7 * (self::WEEKS - 1));
        $from = $from->isBefore($first) ? $first : $from;
        $planned = array_filter($programme->history()->lineages(), fn (string $lineage) => ! self::isAsNeeded($programme, $lineage));
        $days = [];
        foreach ($planned as $lineage) {
            foreach ($adherence->ofItem($lineage, $from, $today)->days as $day) {
                $days[$day->day->date] = isset($days[$day->day->date]) ? $days[$day->day->date]->plus($day) : $day;
            }
        }
        $weeks = [];
        $start = $from->plusDays(1 - $from->weekday()->value);
        foreach ($start->through($monday->plusDays(6)) as $index => $day) {
            $tally = $days[$day->date] ?? null;
            $weeks[intdiv($index, 7)][] = $tally === null ? null : [
                'date' => $day->date, 'label' => CarbonImmutable::parse($day->date)->isoFormat('dddd D MMMM'), 'paused' => $tally->paused,
                'strokes' => array_map(fn ($stroke) => $stroke->value, $tally->strokes),
            ];
        }

        return array_values($weeks);
    }

    private static function isAsNeeded(Programme $programme, string $lineage): bool
    {
        return $programme->versions->last(fn (ProgrammeVersion $version) => $version->items->contains('lineage', $lineage))?->items
            ->firstWhere('lineage', $lineage)?->item()->asNeeded !== null;
    }

    /**
     * @param  Collection<int, Practice>  $practices
     * @return list<array<string, mixed>>
     */
    private static function asNeeded(Patient $patient, Programme $programme, Collection $practices): array
    {
        $items = $programme->latestVersion()?->items->filter(fn (ProgrammeItem $row) => $row->item()->asNeeded !== null);

        return array_values($items?->map(function (ProgrammeItem $row) use ($practices, $patient) {
            $own = $practices->where('lineage', $row->lineage);
            $ticks = $row->item()->isTicked()
                ? $patient->ticks()->where('lineage', $row->lineage)->limit(self::MOST)->count() : 0;
            $recovered = array_values($own->pluck('recovered_after_s')->filter(fn ($seconds) => $seconds !== null)->all());

            return [
                'name' => $row->item()->prescription->own->name ?? "exercise.{$row->item()->prescription->technique->key}.name",
                'times' => $own->count() + $ticks,
                'recovered' => $recovered === [] ? null : array_slice(array_map(intval(...), $recovered), -5),
            ];
        })->all() ?? []);
    }

    /**
     * @param  Collection<int, Practice>  $practices
     * @return list<array{name: string, then: float, now: float, direction: int}>
     */
    private static function thenNow(Patient $patient, Programme $programme, Collection $practices, PatientDay $first): array
    {
        $found = [];
        $add = function (string $name, ?ThenNow $compared) use (&$found) {
            if ($compared !== null) {
                $found[] = [
                    'name' => $name, 'then' => Numbers::round($compared->then, 1), 'now' => Numbers::round($compared->now, 1),
                    'direction' => $compared->direction(),
                ];
            }
        };
        $before = $practices->filter(fn (Practice $practice) => $practice->before !== null)->groupBy(
            fn (Practice $practice) => $patient->dayOf($practice->started_at)->date,
        )
            ->map(fn (Collection $day) => (float) $day->avg('before'));
        $add(
            (string) __('patient.progress.before', ['symptom' => $programme->latestVersion()->rated_symptom ?? '']),
            ThenNow::of(array_values($before->all())),
        );
        $entries = $patient->diary()->where('day', '>=', $first->date)->orderBy('day')->limit(400)->get();
        $rated = fn (callable $value) => ThenNow::of(
            array_values(array_filter($entries->map($value)->all(), fn ($rating) => $rating !== null)),
        );
        foreach ($patient->symptoms()->limit(ChosenSymptom::MOST)->get() as $symptom) {
            $add(ucfirst($symptom->name), $rated(fn (DiaryEntry $entry) => $entry->content['ratings'][$symptom->id] ?? null));
        }
        $add((string) __('patient.progress.sleep'), $rated(fn (DiaryEntry $entry) => $entry->content['sleep'] ?? null));

        return $found;
    }

    /** @return array{first: float, last: float, on: string, count: int}|null */
    private static function checks(Patient $patient): ?array
    {
        $checks = $patient->homeChecks()->orderBy('taken_at')->limit(self::MOST)->get(['id', 'rate', 'taken_at']);
        $first = $checks->first();
        $last = $checks->last();

        return $first === null || $last === null ? null : [
            'first' => round($first->rate, 1), 'last' => round($last->rate, 1), 'count' => $checks->count(),
            'on' => $last->taken_at->setTimezone($patient->time_zone)->isoFormat('D MMMM'),
        ];
    }
}
