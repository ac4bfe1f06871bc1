<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Facts\FormText;
use App\Models\AskedForm;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\RaisedRedFlag;
use App\Models\RedFlagAction;
use App\Models\Screening;
use App\Models\ScreeningAnswer;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\EarlyWarning;
use IvoryPace\Assessment\ScreeningQuestions as Questions;
use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;

/** The screening as the page asks and shows it. */
final class ScreeningForm
{
    private const MOST = 30;

    /** @return list<array{title: string, red: bool, source: string, questions: list<array<string, mixed>>}> groups of questions */
    public static function questions(): array
    {
        $groups = [];
        foreach (Flag::asked() as $flag) {
            $groups[$flag->group()][] = [
                'key' => Questions::flagKey($flag), 'text' => $flag->question(), 'weeks' => $flag->recentWeeks(),
                'gas' => $flag->recentWeeks(withGas: true) !== $flag->recentWeeks(),
            ];
        }

        return [
            ['title' => 'Refer first', 'red' => true, 'questions' => array_map(fn (RedFlag $flag) => [
                'key' => Questions::redKey($flag), 'text' => Questions::ofRedFlag($flag), 'note' => $flag->note(),
            ], RedFlag::asked()), 'source' => 'Each asked and answered by itself. Limits of the last four: '.EarlyWarning::SOURCE],
            ...array_map(
                fn (string $title, array $questions) => ['title' => $title, 'red' => false, 'source' => '', 'questions' => $questions],
                array_keys($groups), $groups,
            ),
        ];
    }

    /** @return array<string, mixed>|null the latest screening */
    public static function latest(Patient $patient): ?array
    {
        $screening = $patient->latestScreening;
        if ($screening === null) {
            return null;
        }

        return [
            'on' => $screening->completed_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
            'by' => $screening->practitioner->name,
            'id' => $screening->id,
            // On the day itself a mistake is corrected; later it is a new screening.
            'can_be_corrected' => $patient->dayOf($screening->completed_at)->equals($patient->dayOf(now())),
            'remark' => $screening->remark,
            'pregnancy_weeks' => $screening->answers->firstWhere('question', 'flag.pregnancy')?->pregnancy_weeks,
            'answers' => $screening->answers->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->answer]),
            'happened_on' => (object) $screening->answers->whereNotNull('happened_on')
                ->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->happened_on?->format('Y-m-d')])->all(),
            'with_gas' => $screening->answers->contains(fn (ScreeningAnswer $answer) => $answer->with_gas),
            'new_questions' => count(
                Questions::unanswered(
                    $screening->answers->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->answer])->all(),
                ),
            ),
            'ends_on' => (object) $screening->answers->whereNotNull('ends_on')
                ->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->ends_on?->format('Y-m-d')])->all(),
        ];
    }

    /** @return list<array<string, mixed>> red flags, open ones first, with what was done about them */
    public static function redFlags(Patient $patient): array
    {
        $time = fn (CarbonImmutable $at) => $at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i');

        return array_values($patient->redFlags()->with('actions.practitioner')->reorder()->orderByDesc('id')->limit(self::MOST)->get()
            ->sortBy(fn (RaisedRedFlag $raised) => $raised->isOpen() ? 0 : 1)->map(fn (RaisedRedFlag $raised) => [
                'is_open' => $raised->isOpen(), 'pauses' => $raised->flag->pauses(),
                'id' => $raised->id,
                'label' => $raised->label(),
                'raised' => match ($raised->source) {
                    'home' => 'answered at home',
                    'measured' => 'measured',
                    default => 'answered in the screening',
                }.', '.$time($raised->raised_at),
                'actions' => $raised->actions->map(
                    fn (RedFlagAction $action) => [
                        'action' => $action->action, 'by' => $action->practitioner->name, 'on' => $time($action->recorded_at),
                        'waits' => $action->outcome === RedFlagAction::WAITING,
                    ],
                ),
            ])->all());
    }

    /** @return list<array{lineage: string, name: string}> exercises that may go on one by one; recovery is never paused */
    public static function exercises(Patient $patient): array
    {
        $rows = $patient->activeProgramme?->loadMissing('versions.items')->latestVersion()?->items
            ->reject(fn (ProgrammeItem $row) => $row->item()->isRecovery());

        return array_values(
            $rows?->map(fn (ProgrammeItem $row) => ['lineage' => $row->lineage, 'name' => $row->item()->name()])->all() ?? [],
        );
    }

    /** @return list<array<string, mixed>> earlier screenings, newest first: what was answered yes, by whom */
    public static function history(Patient $patient): array
    {
        $labels = self::labels();
        $all = $patient->screenings()->with(
            ['practitioner', 'answers' => fn ($answers) => $answers->where('answer', true)],
        )->orderByDesc('id')->limit(self::MOST)->get();

        return array_values($all->map(fn (Screening $screening) => [
            'on' => $screening->completed_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
            'by' => $screening->practitioner->name,
            'from_patient' => $screening->asked_form_id !== null,
            'yes' => $screening->answers->map(fn (ScreeningAnswer $answer) => $labels[$answer->question] ?? $answer->question),
            'correction' => $screening->corrects_id === null ? null : [
                'reason' => $screening->correction_reason,
                'changes' => self::corrected($screening, $all->firstWhere('id', $screening->corrects_id), $labels),
            ],
            'is_corrected' => $all->contains('corrects_id', $screening->id),
        ])->all());
    }

    /** @return array<string, string> each question, by its key */
    public static function labels(): array
    {
        $labels = [];
        foreach (self::questions() as $group) {
            foreach ($group['questions'] as $question) {
                $labels[(string) $question['key']] = (string) $question['text'];
            }
        }

        return $labels;
    }

    /**
     * @param  array<string, string>  $labels
     * @return list<string> "Asthma: yes, was no"
     */
    private static function corrected(Screening $screening, ?Screening $before, array $labels): array
    {
        $yes = fn (?Screening $of): array => $of?->answers->pluck('question')->all() ?? [];
        [$now, $then] = [$yes($screening), $yes($before)];

        return [
            ...array_map(fn (string $key) => ($labels[$key] ?? $key).': yes, was no', array_values(array_diff($now, $then))),
            ...array_map(fn (string $key) => ($labels[$key] ?? $key).': no, was yes', array_values(array_diff($then, $now))),
        ];
    }

    /** @return array<string, mixed>|null what the patient answered at home and nobody has confirmed; or that it still waits there */
    public static function fromHome(Patient $patient): ?array
    {
        $form = $patient->askedForms()->where('form', AskedForm::SCREENING)->whereNull('settled_at')->orderByDesc('asked_at')->first();

        return $form === null ? null : [
            'id' => $form->id, 'answered' => $form->answered, 'of' => count(FormText::of($form)->questions),
            'sent_on' => $form->completed_at?->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
            'answers' => (object) array_map(
                fn (mixed $answer) => (bool) $answer, $form->completed_at === null ? [] : ($form->answers ?? []),
            ),
        ];
    }
}
