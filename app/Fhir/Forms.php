<?php

declare(strict_types=1);

namespace App\Fhir;

use App\Facts\FormText;
use App\Models\AskedForm;
use App\Models\Patient;
use IvoryPace\Exchange\MeasureCode;
use IvoryPace\Exchange\QuestionnaireDocument;

/** Questionnaires as they were asked, what was answered, and what it scored. */
final class Forms
{
    private const MOST = 1000;

    public static function add(Bundle $bundle, Patient $patient): void
    {
        // Symptoms that were rated stand among the measures. What was taken back before it was complete was never said.
        $all = $patient->askedForms()->where('form', '<>', AskedForm::SYMPTOMS)->where('answered', '>', 0)
            ->where(fn ($form) => $form->whereNotNull('completed_at')->orWhereNull('settled_at'))
            ->orderBy('asked_at')->orderBy('id')->limit(self::MOST)->get();
        foreach ($all as $form) {
            $form->setRelation('patient', $patient);
            $of = FormText::of($form);
            if (! $bundle->has('Questionnaire', $form->form)) {
                $bundle->add('Questionnaire', $form->form, [
                    'url' => $bundle->url('Questionnaire', $form->form), ...QuestionnaireDocument::write($of),
                    'code' => Said::codings(MeasureCode::ofQuestionnaire($form->form)),
                ]);
            }
            $isDone = $form->completed_at !== null;
            $bundle->add('QuestionnaireResponse', "form {$form->id}", [
                'questionnaire' => $bundle->url('Questionnaire', $form->form),
                'status' => $isDone ? 'completed' : 'in-progress',
                'subject' => $bundle->to('Patient', 0),
                'authored' => Said::instant($form->completed_at ?? $form->asked_at),
                'author' => $form->answered_on === 'device'
                    ? $bundle->to('Patient', 0) : $bundle->to('Practitioner', $form->practitioner_id),
                'source' => $bundle->to('Patient', 0),
                'item' => QuestionnaireDocument::answers($of, $form->answers ?? []),
            ]);
            if ($isDone && $form->score !== null) {
                self::score($bundle, $form, $of->title);
            }
        }
    }

    private static function score(Bundle $bundle, AskedForm $form, string $title): void
    {
        $code = MeasureCode::ofScore($form->form);
        $bundle->add('Observation', "score {$form->id}", [
            'status' => 'final',
            'category' => [Said::term('observation-category', 'survey')],
            'code' => Said::concept("$title, score", $code),
            'subject' => $bundle->to('Patient', 0),
            'effectiveDateTime' => Said::instant($form->completed_at ?? $form->asked_at),
            'performer' => [$bundle->to('Practitioner', $form->practitioner_id)],
            'valueQuantity' => Said::quantity((float) $form->score, 'points', $code->ucum),
            'note' => $form->missing > 0 && $form->asked === null ? Said::note("{$form->missing} missing, scaled up") : [],
            'derivedFrom' => [$bundle->to('QuestionnaireResponse', "form {$form->id}")],
        ]);
    }
}
