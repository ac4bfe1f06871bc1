<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Assessment\AnswerForm;
use App\Actions\Assessment\AskForm;
use App\Actions\Clinic\KeepOwnWork;
use App\Models\OwnExercise;
use App\Models\OwnQuestionnaire;
use App\Models\OwnRoutine;
use App\Models\Patient;
use App\Models\Practitioner;
use IvoryPace\Exchange\QuestionnaireReader;
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
        [$form] = QuestionnaireReader::read((string) file_get_contents(__DIR__.'/questionnaire.json'));
        if ($form !== null) {
            $keep(new OwnQuestionnaire, $by, $form->title, $form->write(), 'file');
            self::answered($by, $form->key());
        }
    }

    /** Asked of one patient, in the room. */
    private static function answered(Practitioner $by, string $key): void
    {
        $patient = Patient::query()->where('clinic_id', $by->clinic_id)->where('name', 'Edda Korhonen')->first();
        if ($patient !== null) {
            $asked = app(AskForm::class)($patient, $by, $key, 'room');
            $answers = ['rested' => 1, 'breath' => 1, 'minutes' => 25, 'words' => "The window open.\nThe long exhale, twice."];
            app(AnswerForm::class)($asked, $answers, true);
        }
    }
}
