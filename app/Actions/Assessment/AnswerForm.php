<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Actions\Programme\RecheckProgramme;
use App\Facts\AskedForms;
use App\Facts\FormText;
use App\Models\AskedForm;
use App\Models\Measurement;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\FormQuestion;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Score;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Health\RedFlag;
use IvoryPace\InvalidValue;

/** Keeps answers as they come. A red flag answered at home is open from that moment, complete or not. */
final class AnswerForm
{
    public function __construct(private readonly RaiseRedFlag $raise, private readonly RecheckProgramme $recheck)
    {
    }

    /**
     * @param  array<array-key, mixed>  $answers  by key of the question; what is not answered is left out
     * @param  bool  $isDone  the last word: from here on nothing can be changed
     * @param  bool  $hasGaps  complete although some answers are missing
     * @param  CarbonImmutable|null  $at  when it was answered; it may have waited on the device
     * @return bool true when an answer needs the emergency wording
     *
     * @throws ValidationException
     */
    public function __invoke(AskedForm $form, array $answers, bool $isDone, bool $hasGaps = false, ?CarbonImmutable $at = null): bool
    {
        return DB::transaction(function () use ($form, $answers, $isDone, $hasGaps, $at) {
            $form = AskedForm::query()->lockForUpdate()->findOrFail($form->id);
            if ($form->completed_at !== null || $form->settled_at !== null) {
                $this->refuse('form', (string) __($form->completed_at === null ? 'form.taken-back' : 'form.completed'));
            }
            $of = FormText::of($form);
            $read = $this->read($of, $answers);
            $missing = $of->missing($read);
            if ($isDone && $missing > 0 && (! $hasGaps || $form->isScreening())) {
                $this->refuse('answers', trans_choice('form.open', $missing, ['count' => $missing]));
            }
            $form->fill(['answers' => $read, 'answered' => count($read)]);
            if ($isDone) {
                $score = $this->score($form, $of, $read);
                $form->fill(['completed_at' => now(), 'score' => $score?->value, 'missing' => $score->missing ?? 0]);
            }
            $form->save();
            if ($isDone && $form->form === AskedForm::SYMPTOMS) {
                $this->keepRatings($form, $read, $at);
            }

            if ($isDone && AskedForms::questionnaire($form->form) !== null) {
                ($this->recheck)($form->patient);
            }

            return $this->raiseRedFlags($form, $read, $at);
        });
    }

    /**
     * @param  array<array-key, mixed>  $answers
     * @return array<array-key, int|string>
     */
    private function read(Form $form, array $answers): array
    {
        $read = [];
        foreach ($form->questions as $question) {
            try {
                $answer = $question->read($answers[$question->key] ?? null);
            } catch (InvalidValue) {
                $this->refuse('answers', (string) __(
                    $question->kind === FormQuestion::TEXT ? 'form.too-long' : 'form.outside',
                    ['least' => $question->least, 'most' => $question->most],
                ));
            }
            if ($answer !== null) {
                $read[$question->key] = $answer;
            }
        }

        return $read;
    }

    /** @param  array<array-key, int|string>  $read */
    private function score(AskedForm $asked, Form $form, array $read): ?Score
    {
        if ($asked->asked !== null) {
            return $form->score($read);
        }

        return AskedForms::questionnaire($asked->form)?->score(array_map(
            fn (FormQuestion $question) => isset($read[$question->key]) ? (int) $read[$question->key] : null, $form->questions,
        ));
    }

    /**
     * What was rated on the device stands beside what is rated in the room, marked as such: the form asks to sit down first.
     *
     * @param  array<array-key, int|string>  $ratings  by id of the symptom
     */
    private function keepRatings(AskedForm $form, array $ratings, ?CarbonImmutable $at): void
    {
        foreach ($ratings as $symptom => $rating) {
            Measurement::query()->create([
                'patient_id' => $form->patient_id, 'practitioner_id' => $form->practitioner_id, 'measure' => Measure::Symptom,
                'chosen_symptom_id' => $symptom, 'value' => $rating, 'details' => null, 'position' => Position::Seated,
                'method' => $form->answered_on === 'device' ? 'rated on the device' : 'rated', 'measured_at' => $at ?? now(),
            ]);
        }
    }

    /** @param  array<array-key, int|string>  $answers */
    private function raiseRedFlags(AskedForm $form, array $answers, ?CarbonImmutable $at): bool
    {
        $isUrgent = false;
        foreach ($form->isScreening() ? RedFlag::asked() : [] as $flag) {
            if (($answers["red.{$flag->value}"] ?? 0) === 1) {
                ($this->raise)($form->patient, $flag, 'home', at: $at);
                $isUrgent = true;
            }
        }

        return $isUrgent;
    }

    private function refuse(string $field, string $message): never
    {
        throw ValidationException::withMessages([$field => $message]);
    }
}
