<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\AskedForm;
use App\Models\Patient;
use Illuminate\Support\Collection;
use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Numbers;

/** Forms that a patient fills in: which there are, what they ask, and what their scores say. */
final class AskedForms
{
    private const MOST = 200;

    public static function questionnaire(string $form): ?Questionnaire
    {
        foreach (Questionnaire::all() as $questionnaire) {
            if ($questionnaire->key === $form) {
                return $questionnaire;
            }
        }

        return null;
    }

    /** @return array{id: string, answered: int, on: string, items: int}|null symptoms that were asked for and are not rated yet */
    public static function symptomsAsked(Patient $patient): ?array
    {
        $open = $patient->askedForms()->where('form', AskedForm::SYMPTOMS)->whereNull('completed_at')->whereNull('settled_at')
            ->orderByDesc('asked_at')->first();

        return $open === null ? null : [
            'id' => $open->id, 'answered' => $open->answered, 'on' => $open->answered_on, 'items' => count(FormText::of($open)->questions),
        ];
    }

    /** @return list<array<string, mixed>> each questionnaire with its first and last score, and what is waiting */
    public static function questionnaires(Patient $patient): array
    {
        $all = $patient->askedForms()->whereNotIn('form', [AskedForm::SCREENING, AskedForm::SYMPTOMS])
            ->orderByDesc('asked_at')->orderByDesc('id')
            ->limit(self::MOST)->get()->each(fn (AskedForm $form) => $form->setRelation('patient', $patient))->toBase()->groupBy('form');
        $lines = array_map(
            fn (Questionnaire $each) => self::shipped($each, $all->get($each->key, new Collection), $patient), Questionnaire::all(),
        );
        $asked = OwnForms::of($patient->clinic_id);
        foreach ([...$asked, ...self::askedBefore($all)] as $key => $form) {
            $lines[] = self::line($all->get($key, new Collection), [
                'key' => $key, 'label' => $form->title, 'items' => count($form->questions), 'least' => $form->lowest() ?? 0.0,
                'most' => $form->highest(), 'source' => 'Brought along by the clinic.', 'is_asked' => isset($asked[$key]),
            ], null, $patient);
        }

        return $lines;
    }

    /**
     * @param  Collection<array-key, Collection<int, AskedForm>>  $all  by form
     * @return array<string, Form> by key: what a clinic brought along, this one or another, and this patient was asked
     */
    private static function askedBefore(Collection $all): array
    {
        $own = [];
        foreach ($all as $key => $forms) {
            $form = $forms->first()?->own();
            if ($form !== null) {
                $own[(string) $key] = $form;
            }
        }

        return $own;
    }

    /**
     * @param  Collection<int, AskedForm>  $forms
     * @return array<string, mixed>
     */
    private static function shipped(Questionnaire $questionnaire, Collection $forms, Patient $patient): array
    {
        return self::line($forms, [
            'key' => $questionnaire->key, 'label' => $questionnaire->name, 'items' => $questionnaire->items, 'least' => 0,
            'most' => $questionnaire->highest(), 'source' => $questionnaire->source, 'is_asked' => true,
        ], $questionnaire, $patient);
    }

    /**
     * @param  Collection<int, AskedForm>  $forms  latest asked first
     * @param  array<string, mixed>  $what
     * @return array<string, mixed>
     */
    private static function line(Collection $forms, array $what, ?Questionnaire $questionnaire, Patient $patient): array
    {
        $done = $forms->whereNotNull('completed_at')->sortByDesc('completed_at')->values();
        $last = $done->first();
        $first = $done->count() > 1 ? $done->last() : null;
        $open = $forms->first(fn (AskedForm $form) => $form->completed_at === null && $form->settled_at === null);

        return [
            ...$what,
            'last' => $last === null ? null : self::score($last, $questionnaire, $patient),
            'first' => $first === null ? null : self::score($first, $questionnaire, $patient),
            'change' => $last === null || $first === null ? null : self::change($questionnaire, $first, $last, $patient),
            'open' => $open === null ? null : ['id' => $open->id, 'answered' => $open->answered, 'on' => $open->answered_on],
            'answers' => $last === null ? [] : FormText::said($last),
        ];
    }

    /** @return array<string, mixed> */
    private static function score(AskedForm $form, ?Questionnaire $questionnaire, Patient $patient): array
    {
        return [
            'score' => $form->score, 'band' => $form->score === null ? null : $questionnaire?->band($form->score),
            'missing' => $form->missing,
            'on' => $form->completed_at?->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'where' => $form->answered_on === 'device' ? 'own device' : 'in the room',
        ];
    }

    /** "12 points fewer: recovered (reliable)". */
    private static function change(?Questionnaire $questionnaire, AskedForm $first, AskedForm $last, Patient $patient): ?string
    {
        if ($first->score === null || $last->score === null) {
            return null;
        }
        $points = Numbers::round($last->score - $first->score);
        $text = $points === 0.0
            ? 'no points changed'
            : Numbers::print(abs($points)).' '.(abs($points) === 1.0 ? 'point' : 'points').($points < 0 ? ' fewer' : ' more');

        if ($questionnaire === null) {
            return "$text; what that says is not known here, so nothing is claimed";
        }
        $own = $patient->clinic->reliabilities()->of($questionnaire);

        return $text.match ($questionnaire->change($first->score, $last->score, $own)) {
            ChangeClass::Recovered => ': recovered, reliably',
            ChangeClass::Improved => ': improved, reliably',
            ChangeClass::Worse => ': worse, reliably',
            ChangeClass::Unchanged => ': not a reliable change',
            ChangeClass::NotClaimed => '; no reliability is known, so nothing is claimed',
        };
    }
}
