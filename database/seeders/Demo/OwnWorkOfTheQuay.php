<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Clinic\KeepOwnWork;
use App\Models\OwnExercise;
use App\Models\OwnRoutine;
use App\Models\Practitioner;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\Routine\RoutineFields;

/** What the clinic at the quay has made itself. Invented. */
final class OwnWorkOfTheQuay
{
    public static function seed(Practitioner $by): void
    {
        $keep = new KeepOwnWork;
        [$breath] = PrescriptionReader::read([
            'technique' => 'own', 'own_name' => 'Cornet breath',
            'own_right' => 'The lips stay loose and the shoulders down, as before the first note.',
            'ratio' => '2:6', 'breaths' => 6, 'position' => 'standing', 'route_out' => 'soft-open-mouth',
        ]);
        if ($breath !== null) {
            $keep(new OwnExercise, $by, $breath->name(), PrescriptionFields::write($breath), 'own_name');
        }
        [$routine] = RoutineFields::read(['name' => 'Before the bakery opens', 'steps' => [
            ['kind' => 'exercise', 'technique' => 'noticing', 'minutes' => 1],
            ['kind' => 'exercise', 'technique' => 'extended-exhale', 'position' => 'seated', 'breaths' => 6],
            ['kind' => 'free', 'seconds' => 30],
            ['kind' => 'exercise', 'technique' => 'shoulder-rolls', 'position' => 'seated', 'minutes' => 1],
        ]]);
        if ($routine !== null) {
            $keep(new OwnRoutine, $by, $routine->name, RoutineFields::write($routine), 'name');
        }
    }
}
