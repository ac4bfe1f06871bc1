<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use IvoryPace\Programme\ProgrammeDraft;

/** The Bench as it is opened: the programme in force, or a first exercise, with all its choices. */
final class BenchPage
{
    private const FIRST = ['technique' => 'extended-exhale'];

    /** @return array<string, mixed> */
    public static function of(Patient $patient): array
    {
        $patient->load('latestScreening.answers', 'openRedFlags', 'activeProgramme.versions.items');
        $now = now();
        $latest = $patient->activeProgramme?->latestVersion();
        $today = $patient->dayOf($now);
        $draft = ProgrammeDraft::read($latest === null ? [self::FIRST] : self::items($latest), $latest?->school->value ?? $patient->clinic->school->value);
        $facts = PatientFactsOf::patient($patient, $now);
        $answer = BenchAnswer::to($draft, $facts, PatientFactsOf::inForce($latest));

        return [
            'patient' => PatientHead::of($patient, $now, $facts),
            'choices' => BenchChoices::all($patient->clinic, array_map(fn ($each) => $each->fields, $draft->drafts)),
            'measured' => (object) array_filter([
                'resting-rate' => $facts->restingRate, 'inhale' => $facts->limits->inhale, 'hold' => $facts->limits->hold, 'exhale' => $facts->limits->exhale,
            ], fn (?float $value) => $value !== null),
            'version' => $latest === null ? null : [
                'number' => $latest->number,
                'issued_on' => $latest->issued_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            ],
            'draft' => [
                'weeks' => $latest?->ends_on === null ? 4 : (int) ceil(($latest->in_force_from->diffInDays($latest->ends_on) + 1) / 7),
                'starts_on' => $today->date,
                'review_on' => $today->plusDays(14)->date,
                'rated_symptom' => $latest->rated_symptom ?? 'tension',
                'goal' => $latest->goal ?? ['words' => '', 'measure' => '', 'target' => '', 'direction' => 'at-most'],
            ],
            'answer' => $answer,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function items(ProgrammeVersion $version): array
    {
        return array_values($version->items->map(fn (ProgrammeItem $item) => ['id' => $item->lineage, ...$item->fields])->all());
    }
}
