<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\RedFlagAction;
use App\Models\ScreeningAnswer;
use IvoryPace\Assessment\Screening;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\RedFlag;

/** The screening as the page asks and shows it. */
final class ScreeningForm
{
    /** @return list<array<string, mixed>> groups of questions */
    public static function questions(): array
    {
        $groups = [];
        foreach (Flag::asked() as $flag) {
            $groups[$flag->group()][] = ['key' => Screening::flagKey($flag), 'text' => ucfirst($flag->label())];
        }

        return [
            ['title' => 'Refer first', 'red' => true, 'questions' => array_map(fn (RedFlag $flag) => [
                'key' => Screening::redKey($flag), 'text' => $flag->question(), 'note' => $flag->note(),
            ], RedFlag::cases()), 'source' => 'Each asked and answered by itself. Limits of the last four: '.RedFlag::LIMITS_SOURCE],
            ...array_map(fn (string $title, array $questions) => ['title' => $title, 'red' => false, 'source' => '', 'questions' => $questions], array_keys($groups), $groups),
        ];
    }

    /** @return array<string, mixed>|null the latest screening, with what was done about red flags */
    public static function latest(Patient $patient): ?array
    {
        $screening = $patient->latestScreening;
        if ($screening === null) {
            return null;
        }

        return [
            'on' => $screening->completed_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
            'by' => $screening->practitioner->name,
            'remark' => $screening->remark,
            'pregnancy_weeks' => $screening->answers->firstWhere('question', 'flag.pregnancy')?->pregnancy_weeks,
            'answers' => $screening->answers->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->answer]),
            'ends_on' => (object) $screening->answers->whereNotNull('ends_on')
                ->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->ends_on?->format('Y-m-d')])->all(),
            'red_flags' => $screening->answers->sortBy('id')->filter(fn (ScreeningAnswer $answer) => $answer->answer && $answer->redFlag() !== null)
                ->map(fn (ScreeningAnswer $answer) => [
                    'id' => $answer->id,
                    'label' => ucfirst((string) $answer->redFlag()?->label()),
                    'actions' => $answer->actions->map(fn (RedFlagAction $action) => [
                        'action' => $action->action, 'by' => $action->practitioner->name,
                        'on' => $action->recorded_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
                    ]),
                ])->values(),
        ];
    }
}
