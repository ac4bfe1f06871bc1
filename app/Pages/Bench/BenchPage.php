<?php

declare(strict_types=1);

namespace App\Pages\Bench;

use App\Facts\MaintenanceOf;
use App\Facts\PatientFactsOf;
use App\Facts\ReachOf;
use App\Models\ChosenSymptom;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Pages\Shared\PatientHead;
use IvoryPace\Assessment\Measure;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Progress\GoalMeasure;
use IvoryPace\Progress\Maintenance;

/** The Bench as it is opened: the programme in force, what is to be kept up of the last one, or a first exercise, with all its choices. */
final class BenchPage
{
    private const FIRST = ['technique' => 'extended-exhale'];

    /**
     * @param  bool  $keepsUp  what the last programme reached is to be kept up, where none is running
     * @return array<string, mixed>
     */
    public static function of(Patient $patient, bool $keepsUp = false): array
    {
        $patient->load('latestScreening.answers', 'openRedFlags', 'activeProgramme.versions.items');
        $now = now();
        $latest = $patient->activeProgramme?->latestVersion();
        $today = $patient->dayOf($now);
        $closed = $keepsUp && $latest === null ? $patient->lastClosedProgramme?->load('versions.items') : null;
        $before = $latest ?? $closed?->latestVersion();
        $isMaintenance = $closed !== null || $patient->activeProgramme?->is_maintenance === true;
        $items = match (true) {
            $latest !== null => self::items($latest),
            $closed !== null => MaintenanceOf::items($patient, $closed, $now->toImmutable()),
            default => [self::FIRST],
        };
        $draft = ProgrammeDraft::read($items, $before?->school->value ?? $patient->clinic->school->value);
        $facts = PatientFactsOf::patient($patient, $now);
        $answer = BenchAnswer::to($draft, $facts, PatientFactsOf::inForce($latest), ReachOf::reach($patient, $facts, now()));

        return [
            'patient' => PatientHead::of($patient, $now, $facts),
            'choices' => BenchChoices::all($patient->clinic, array_map(fn ($each) => $each->fields, $draft->drafts)),
            'measured' => (object) array_filter([
                'resting-rate' => $facts->restingRate, 'inhale' => $facts->limits->inhale, 'hold' => $facts->limits->hold,
                'exhale' => $facts->limits->exhale,
            ], fn (?float $value) => $value !== null),
            'best_pace' => BestPaceOf::patient($patient),
            'goals' => self::goals($patient),
            'version' => $latest === null ? null : [
                'number' => $latest->number,
                'issued_on' => $latest->issued_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            ],
            'draft' => [
                'weeks' => $latest?->ends_on === null ? 4 : (int) ceil(($latest->in_force_from->diffInDays($latest->ends_on) + 1) / 7),
                'starts_on' => $today->date,
                'review_on' => $today->plusDays($isMaintenance ? Maintenance::REVIEW_DAYS : 14)->date,
                'rated_symptom' => $before->rated_symptom ?? 'tension',
                'maintenance' => $isMaintenance,
                'goal' => ($before->goal ?? []) ?: ['words' => '', 'measure' => '', 'target' => '', 'direction' => 'at-most'],
            ],
            'answer' => $answer,
        ];
    }

    /** @return list<array{name: string, unit: string}> by what a goal is measured: the patient's symptoms, what is taken in the room */
    private static function goals(Patient $patient): array
    {
        return [
            ...array_values($patient->symptoms()->whereNull('dropped_at')->orderBy('id')->limit(ChosenSymptom::MOST)->pluck('name')
                ->map(fn (string $name) => ['name' => $name, 'unit' => 'of 10'])->all()),
            ...array_map(fn (Measure $measure) => ['name' => $measure->label(), 'unit' => $measure->unit()], GoalMeasure::all()),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function items(ProgrammeVersion $version): array
    {
        return array_values($version->items->map(fn (ProgrammeItem $item) => ['id' => $item->lineage, ...$item->fields])->all());
    }
}
