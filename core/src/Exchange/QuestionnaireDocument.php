<?php

declare(strict_types=1);

namespace IvoryPace\Exchange;

use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\FormQuestion;

/** A questionnaire, and what was answered, as HL7 FHIR R4 writes them; {@see QuestionnaireReader} reads the first back. */
final class QuestionnaireDocument
{
    /** What an option counts: as R4 has it, which is what is written, and as later versions and structured data capture have it. */
    public const WEIGHTS = [
        'http://hl7.org/fhir/StructureDefinition/ordinalValue', 'http://hl7.org/fhir/StructureDefinition/itemWeight',
        'http://hl7.org/fhir/StructureDefinition/questionnaire-ordinalValue',
    ];

    public const LEAST = 'http://hl7.org/fhir/StructureDefinition/minValue';

    public const MOST = 'http://hl7.org/fhir/StructureDefinition/maxValue';

    /** @return array<string, mixed> a Questionnaire; what is written reads back the same */
    public static function write(Form $form): array
    {
        return [
            'title' => $form->title, 'status' => 'active', 'subjectType' => ['Patient'],
            ...($form->intro === '' ? [] : ['description' => $form->intro]),
            'item' => array_map(fn (FormQuestion $question) => match ($question->kind) {
                FormQuestion::CHOICE => [
                    'linkId' => $question->key, 'text' => $question->text, 'type' => 'choice',
                    'answerOption' => array_map(
                        fn (int $index) => ['valueCoding' => self::coding($question, $index)], array_keys($question->options),
                    ),
                ],
                FormQuestion::WHOLE => [
                    'extension' => [
                        ['url' => self::LEAST, 'valueInteger' => $question->least],
                        ['url' => self::MOST, 'valueInteger' => $question->most],
                    ],
                    'linkId' => $question->key, 'text' => $question->text, 'type' => 'integer',
                ],
                default => ['linkId' => $question->key, 'text' => $question->text, 'type' => 'text'],
            }, $form->questions),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $answers  by key of the question, as they were read
     * @return list<array<string, mixed>> the items of a QuestionnaireResponse
     */
    public static function answers(Form $form, array $answers): array
    {
        $items = [];
        foreach ($form->questions as $question) {
            $answer = $answers[$question->key] ?? null;
            if (is_int($answer) || is_string($answer)) {
                $items[] = ['linkId' => $question->key, 'answer' => [match ($question->kind) {
                    FormQuestion::CHOICE => ['valueCoding' => self::coding($question, (int) $answer)],
                    FormQuestion::WHOLE => ['valueInteger' => (int) $answer],
                    default => ['valueString' => (string) $answer],
                }]];
            }
        }

        return $items;
    }

    /** @return array<string, mixed> */
    private static function coding(FormQuestion $question, int $index): array
    {
        $option = $question->options[$index] ?? ['label' => '', 'weight' => null];

        return [
            ...($option['weight'] === null ? [] : ['extension' => [['url' => self::WEIGHTS[0], 'valueDecimal' => $option['weight']]]]),
            'code' => (string) $index, 'display' => $option['label'],
        ];
    }
}
