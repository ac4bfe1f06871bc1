<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Actions\Programme\RecheckProgramme;
use App\Facts\AskedForms;
use App\Models\AskedForm;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Health\RedFlag;

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
            $read = $this->read($form->form, $answers);
            $missing = count(AskedForms::keys($form->form)) - count($read);
            if ($isDone && $missing > 0 && (! $hasGaps || $form->isScreening())) {
                $this->refuse('answers', trans_choice('form.open', $missing, ['count' => $missing]));
            }
            $form->fill(['answers' => $read, 'answered' => count($read)]);
            if ($isDone) {
                $score = AskedForms::questionnaire($form->form)?->score(
                    array_map(fn (int|string $key) => $read[$key] ?? null, array_keys(AskedForms::keys($form->form))),
                );
                $form->fill(['completed_at' => now(), 'score' => $score?->value, 'missing' => $score->missing ?? 0]);
            }
            $form->save();

            if ($isDone && ! $form->isScreening()) {
                ($this->recheck)($form->patient);
            }

            return $this->raiseRedFlags($form, $read, $at);
        });
    }

    /**
     * @param  array<array-key, mixed>  $answers
     * @return array<array-key, int>
     */
    private function read(string $form, array $answers): array
    {
        $read = [];
        foreach (AskedForms::keys($form) as $key => $most) {
            $answer = $answers[$key] ?? null;
            if ($answer === null || $answer === '') {
                continue;
            }
            $value = filter_var(is_bool($answer) ? (int) $answer : $answer, FILTER_VALIDATE_INT);
            if ($value === false || $value < 0 || $value > $most) {
                $this->refuse('answers', (string) __('form.outside', ['most' => $most]));
            }
            $read[$key] = (int) $value;
        }

        return $read;
    }

    /** @param  array<array-key, int>  $answers */
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
