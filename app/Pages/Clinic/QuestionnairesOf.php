<?php

declare(strict_types=1);

namespace App\Pages\Clinic;

use App\Models\Clinic;
use App\Models\OwnQuestionnaire;
use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\FormQuestion;
use IvoryPace\Numbers;

/** Questionnaires that a clinic brought along, to be looked through. */
final class QuestionnairesOf
{
    /** @return list<array<string, mixed>> each with its questions and the answers that they take */
    public static function clinic(Clinic $clinic): array
    {
        $all = OwnQuestionnaire::query()->where('clinic_id', $clinic->id)->orderBy('name')->limit(OwnQuestionnaire::MOST)->get();

        return array_values($all->map(function (OwnQuestionnaire $own) {
            $form = $own->form();

            return [
                'id' => $own->id, 'name' => $own->name, 'counts' => self::counts($form), 'intro' => $form->intro,
                'questions' => array_map(fn (FormQuestion $question) => [
                    'text' => $question->text, 'answers' => self::answers($question),
                ], $form->questions),
            ];
        })->all());
    }

    private static function counts(Form $form): string
    {
        $questions = count($form->questions) === 1 ? '1 question' : count($form->questions).' questions';
        [$lowest, $highest] = [$form->lowest(), $form->highest()];

        return $lowest === null || $highest === null
            ? "$questions, no score" : "$questions, ".Numbers::print($lowest).' to '.Numbers::print($highest).' points';
    }

    private static function answers(FormQuestion $question): string
    {
        return match ($question->kind) {
            FormQuestion::CHOICE => implode('; ', array_map(
                fn (array $option) => $option['label'].($option['weight'] === null ? '' : ' ('.Numbers::print($option['weight']).')'),
                $question->options,
            )),
            FormQuestion::WHOLE => "a whole number, {$question->least} to {$question->most}",
            default => 'in words',
        };
    }
}
