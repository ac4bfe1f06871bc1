<?php

declare(strict_types=1);

namespace App\Pages\Exercises;

use App\Catalogue\Figures;
use App\Catalogue\Shelf;
use App\Facts\PatientFactsOf;
use App\Models\Clinic;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Safety\Cautions;
use IvoryPace\Safety\PatientFacts;

/** The catalogue as a list: each exercise with its ridge and what it can be filtered by. */
final class ExerciseList
{
    /** @return list<array<string, mixed>> */
    public static function of(Clinic $clinic, ?Patient $patient, CarbonImmutable $now): array
    {
        $facts = $patient === null ? null : PatientFactsOf::patient($patient, $now);
        $list = [];
        foreach (Shelf::of($clinic) as $key => $prescription) {
            $list[] = self::entry((string) $key, $prescription, $facts);
        }

        return $list;
    }

    /** @return array<string, mixed> */
    private static function entry(string $key, Prescription $prescription, ?PatientFacts $facts): array
    {
        $timeline = Compiler::compile($prescription);
        $technique = $prescription->technique;
        $gravest = $facts === null ? null : Cautions::gravest($technique, $facts);

        return [
            'key' => $key,
            'name' => $prescription->name(),
            'about' => $technique->about,
            'is_own' => $technique->isOwn,
            'summary' => $prescription->summary(),
            'total_ms' => $timeline->totalMs(),
            'is_about' => $timeline->isAbout(),
            'has_hold' => $prescription->hasHold(),
            'purposes' => array_map(fn (Purpose $purpose) => $purpose->value, $technique->teaching->uses),
            'positions' => array_map(fn (Position $position) => $position->value, $technique->positions),
            'possible' => $facts === null ? null
                : array_map(fn (Position $position) => $position->value, Cautions::possiblePositions($technique, $facts)),
            'finding' => $gravest === null ? null : ['level' => $gravest->level->value, 'title' => $gravest->title],
            'ridge' => Figures::ridge($prescription),
        ];
    }
}
