<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\Patient;
use Illuminate\Support\Collection;
use InvalidArgumentException;
use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Assessment\ReliableChange;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Health\RedFlag;

/** Forms that a patient fills in: which there are, what they ask, and what their scores say. */
final class AskedForms
{
    private const MOST = 200;

    private const MOST_POINTS = 10;

    public static function isKnown(string $form): bool
    {
        return in_array($form, [AskedForm::SCREENING, AskedForm::SYMPTOMS], true) || self::questionnaire($form) !== null;
    }

    public static function questionnaire(string $form): ?Questionnaire
    {
        foreach (Questionnaire::all() as $questionnaire) {
            if ($questionnaire->key === $form) {
                return $questionnaire;
            }
        }

        return null;
    }

    /** @return array<array-key, int> highest answer by key of the question; the lowest is 0. Of symptoms, the patient's own. */
    public static function keysOf(AskedForm $form): array
    {
        return $form->form === AskedForm::SYMPTOMS
            ? array_fill_keys(array_map(strval(...), array_keys(self::symptoms($form->patient))), self::MOST_POINTS)
            : self::keys($form->form);
    }

    /** @return array<int, string> names of the symptoms that a patient rates, by id */
    public static function symptoms(Patient $patient): array
    {
        return $patient->symptoms()->whereNull('dropped_at')->orderBy('id')->limit(ChosenSymptom::MOST)->pluck('name', 'id')->all();
    }

    /** @return array<array-key, int> highest answer by key of the question; the lowest is 0 */
    public static function keys(string $form): array
    {
        if ($form === AskedForm::SCREENING) {
            return array_fill_keys(ScreeningQuestions::keysForPatients(), 1);
        }
        $questionnaire = self::questionnaire($form) ?? throw new InvalidArgumentException("There is no form “{$form}”.");

        return array_fill_keys(array_map(fn (int $item) => (string) $item, range(1, $questionnaire->items)), $questionnaire->most);
    }

    public static function name(string $form): string
    {
        return (string) __("form.$form.title");
    }

    /** @return array<string, mixed> what the page asks, and what is answered so far */
    public static function view(AskedForm $form): array
    {
        return [
            'id' => $form->id, 'form' => $form->form, 'title' => self::name($form->form),
            'intro' => (string) __("form.{$form->form}.intro"),
            'questions' => $form->form === AskedForm::SYMPTOMS ? self::rated($form->patient) : self::questions($form->form),
            'answers' => (object) ($form->answers ?? []),
        ];
    }

    /** @return list<array{key: string, text: string, urgent: bool, crisis: bool, options: list<array{value: int, label: string}>}> */
    private static function questions(string $form): array
    {
        $isScreening = $form === AskedForm::SCREENING;
        $labels = $isScreening ? [(string) __('form.screening.no'), (string) __('form.screening.yes')] : (array) __("form.$form.option");
        $options = array_map(fn (int $value) => ['value' => $value, 'label' => (string) $labels[$value]], array_keys($labels));

        return array_map(fn (int|string $key) => [
            'key' => (string) $key,
            'text' => (string) ($isScreening ? __("form.screening.$key") : __("form.$form.item.".((int) $key - 1))),
            'urgent' => str_starts_with((string) $key, 'red.'),
            // Whoever says yes is given the number of somebody to talk to.
            'crisis' => (string) $key === ScreeningQuestions::redKey(RedFlag::Suicide),
            'options' => $isScreening ? array_reverse($options) : $options,
        ], array_keys(self::keys($form)));
    }

    /** @return list<array{key: string, text: string, urgent: bool, crisis: bool, options: list<array{value: int, label: string}>}> */
    private static function rated(Patient $patient): array
    {
        $symptoms = self::symptoms($patient);
        $options = array_map(fn (int $value) => ['value' => $value, 'label' => (string) $value], range(0, self::MOST_POINTS));

        return array_map(fn (int $id, string $name) => [
            'key' => (string) $id, 'text' => ucfirst($name), 'urgent' => false, 'crisis' => false, 'options' => $options,
        ], array_keys($symptoms), $symptoms);
    }

    /** @return array{id: string, answered: int, on: string, items: int}|null symptoms that were asked for and are not rated yet */
    public static function symptomsAsked(Patient $patient): ?array
    {
        $open = $patient->askedForms()->where('form', AskedForm::SYMPTOMS)->whereNull('completed_at')->whereNull('settled_at')
            ->orderByDesc('asked_at')->first();

        return $open === null ? null : [
            'id' => $open->id, 'answered' => $open->answered, 'on' => $open->answered_on, 'items' => count(self::keysOf($open)),
        ];
    }

    /** @return list<array<string, mixed>> each questionnaire with its first and last score, and what is waiting */
    public static function questionnaires(Patient $patient): array
    {
        $all = $patient->askedForms()->whereNotIn('form', [AskedForm::SCREENING, AskedForm::SYMPTOMS])
            ->orderByDesc('asked_at')->orderByDesc('id')
            ->limit(self::MOST)->get()->groupBy('form');

        return array_map(function (Questionnaire $questionnaire) use ($all, $patient) {
            /** @var Collection<int, AskedForm> $forms */
            $forms = $all->get($questionnaire->key, new Collection);
            $done = $forms->whereNotNull('completed_at')->sortByDesc('completed_at')->values();
            $last = $done->first();
            $first = $done->count() > 1 ? $done->last() : null;
            $open = $forms->first(fn (AskedForm $form) => $form->completed_at === null && $form->settled_at === null);

            return [
                'key' => $questionnaire->key, 'label' => $questionnaire->name, 'items' => $questionnaire->items,
                'most' => $questionnaire->highest(), 'source' => $questionnaire->source,
                'last' => $last === null ? null : self::score($last, $questionnaire, $patient),
                'first' => $first === null ? null : self::score($first, $questionnaire, $patient),
                'change' => $last === null || $first === null
                    ? null
                    : self::change($questionnaire, $first, $last, $patient->clinic->reliabilities()->of($questionnaire)),
                'open' => $open === null ? null : ['id' => $open->id, 'answered' => $open->answered, 'on' => $open->answered_on],
            ];
        }, Questionnaire::all());
    }

    /** @return array<string, mixed> */
    private static function score(AskedForm $form, Questionnaire $questionnaire, Patient $patient): array
    {
        return [
            'score' => $form->score, 'band' => $form->score === null ? null : $questionnaire->band($form->score),
            'missing' => $form->missing,
            'on' => $form->completed_at?->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'where' => $form->answered_on === 'device' ? 'own device' : 'in the room',
        ];
    }

    /** "12 points fewer: recovered (reliable)". */
    private static function change(Questionnaire $questionnaire, AskedForm $first, AskedForm $last, ?ReliableChange $own): ?string
    {
        if ($first->score === null || $last->score === null) {
            return null;
        }
        $points = (int) round($last->score - $first->score);
        $text = $points === 0
            ? 'no points changed'
            : abs($points).' '.(abs($points) === 1 ? 'point' : 'points').($points < 0 ? ' fewer' : ' more');

        return $text.match ($questionnaire->change($first->score, $last->score, $own)) {
            ChangeClass::Recovered => ': recovered, reliably',
            ChangeClass::Improved => ': improved, reliably',
            ChangeClass::Worse => ': worse, reliably',
            ChangeClass::Unchanged => ': not a reliable change',
            ChangeClass::NotClaimed => '; no reliability is known, so nothing is claimed',
        };
    }
}
