<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\Clinic;
use App\Models\OwnExercise;
use App\Models\OwnWork;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Technique;
use LogicException;

/** All exercises that a clinic can prescribe: the catalogue, and its own counted breaths. */
final class Shelf
{
    /** @return array<string, Prescription> by key: of the technique, or of the clinic's own exercise */
    public static function of(Clinic $clinic): array
    {
        $all = [];
        foreach (Catalogue::all() as $technique) {
            if (! $technique->isOwn) {
                $all[$technique->key] = self::asDefault($technique);
            }
        }
        foreach (self::own($clinic) as $own) {
            [$prescription] = PrescriptionReader::read($own->fields);
            if ($prescription !== null) {
                $all[$own->id] = $prescription;
            }
        }

        return $all;
    }

    public static function find(Clinic $clinic, string $key): ?Prescription
    {
        return self::of($clinic)[$key] ?? null;
    }

    /** @return list<OwnExercise> */
    public static function own(Clinic $clinic): array
    {
        return array_values(OwnExercise::query()->where('clinic_id', $clinic->id)->orderBy('name')->limit(OwnWork::MOST)->get()->all());
    }

    /** An exercise as it would be prescribed in a school. */
    public static function inSchool(Prescription $prescription, School $school): Prescription
    {
        return $prescription->technique->isOwn ? $prescription : self::asDefault($prescription->technique, $school);
    }

    private static function asDefault(Technique $technique, School $school = School::GentleControl): Prescription
    {
        return PrescriptionReader::read(['technique' => $technique->key], $school)[0]
            ?? throw new LogicException("The defaults of {$technique->key} cannot be prescribed.");
    }
}
