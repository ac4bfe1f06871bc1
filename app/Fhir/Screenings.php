<?php

declare(strict_types=1);

namespace App\Fhir;

use App\Models\Patient;
use App\Models\RaisedRedFlag;
use App\Models\Screening;
use App\Models\ScreeningAnswer;
use Illuminate\Database\Eloquent\Collection;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;

/** Screenings as they were confirmed, and what was referred first. */
final class Screenings
{
    private const MOST = 1000;

    private const QUESTIONS = 'confirmed screening';

    /** What may stand with a yes: its column, its words, and how FHIR calls its value. */
    private const WITH_IT = [
        'ends_on' => ['until', 'date', 'valueDate'], 'happened_on' => ['on', 'date', 'valueDate'],
        'pregnancy_weeks' => ['weeks', 'integer', 'valueInteger'], 'with_gas' => ['gas was left in the eye', 'boolean', 'valueBoolean'],
    ];

    public static function add(Bundle $bundle, Patient $patient): void
    {
        /** @var Collection<int, Screening> $all */
        $all = $patient->screenings()->with('answers')->orderBy('id')->limit(self::MOST)->get();
        if ($all->isNotEmpty()) {
            $bundle->add('Questionnaire', self::QUESTIONS, self::questionnaire($bundle));
        }
        foreach ($all as $screening) {
            $bundle->add('QuestionnaireResponse', "screening {$screening->id}", [
                'questionnaire' => $bundle->url('Questionnaire', self::QUESTIONS),
                'status' => match (true) {
                    $all->contains('corrects_id', $screening->id) => 'entered-in-error',
                    $screening->corrects_id !== null => 'amended',
                    default => 'completed',
                },
                'subject' => $bundle->to('Patient', 0),
                'authored' => Said::instant($screening->completed_at),
                'author' => $bundle->to('Practitioner', $screening->practitioner_id),
                'item' => array_values($screening->answers->sortBy('id')->map(self::answer(...))->all()),
            ]);
        }
        self::redFlags($bundle, $patient);
    }

    /** @return array<string, mixed> */
    private static function questionnaire(Bundle $bundle): array
    {
        return [
            'url' => $bundle->url('Questionnaire', self::QUESTIONS), 'title' => 'Screening before a breathing programme',
            'status' => 'active', 'subjectType' => ['Patient'],
            'item' => array_map(fn (string $key) => [
                'linkId' => $key, 'text' => self::words($key), 'type' => 'boolean', 'required' => true,
                'item' => array_map(
                    fn (string $column, array $what) => ['linkId' => "$key.$column", 'text' => $what[0], 'type' => $what[1]],
                    array_keys(self::WITH_IT), array_values(self::WITH_IT),
                ),
            ], ScreeningQuestions::keys()),
        ];
    }

    private static function words(string $key): string
    {
        [$kind, $which] = explode('.', $key, 2);

        return $kind === 'red' ? ScreeningQuestions::ofRedFlag(RedFlag::from($which)) : Flag::from($which)->question();
    }

    /** @return array<string, mixed> */
    private static function answer(ScreeningAnswer $answer): array
    {
        $more = [];
        foreach (self::WITH_IT as $column => [, , $kind]) {
            $value = match ($column) {
                'ends_on' => $answer->ends_on === null ? null : Said::day($answer->ends_on),
                'happened_on' => $answer->happened_on === null ? null : Said::day($answer->happened_on),
                'with_gas' => $answer->with_gas ? true : null,
                'pregnancy_weeks' => $answer->pregnancy_weeks,
            };
            if ($value !== null) {
                $more[] = ['linkId' => "{$answer->question}.$column", 'answer' => [[$kind => $value]]];
            }
        }

        return ['linkId' => $answer->question, 'answer' => [Said::filled(['valueBoolean' => $answer->answer, 'item' => $more])]];
    }

    private static function redFlags(Bundle $bundle, Patient $patient): void
    {
        foreach ($patient->redFlags()->with('actions')->reorder()->orderBy('id')->limit(self::MOST)->get() as $raised) {
            /** @var RaisedRedFlag $raised */
            $bundle->add('Flag', $raised->id, [
                'status' => $raised->isOpen() ? 'active' : 'inactive',
                'category' => [Said::term('flag-category', 'safety')],
                'code' => Said::concept($raised->label()),
                'subject' => $bundle->to('Patient', 0),
                'period' => Said::filled([
                    'start' => Said::instant($raised->raised_at), 'end' => $raised->isOpen() ? null : self::closed($raised),
                ]),
            ]);
        }
    }

    /** When it was said that practice may go on; a device's clock may have put the beginning after it. */
    private static function closed(RaisedRedFlag $raised): ?string
    {
        $at = $raised->actions->max('recorded_at');

        return $at === null ? null : Said::instant($at->max($raised->raised_at));
    }
}
