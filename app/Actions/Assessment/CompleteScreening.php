<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Actions\Programme\RecheckProgramme;
use App\Facts\ScreeningReady;
use App\Models\AskedForm;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Screening;
use App\Models\ScreeningAnswer;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\ScreeningQuestions as Questions;
use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;

/** Keeps a whole screening, dated and attributed. A screening is never changed: a new one takes its place. */
final class CompleteScreening
{
    public function __construct(private readonly RaiseRedFlag $raise, private readonly RecheckProgramme $recheck)
    {
    }

    /**
     * @param  array<string, bool>  $answers  by question
     * @param  array<string, string|null>  $endDates  by question
     * @param  AskedForm|null  $confirms  what the patient answered beforehand
     * @param  array<string, string>  $happened  by question: the day of an operation, a birth, a heart attack
     * @param  bool  $withGas  of an eye operation
     * @param  Screening|null  $corrects  the latest one, of the same day, in which there was a mistake
     * @param  string|null  $why  it is corrected
     *
     * @throws ValidationException when a question has no answer
     */
    public function __invoke(
        Patient $patient,
        Practitioner $by,
        array $answers,
        array $endDates = [],
        ?int $pregnancyWeeks = null,
        ?string $remark = null,
        ?AskedForm $confirms = null,
        array $happened = [],
        bool $withGas = false,
        ?Screening $corrects = null,
        ?string $why = null,
    ): Screening {
        ScreeningReady::orRefuse($patient);
        $missing = Questions::unanswered($answers);
        if ($missing !== []) {
            throw ValidationException::withMessages([
                'answers' => count($missing) === 1
                    ? 'One question is not answered yet.'
                    : count($missing).' questions are not answered yet.',
            ]);
        }

        return DB::transaction(function () use (
            $patient, $by, $answers, $endDates, $pregnancyWeeks, $remark, $confirms, $happened, $withGas, $corrects, $why
        ) {
            $screening = $patient->screenings()->create([
                'practitioner_id' => $by->id, 'remark' => $remark, 'asked_form_id' => $confirms?->id, 'completed_at' => now(),
                'corrects_id' => $corrects?->id, 'correction_reason' => $corrects === null ? null : $why,
            ]);
            // All at once: there are over forty.
            ScreeningAnswer::query()->insert(array_map(fn (string $question) => [
                'screening_id' => $screening->id,
                'question' => $question,
                'answer' => $answers[$question],
                'ends_on' => $answers[$question] ? ($endDates[$question] ?? null) : null,
                'happened_on' => $answers[$question] ? ($happened[$question] ?? null) : null,
                'with_gas' => $withGas && $answers[$question] && $question === Questions::flagKey(Flag::RecentEyeSurgery),
                'pregnancy_weeks' => $question === 'flag.pregnancy' && $answers[$question] ? $pregnancyWeeks : null,
            ], Questions::keys()));
            $confirms?->update(['settled_at' => now()]);
            foreach (RedFlag::asked() as $flag) {
                if ($answers[Questions::redKey($flag)]) {
                    ($this->raise)($patient, $flag, 'screening');
                }
            }
            ($this->recheck)($patient);

            return $screening;
        });
    }
}
