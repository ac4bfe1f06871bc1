<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\Patient;
use InvalidArgumentException;
use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\FormQuestion;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Health\RedFlag;

/** What a form asks: those that come with the program in the language that is spoken now, others as the clinic brought them. */
final class FormText
{
    private const MOST_POINTS = 10;

    /** Whole numbers of so few are chosen, not typed. */
    private const MOST_CHOSEN = 11;

    public static function of(AskedForm $asked): Form
    {
        return $asked->own() ?? match ($asked->form) {
            AskedForm::SYMPTOMS => self::written($asked->form, self::rated($asked->patient)),
            AskedForm::SCREENING => self::written($asked->form, self::screening()),
            default => self::written($asked->form, self::questionnaire($asked->form)),
        };
    }

    public static function isShipped(string $form): bool
    {
        return in_array($form, [AskedForm::SCREENING, AskedForm::SYMPTOMS], true) || AskedForms::questionnaire($form) !== null;
    }

    /** @return array<int, string> names of the symptoms that a patient rates, by id */
    public static function symptoms(Patient $patient): array
    {
        return $patient->symptoms()->whereNull('dropped_at')->orderBy('id')->limit(ChosenSymptom::MOST)->pluck('name', 'id')->all();
    }

    /** @return array<string, mixed> what the page asks, and what is answered so far */
    public static function view(AskedForm $asked): array
    {
        $form = self::of($asked);

        return [
            'id' => $asked->id, 'form' => $asked->form, 'title' => $form->title, 'intro' => $form->intro,
            'questions' => array_map(fn (FormQuestion $question) => self::question($question, $asked), $form->questions),
            'answers' => (object) ($asked->answers ?? []),
        ];
    }

    /** @return list<array{text: string, said: string}> what was answered, in words */
    public static function said(AskedForm $asked): array
    {
        $said = [];
        foreach (self::of($asked)->questions as $question) {
            $answer = $asked->answers[$question->key] ?? null;
            $said[] = ['text' => $question->text, 'said' => $answer === null ? '–' : $question->said($answer)];
        }

        return $said;
    }

    /** @return array<string, mixed> */
    private static function question(FormQuestion $question, AskedForm $asked): array
    {
        $isChosen = $question->kind === FormQuestion::CHOICE
            || ($question->kind === FormQuestion::WHOLE && $question->most - $question->least < self::MOST_CHOSEN);
        $values = $isChosen ? range($question->least, $question->most) : [];

        return [
            'key' => $question->key, 'text' => $question->text, 'kind' => $isChosen ? FormQuestion::CHOICE : $question->kind,
            // Only a screening has such questions, whatever those of others are called.
            'urgent' => $asked->isScreening() && str_starts_with($question->key, 'red.'),
            // Whoever says yes is given the number of somebody to talk to.
            'crisis' => $asked->isScreening() && $question->key === ScreeningQuestions::redKey(RedFlag::Suicide),
            'options' => array_map(
                fn (int $value) => ['value' => $value, 'label' => $question->said($value)],
                $asked->isScreening() ? array_reverse($values) : $values,
            ),
            'least' => $question->least, 'most' => $question->most, 'may_stay_open' => $question->mayStayOpen(),
            // Said where a number is typed.
            'outside' => $isChosen || $question->kind === FormQuestion::TEXT ? ''
                : (string) __('form.number', ['least' => $question->least, 'most' => $question->most]),
        ];
    }

    /** @param  list<FormQuestion>  $questions */
    private static function written(string $form, array $questions): Form
    {
        return new Form((string) __("form.$form.title"), (string) __("form.$form.intro"), $questions);
    }

    /** @return list<FormQuestion> */
    private static function rated(Patient $patient): array
    {
        $symptoms = self::symptoms($patient);

        return array_map(
            fn (int $id, string $name) => FormQuestion::whole((string) $id, ucfirst($name), 0, self::MOST_POINTS),
            array_keys($symptoms), array_values($symptoms),
        );
    }

    /** @return list<FormQuestion> */
    private static function screening(): array
    {
        $options = array_map(
            fn (string $which) => ['label' => (string) __("form.screening.$which"), 'weight' => null], ['no', 'yes'],
        );

        return array_map(
            fn (string $key) => FormQuestion::choice($key, (string) __("form.screening.$key"), $options),
            ScreeningQuestions::keysForPatients(),
        );
    }

    /** @return list<FormQuestion> */
    private static function questionnaire(string $key): array
    {
        $shipped = AskedForms::questionnaire($key) ?? throw new InvalidArgumentException("There is no form “{$key}”.");
        $options = array_map(
            fn (mixed $label, int $points) => ['label' => (string) $label, 'weight' => (float) $points],
            (array) __("form.$key.option"), range(0, $shipped->most),
        );

        return array_map(
            fn (int $item) => FormQuestion::choice((string) $item, (string) __("form.$key.item.".($item - 1)), $options),
            range(1, $shipped->items),
        );
    }
}
